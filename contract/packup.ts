import { array, boolean, lazy, object, type InferType, type ObjectSchema } from 'yup';
import { PART_IDS, KIND_IDS } from '#core/instruments/kind.ts';
import { RUN_EVENT_KINDS, RUN_KINDS, SKIP_REASONS } from '#core/packup/run-log.ts';
import { HANDS } from '#core/players/player.ts';
import { LAST_PASSES } from '#core/water/wetness.ts';
import { stripSegment } from '#contract/instruments.ts';
import {
  amount,
  clientKey,
  instantText,
  localDateText,
  recordId,
  text,
  wallClock,
  whyLines,
  word,
} from '#contract/scalars.ts';

export const packupPaths = {
  start: '/api/runs',
  one: (key: string) => `/api/runs/${key}`,
  events: (key: string) => `/api/runs/${key}/events`,
} as const;

export const MOST_INSTRUMENTS_AT_ONCE = 12;
export const MOST_MINUTES_AT_HAND = 300;

const runShareRequest = object({
  instrumentId: recordId().required(),
  playKey: clientKey().nullable().defined(),
  itemIds: array(text().max(80).required()).max(60).required(),
})
  .exact()
  .required();

/**
 * `POST /api/runs`: begins a run over one or several instruments. For kinds `before` and `after` the steps of every
 * play come by themselves; `itemIds` adds to them. `minutesAtHand` null: all the time it takes.
 */
export const startRunRequest = object({
  key: clientKey().required(),
  playerId: recordId().required(),
  kind: word(RUN_KINDS).required(),
  parts: array(runShareRequest).min(1).max(MOST_INSTRUMENTS_AT_ONCE).required(),
  minutesAtHand: amount().min(0).max(MOST_MINUTES_AT_HAND).nullable().defined(),
  now: wallClock.required(),
})
  .exact()
  .required();
export type StartRunRequest = InferType<typeof startRunRequest>;

const stepEvent = <K extends (typeof RUN_EVENT_KINDS)[number]>(kind: K) => ({
  key: clientKey().required(),
  kind: word([kind]).required(),
  stepKey: text().max(160).required(),
});
const runEventMembers = {
  ticked: object(stepEvent('ticked')).exact().required(),
  unticked: object(stepEvent('unticked')).exact().required(),
  skipped: object({ ...stepEvent('skipped'), reason: word(SKIP_REASONS).required() })
    .exact()
    .required(),
  counted: object({ ...stepEvent('counted'), count: amount().integer().min(0).max(99).required() })
    .exact()
    .required(),
  answered: object({ ...stepEvent('answered'), answer: text().max(40).required() })
    .exact()
    .required(),
  'pulled-in': object(stepEvent('pulled-in')).exact().required(),
  'last-pass': object({
    ...stepEvent('last-pass'),
    count: amount().integer().min(1).max(99).required(),
    found: word(LAST_PASSES).required(),
  })
    .exact()
    .required(),
  finished: object({ key: clientKey().required(), kind: word(['finished']).required(), now: wallClock.required() })
    .exact()
    .required(),
};
export type RunEventRequest = {
  [K in keyof typeof runEventMembers]: InferType<(typeof runEventMembers)[K]>;
}[keyof typeof runEventMembers];

/** `POST /api/runs/:key/events`: one thing that happened in a run. Which fields belong to it follows from `kind`. */
export const runEventRequest = lazy((value: unknown): ObjectSchema<RunEventRequest> => {
  const kind = (value as { kind?: unknown } | null | undefined)?.kind;
  if (typeof kind === 'string' && Object.hasOwn(runEventMembers, kind))
    return runEventMembers[kind as keyof typeof runEventMembers] as unknown as ObjectSchema<RunEventRequest>;
  return object({ kind: word(RUN_EVENT_KINDS).required() }).required() as unknown as ObjectSchema<RunEventRequest>;
});

export const runStepView = object({
  key: text().required(),
  stepId: text().required(),
  instrumentId: recordId().required(),
  instrumentName: text().required(),
  itemId: text().required(),
  itemName: text().required(),
  part: word(PART_IDS).required(),
  partName: text().required(),
  action: text().required(),
  how: text().nullable().defined(),
  why: text().nullable().defined(),
  harm: text().nullable().defined(),
  cautions: array(text().required()).required(),
  supplies: array(text().required()).required(),
  hands: word(HANDS).required(),
  must: boolean().strict().required(),
  onlyIf: text().nullable().defined(),
  activeMinutes: amount().min(0).required(),
  startsAtMinute: amount().min(0).nullable().defined(),
  /** Passes come from the water model, and can be tuned by a tap. */
  byWater: boolean().strict().required(),
  repeats: object({ count: amount().integer().required(), noun: text().required(), because: whyLines })
    .exact()
    .nullable()
    .defined(),
  /** The answers to questions of practice that have it done this way. */
  way: whyLines,
  wait: object({ minutes: amount().positive().required(), why: text().required() }).exact().nullable().defined(),
  /** The way of the cloth through the bore, where the book fixes it. */
  thread: object({ in: word(PART_IDS).required(), out: word(PART_IDS).required() })
    .exact()
    .nullable()
    .defined(),
  /** The look's question and what it may find; null for a step that is simply done. */
  look: object({
    question: text().required(),
    answers: array(
      object({ id: text().required(), words: text().required(), stops: boolean().strict().required() })
        .exact()
        .required(),
    ).required(),
  })
    .exact()
    .nullable()
    .defined(),
  answer: text().nullable().defined(),
  /** `undecided` waits for a look; `no` is not called for by what the look found. */
  called: word(['yes', 'no', 'undecided']).required(),
  state: word(['open', 'ticked', 'skipped']).required(),
  skipReason: word(SKIP_REASONS).nullable().defined(),
  counted: amount().integer().min(0).required(),
  /** What the cloth showed on the last pass, once said; null before, and for steps without passes. */
  lastPass: word(LAST_PASSES).nullable().defined(),
  /** When a wait this step depends on ends; null when none is running. */
  waitsUntil: instantText().nullable().defined(),
})
  .exact()
  .required();
export type RunStepView = InferType<typeof runStepView>;

export const runShareView = object({
  instrumentId: recordId().required(),
  name: text().required(),
  kind: word(KIND_IDS).required(),
  playedMinutes: amount().min(0).required(),
  strip: array(stripSegment).required(),
})
  .exact()
  .required();

/** What did not fit the minutes at hand: it waits, and can be pulled in. */
export const leftOutView = object({
  stepKeys: array(text().required()).min(1).required(),
  name: text().required(),
  instrumentName: text().required(),
  moreMinutes: amount().min(0).required(),
  value: amount().min(0).required(),
  /** What it costs to let it wait. */
  cost: text().nullable().defined(),
})
  .exact()
  .required();
export type LeftOutView = InferType<typeof leftOutView>;

export const runView = object({
  key: clientKey().required(),
  kind: word(RUN_KINDS).required(),
  parts: array(runShareView).min(1).required(),
  minutesAtHand: amount().nullable().defined(),
  startedOn: localDateText().required(),
  finishedAt: instantText().nullable().defined(),
  finishKey: clientKey().nullable().defined(),
  /** What this run recorded as done, once finished, by name. */
  doneNames: array(text().required()).required(),
  /** What its steps were for and is not done. */
  waitingNames: array(text().required()).required(),
  steps: array(runStepView).required(),
  leftOut: array(leftOutView).required(),
  activeMinutes: amount().min(0).required(),
  elapsedMinutes: amount().min(0).required(),
  supplies: array(text().required()).required(),
  because: whyLines,
})
  .exact()
  .required();
export type RunView = InferType<typeof runView>;
