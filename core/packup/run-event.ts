import type { RunStepKey } from '#core/packup/run-step.ts';
import type { Instant } from '#core/time/instant.ts';
import type { LastPass } from '#core/water/wetness.ts';

/** Why a step was left out, and whether what it is for counts as looked after all the same. */
export const SKIP_REASONS = [
  'no-time',
  'not-needed',
  'done-already',
  'no-supplies',
  'my-own-way',
  'not-today',
] as const;
export type SkipReason = (typeof SKIP_REASONS)[number];
export const SKIP_SETTLES: Readonly<Record<SkipReason, boolean>> = {
  'no-time': false,
  'not-needed': true,
  'done-already': true,
  'no-supplies': false,
  'my-own-way': true,
  'not-today': false,
};

/** Said of a step along with others: by its stretch, or with all that was listed. */
export const SAID_ALONG = ['stretch', 'list'] as const;
export type SaidAlong = (typeof SAID_ALONG)[number];

/** Repeats of a step nobody goes beyond. */
export const MOST_REPEATS = 99;

/** What an event may say, by field. */
export type RunEventFields = {
  readonly stepKey: RunStepKey;
  readonly reason: SkipReason;
  /** Along with what a step was said to be done. */
  readonly along: SaidAlong;
  /** Repeats done by now. */
  readonly count: number;
  /** What a look found. */
  readonly answer: string;
  /** What the cloth showed on the last of `count` passes. */
  readonly found: LastPass;
};
type Field = keyof RunEventFields;
type Declared = {
  readonly fields: readonly Field[];
  /**
   * Changes what is known of the instrument beyond the run: it is taken back by a withdrawal. The others are answered by
   * their opposite in the log (a tick is unticked, a count counted anew) and concern nobody but the run.
   */
  readonly known: boolean;
};

/**
 * Every kind of event, with what it says. This is its only declaration: type, request, columns and button follow from
 * it. What it does to a run is in `run-log.ts`.
 */
const DECLARED = {
  ticked: { fields: ['stepKey'], known: false },
  /** Done, as its stretch or the whole list was said to be: nothing is learned from when it was said. */
  'ticked-along': { fields: ['stepKey', 'along'], known: false },
  unticked: { fields: ['stepKey'], known: false },
  skipped: { fields: ['stepKey', 'reason'], known: false },
  counted: { fields: ['stepKey', 'count'], known: false },
  /** The look is done and found this. */
  answered: { fields: ['stepKey', 'answer'], known: false },
  /** The step is over and nobody looked. */
  'not-looked': { fields: ['stepKey'], known: false },
  /** A step that was left out for want of time is done after all. */
  'pulled-in': { fields: ['stepKey'], known: false },
  /** The instruments are packed up on the way, not at home: what can wait waits until they are. */
  away: { fields: [], known: false },
  /** At home after all. */
  'at-home': { fields: [], known: false },
  /** Said of a step with passes, often after the end of the run. */
  'last-pass': { fields: ['stepKey', 'count', 'found'], known: true },
  finished: { fields: [], known: true },
} as const satisfies Record<string, Declared>;

export type RunEventKind = keyof typeof DECLARED;
export const RUN_EVENTS: Readonly<Record<RunEventKind, Declared>> = DECLARED;
export const RUN_EVENT_KINDS = Object.keys(DECLARED) as [RunEventKind, ...RunEventKind[]];

/** What is said when something happens in a run. */
export type RunEventSaid = {
  [Kind in RunEventKind]: { readonly kind: Kind } & Readonly<
    Pick<RunEventFields, (typeof DECLARED)[Kind]['fields'][number]>
  >;
}[RunEventKind];

/** One entry of a run's log. Nothing is ever changed: a tick taken back is an `unticked`. */
export type RunEvent = RunEventSaid & { readonly at: Instant };
/** An entry with the key it was sent under. */
export type LoggedRunEvent = { readonly key: string; readonly event: RunEvent };
