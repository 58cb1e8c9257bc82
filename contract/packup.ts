import {
  array,
  boolean,
  lazy,
  object,
  type AnyObject,
  type InferType,
  type ObjectSchema,
  type ObjectShape,
  type Schema,
} from 'yup';
import { ALONE_IDS } from '#core/instruments/alone.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { ofInstrument } from '#core/record/fact.ts';
import { packupPaths } from '#contract/packup-paths.ts';
import { answeredWith, fact, LONGEST_UNSENT_MS, type Answered } from '#contract/fact.ts';
import type { WhyLine } from '#core/explain/explained.ts';
import { ALONG_A_PART } from '#core/book/step.ts';
import { PART_IDS, KIND_IDS } from '#core/instruments/kind.ts';
import {
  MOST_REPEATS,
  RUN_EVENT_KINDS,
  RUN_EVENTS,
  SAID_ALONG,
  SKIP_REASONS,
  type RunEvent,
  type RunEventFields,
  type RunEventKind,
  type RunEventSaid,
} from '#core/packup/run-event.ts';
import type { KeptPlan } from '#core/packup/kept-plan.ts';
import { RUN_WAYS } from '#core/players/run-way.ts';
import { RUN_KINDS } from '#core/packup/run-log.ts';
import { HANDS } from '#core/players/player.ts';
import type { WallClock } from '#core/plays/play.ts';
import { LAST_PASSES } from '#core/water/wetness.ts';
import { stripSegment } from '#contract/instruments.ts';
import { keptPlan } from '#contract/run-plan.ts';
import {
  amount,
  careItemId,
  clientKey,
  instantText,
  instrumentId,
  localDateText,
  playerId,
  runStepKey,
  text,
  wallClock,
  whyLines,
  word,
  factKey,
} from '#contract/scalars.ts';

export { packupPaths };

export const MOST_INSTRUMENTS_AT_ONCE = 12;
const MOST_MINUTES_AT_HAND = 300;
/** Letters of a stored plan, by far. */
const LONGEST_PLAN = 2_000_000;

const runShareRequest = object({
  instrumentId: instrumentId().required(),
  playKey: clientKey().nullable().defined(),
  itemIds: array(careItemId().required()).max(60).required(),
  /** Only these parts; without it those that were played, or the usual for a while; null: all of it. */
  alone: word(ALONE_IDS).nullable().optional(),
})
  .exact()
  .required();

/**
 * `POST /api/runs`: begins a run over one or several instruments. For kinds `before` and `after` the steps of every
 * play come by themselves; `itemIds` adds to them. `minutesAtHand` null: all the time it takes.
 */
const startFields = {
  playerId: playerId().required(),
  kind: word(RUN_KINDS).required(),
  parts: array(runShareRequest).min(1).max(MOST_INSTRUMENTS_AT_ONCE).required(),
  minutesAtHand: amount().min(0).max(MOST_MINUTES_AT_HAND).nullable().defined(),
};

/** What an event may say, by field; which fields belong to which kind is declared in the core. */
const FIELDS = {
  stepKey: runStepKey().required(),
  reason: word(SKIP_REASONS).required(),
  along: word(SAID_ALONG).required(),
  count: amount().integer().min(0).max(MOST_REPEATS).required(),
  answer: text().max(40).required(),
  found: word(LAST_PASSES).required(),
} satisfies { [Field in keyof RunEventFields]: Schema<RunEventFields[Field]> };

/** What every event is sent with. */
type Sent = {
  readonly key: string;
  /** How long ago it happened, ms, where it could not be sent at once: the clocks of two devices need not agree. */
  readonly msAgo?: number | undefined;
  /** The wall clock when the run was ended. */
  readonly now?: WallClock | undefined;
};
export type RunEventRequest = RunEventSaid & Sent;

type OfKind = { readonly kind?: unknown } | null | undefined;
const ANY_KIND = object({ kind: word(RUN_EVENT_KINDS).required() }).required();

/** One object for each kind of event: what it says, and whatever else is given with it. */
function byKind<Event>(besides: (kind: RunEventKind) => ObjectShape) {
  const members: ReadonlyMap<unknown, ObjectSchema<AnyObject>> = new Map(
    RUN_EVENT_KINDS.map((kind) => {
      const fields = Object.fromEntries(RUN_EVENTS[kind].fields.map((field) => [field, FIELDS[field]]));
      const member = object({ kind: word([kind]).required(), ...fields, ...besides(kind) });
      return [kind, member.exact().required()];
    }),
  );
  // The members are built from what the core declares, which is more than their types can say.
  return lazy((value: OfKind) => (members.get(value?.kind) ?? ANY_KIND) as unknown as Schema<Event>);
}

/** `POST /api/runs/:key/events`: one thing that happened in a run. Which fields belong to it follows from `kind`. */
export const runEventRequest = byKind<RunEventRequest>((kind) => ({
  key: clientKey().required(),
  msAgo: amount().integer().min(0).max(LONGEST_UNSENT_MS).optional(),
  ...(kind === 'finished' ? { now: wallClock.required() } : {}),
}));

/** What a log is made of. */
const loggedRunEvent = object({
  key: clientKey().required(),
  event: byKind<RunEvent>(() => ({ at: instantText().required() })),
})
  .exact()
  .required();

/** What is kept of an event. */
export const keptRunEvent = object({
  runKey: factKey().required(),
  event: byKind<RunEvent>(() => ({ at: instantText().required() })),
})
  .exact()
  .required();

/** What is answered to an event. */
export const runEventAnswer = answeredWith(loggedRunEvent);

/** What the book says of a step of a run, for whoever does it. */
const stepWords = object({
  key: runStepKey().required(),
  instrumentName: text().required(),
  itemName: text().required(),
  partName: text().required(),
  how: text().nullable().defined(),
  why: text().nullable().defined(),
  harm: text().nullable().defined(),
  cautions: array(text().required()).required(),
  supplies: array(text().required()).required(),
  hands: word(HANDS).required(),
  onlyIf: text().nullable().defined(),
  repeats: object({ noun: text().required(), because: whyLines }).exact().nullable().defined(),
  /** The answers to questions of practice that have it done this way. */
  way: whyLines,
  /** The way of the cloth through the bore, where the book fixes it. */
  thread: object({ in: word(PART_IDS).required(), out: word(PART_IDS).required() })
    .exact()
    .nullable()
    .defined(),
  /** The key to hold meanwhile, and where it lies on the tube. */
  holds: object({ words: text().required(), part: word(PART_IDS).required(), at: word(ALONG_A_PART).required() })
    .exact()
    .nullable()
    .defined(),
})
  .exact()
  .required();
export type StepWords = InferType<typeof stepWords>;

const runShareView = object({
  instrumentId: instrumentId().required(),
  name: text().required(),
  kind: word(KIND_IDS).required(),
  playedMinutes: amount().min(0).required(),
  /** The parts it is about, by name; null: all of it. */
  aloneName: text().nullable().defined(),
  strip: array(stripSegment).required(),
})
  .exact()
  .required();

/** An item of care a run is about, with its name. */
const namedItem = object({
  instrumentId: instrumentId().required(),
  itemId: careItemId().required(),
  name: text().required(),
  /** It belongs to every play: what is left of it is named by its step. */
  everyPlay: boolean().strict().required(),
})
  .exact()
  .required();

/** A run is its plan and its log; whoever shows it folds the two with `foldRun`. */
export const runView = object({
  key: clientKey().required(),
  kind: word(RUN_KINDS).required(),
  playerId: playerId().required(),
  /** How its player goes through it: as they have chosen, else by how well they know it. */
  way: word(RUN_WAYS).required(),
  /** Care that is a remedy of what is being asked about: when it is done, whether it helped is asked. */
  isRemedy: boolean().strict().required(),
  parts: array(runShareView).min(1).required(),
  minutesAtHand: amount().nullable().defined(),
  startedOn: localDateText().required(),
  plan: object({ ...keptPlan, because: whyLines })
    .exact()
    .required(),
  log: array(loggedRunEvent).required(),
  words: array(stepWords).required(),
  items: array(namedItem).required(),
  /** What this run put in the record as done; null until it is finished. */
  done: array(object({ instrumentId: instrumentId().required(), itemId: careItemId().required() }).exact().required())
    .nullable()
    .defined(),
})
  .exact()
  .required();
/** The plan is the core's own, with its reasons in words. */
export type RunView = Omit<InferType<typeof runView>, 'plan'> & {
  readonly plan: Omit<KeptPlan, 'because'> & { readonly because: readonly WhyLine[] };
};

type OverInstruments = { readonly shares: readonly { readonly instrumentId: InstrumentId }[] };
/** A run over one or several instruments is begun: the plan as it is shown. */
export const runFact = fact({
  kind: 'run',
  path: packupPaths.start,
  fields: startFields,
  kept: {
    playerId: playerId().required(),
    kind: word(RUN_KINDS).required(),
    minutesAtHand: amount().min(0).nullable().defined(),
    /** JSON of the plan as it was shown, with its version. */
    plan: text().max(LONGEST_PLAN).required(),
    shares: array(
      object({
        instrumentId: instrumentId().required(),
        playKey: factKey().nullable().defined(),
        playedMinutes: amount().integer().min(0).nullable().defined(),
        roomCelsius: amount().required(),
        alone: word(ALONE_IDS).nullable().defined(),
        thirst: amount().min(0).required(),
        asked: object({
          playKey: factKey().nullable().defined(),
          itemIds: array(careItemId().required()).required(),
          alone: word(ALONE_IDS).nullable().optional(),
        })
          .exact()
          .optional()
          .default(undefined),
      })
        .exact()
        .required(),
    )
      .min(1)
      .required(),
  },
  about: ({ shares }: OverInstruments) => shares.map((share) => ofInstrument(share.instrumentId)),
  needsServer: true,
  answer: answeredWith(runView) as unknown as Schema<Answered<RunView>>,
});
