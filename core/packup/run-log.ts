import type { KeptLeftOut, KeptLook, KeptPlan, KeptStep } from '#core/packup/kept-plan.ts';
import {
  RUN_EVENTS,
  SKIP_SETTLES,
  type RunEvent,
  type RunEventSaid,
  type SaidAlong,
  type SkipReason,
} from '#core/packup/run-event.ts';
import type { StepId } from '#core/book/care-ids.ts';
import { runStepKey, type RunStepKey } from '#core/packup/run-step.ts';
import { answerExpected } from '#core/packup/expected-answer.ts';
import { msOfInstant, type Instant } from '#core/time/instant.ts';
import type { LastPass } from '#core/water/wetness.ts';

/** What a run is for. */
export const RUN_KINDS = ['before', 'after', 'care'] as const;
export type RunKind = (typeof RUN_KINDS)[number];

/**
 * `no`: a look has found that it is not needed, or has ended its item, or another step has done it; `undecided`: that is
 * still to come; `cannot`: what it stands on was left undone; `at-home`: it waits until the instrument is at home.
 */
const CALLED = ['yes', 'no', 'undecided', 'cannot', 'at-home'] as const;
export type Called = (typeof CALLED)[number];

type Closed = {
  readonly answer: string | null;
  readonly skipReason: SkipReason | null;
  /** Said along with others, by its stretch or with the whole list; null where it was said by itself. */
  readonly along: SaidAlong | null;
};
/** How far a step has come by the log alone. */
type Progress = Closed & {
  readonly state: 'open' | 'ticked' | 'skipped';
  /** Repeats done by now. */
  readonly counted: number;
  /** When it was ticked or answered. */
  readonly tickedAt: Instant | null;
};

/** A step of a run and where it stands. */
export type StepNow = KeptStep &
  Progress & {
    readonly called: Called;
    /** When the last wait it depends on ends, ms since 1970; null when none is running. */
    readonly waitsUntilMs: number | null;
    /** By when it is to be done, for what waits for it is not left longer, ms since 1970; null where nothing presses. */
    readonly mostUntilMs: number | null;
    /** What the cloth showed on the last pass; the latest answer counts. */
    readonly lastPass: LastPass | null;
  };

/** A run as it stands: its plan with everything its log says. */
export type RunNow = {
  /** In their order, pulled-in ones among them. */
  readonly steps: readonly StepNow[];
  /** What was left out for want of time and has not been pulled in. */
  readonly leftOut: readonly KeptLeftOut[];
  /** It is packed up on the way: what can wait does. */
  readonly isAway: boolean;
  readonly finishedAt: Instant | null;
};

const OPEN: Progress = { state: 'open', counted: 0, tickedAt: null, answer: null, skipReason: null, along: null };

type StepEvent = Exclude<RunEvent, { kind: 'finished' | 'pulled-in' | 'last-pass' | 'away' | 'at-home' }>;

function after(before: Progress, event: StepEvent): Progress {
  const { counted } = before;
  switch (event.kind) {
    case 'ticked':
      // Ticked in a second tab as well: the first tick stays, so that a wait does not start anew.
      return before.state === 'ticked' ? before : { ...OPEN, state: 'ticked', counted, tickedAt: event.at };
    case 'ticked-along':
      return before.state === 'ticked'
        ? before
        : { ...OPEN, state: 'ticked', counted, tickedAt: event.at, along: event.along };
    case 'not-looked':
      return { ...OPEN, state: 'ticked', counted, tickedAt: event.at };
    case 'answered':
      return { ...OPEN, state: 'ticked', counted, tickedAt: event.at, answer: event.answer };
    case 'unticked':
      return OPEN;
    case 'skipped':
      return { ...OPEN, state: 'skipped', counted, skipReason: event.reason };
    case 'counted':
      return { ...before, counted: event.count };
  }
}

/** What the events of a log add up to, each step by itself. Events are taken in the order given. */
function addUp(events: readonly RunEvent[]) {
  const progress = new Map<RunStepKey, Progress>();
  const pulledIn = new Set<RunStepKey>();
  const lastPass = new Map<RunStepKey, LastPass>();
  let finishedAt: Instant | null = null;
  let isAway = false;
  for (const event of events) {
    if (event.kind === 'finished') finishedAt ??= event.at;
    else if (event.kind === 'away' || event.kind === 'at-home') isAway = event.kind === 'away';
    else if (event.kind === 'pulled-in') pulledIn.add(event.stepKey);
    else if (event.kind === 'last-pass') lastPass.set(event.stepKey, event.found);
    else progress.set(event.stepKey, after(progress.get(event.stepKey) ?? OPEN, event));
  }
  return { progress, pulledIn, lastPass, isAway, finishedAt };
}

/** Pulled-in steps come before the casing of their instrument; among themselves they keep their order. */
function withPulledIn(steps: readonly KeptStep[], pulled: readonly KeptStep[]): KeptStep[] {
  const order = [...steps];
  for (const one of pulled) {
    const closing = order.findIndex((other) => other.instrumentId === one.instrumentId && other.closing);
    order.splice(closing === -1 ? order.length : closing, 0, one);
  }
  return order;
}

/** Does this answer end the item of its look? */
const endsItem = (look: KeptLook | null, answer: string | null): boolean =>
  look?.answers.some((one) => one.endsItem && one.id === answer) === true;

export const sameItem = (one: KeptStep, other: KeptStep): boolean =>
  one.instrumentId === other.instrumentId && one.item === other.item;

/** Has this answer to a look of `other` ended what `step` is for? */
export const isEndedBy = (other: KeptStep, answer: string | null, step: KeptStep): boolean =>
  (sameItem(other, step) && endsItem(other.look, answer)) ||
  (other.instrumentId === step.instrumentId &&
    other.look?.answers.some(({ id, alsoEnds }) => id === answer && alsoEnds.includes(step.item)) === true);

/** Left out with a reason that leaves things as they were. */
const isUndone = ({ state, skipReason }: Progress): boolean =>
  state === 'skipped' && skipReason !== null && !SKIP_SETTLES[skipReason];

type ProgressOf = (key: RunStepKey) => Progress;

/** What has been found of the steps before one: a step looks back only, so that each is looked at once. */
type Fold = {
  readonly steps: readonly KeptStep[];
  readonly byKey: ReadonlyMap<RunStepKey, KeptStep>;
  /** The looks that have been answered: few are, and every step asks them whether it has been ended. */
  readonly answered: readonly KeptStep[];
  readonly of: ProgressOf;
  readonly called: Map<RunStepKey, Called>;
};

/** Was something this step stands on left undone, or could not be done itself? */
const isBarred = ({ of, called }: Fold, others: readonly KeptStep[]): boolean =>
  others.some(({ key }) => called.has(key) && (isUndone(of(key)) || called.get(key) === 'cannot'));

/** What the steps that stand in for this one have come to; null where they leave it to be done. */
function byStandIns({ steps, of, called }: Fold, standIns: readonly KeptStep[]): Called | null {
  if (standIns.some(({ key }) => of(key).state === 'ticked')) return 'no';
  const isToCome = ({ key }: KeptStep) =>
    of(key).state === 'open' && ['yes', 'undecided'].includes(called.get(key) ?? 'yes');
  if (standIns.some(isToCome)) return 'undecided';
  // Begun and not brought to its end: the slides lie in the tub, and are not greased one by one.
  const isBegun = (standIn: KeptStep) =>
    steps.some((one) => sameItem(one, standIn) && one.look === null && of(one.key).state === 'ticked');
  return standIns.some(isBegun) ? 'cannot' : null;
}

/** What the look that may call for this step has found. */
function byLook({ byKey, of }: Fold, { instrumentId, calledBy }: KeptStep): Called {
  if (calledBy === null) return 'yes';
  const look = byKey.get(runStepKey(instrumentId, calledBy.look));
  if (look === undefined) return 'yes';
  const { answer, state } = of(look.key);
  // Nobody looked: it goes on as it usually does.
  const found =
    answer ?? (state === 'open' || look.look === null ? undefined : answerExpected(look.look, look.expects));
  if (found === undefined) return 'undecided';
  return calledBy.answers.includes(found) ? 'yes' : 'no';
}

function calledFor(fold: Fold, step: KeptStep): Called {
  const { byKey, answered, of } = fold;
  if (answered.some((other) => other.key !== step.key && isEndedBy(other, of(other.key).answer, step))) return 'no';
  const others = (ids: readonly StepId[]) => ids.flatMap((id) => byKey.get(runStepKey(step.instrumentId, id)) ?? []);
  if (isBarred(fold, others(step.standsOn))) return 'cannot';
  return byStandIns(fold, others(step.unless)) ?? byLook(fold, step);
}

/** On the way whatever can wait, and is called for, waits until the instrument is at home. */
const calledOnTheWay = ({ away }: KeptStep, called: Called): Called =>
  (away === 'waits' || away === 'later') && (called === 'yes' || called === 'undecided') ? 'at-home' : called;

/** For each step whether it is called for, as far as the log says by now. */
function calledIn(
  steps: readonly KeptStep[],
  progressOf: ProgressOf,
  isAway: boolean,
): ReadonlyMap<RunStepKey, Called> {
  const called = new Map<RunStepKey, Called>();
  const answered = steps.filter(({ key, look }) => look !== null && progressOf(key).answer !== null);
  const fold = { steps, byKey: new Map(steps.map((step) => [step.key, step])), answered, of: progressOf, called };
  for (const step of steps) {
    const here = calledFor(fold, step);
    called.set(step.key, isAway ? calledOnTheWay(step, here) : here);
  }
  return called;
}

const MS_PER_MINUTE = 60_000;

type WaitEnds = Pick<StepNow, 'waitsUntilMs' | 'mostUntilMs'>;
const NO_WAIT: WaitEnds = { waitsUntilMs: null, mostUntilMs: null };

/** The latest end of a wait an open step depends on, and the earliest most, of steps that bring one and are done. */
function waitEnds(waits: readonly KeptStep[], progressOf: ProgressOf, step: KeptStep): WaitEnds {
  const begun = waits.flatMap(({ key, instrumentId, item, wait }) => {
    const { tickedAt } = progressOf(key);
    if (instrumentId !== step.instrumentId || !wait?.until.includes(step.id) || tickedAt === null) return [];
    const ms = msOfInstant(tickedAt);
    // A reed goes on last, however long it has been in the water: only what one piece of care begins and ends presses.
    const most = item === step.item ? (wait.most ?? Infinity) : Infinity;
    return [{ end: ms + wait.minutes * MS_PER_MINUTE, most: ms + most * MS_PER_MINUTE }];
  });
  if (begun.length === 0) return NO_WAIT;
  const most = Math.min(...begun.map((one) => one.most));
  return { waitsUntilMs: Math.max(...begun.map(({ end }) => end)), mostUntilMs: most === Infinity ? null : most };
}

type Planned = Pick<KeptPlan, 'steps' | 'leftOut'>;

/** What plan and log come to before each step is told all of it. */
function addedUp(plan: Planned, events: readonly RunEvent[]) {
  const { progress, pulledIn, ...rest } = addUp(events);
  const progressOf: ProgressOf = (key) => progress.get(key) ?? OPEN;
  const isPulled = ({ steps }: KeptLeftOut) => steps.some(({ key }) => pulledIn.has(key));
  const pulled = plan.leftOut.filter(isPulled).flatMap(({ steps }) => steps);
  // Nobody who is at home sees what is done on the way only.
  const steps = withPulledIn(plan.steps, pulled).filter(({ away }) => rest.isAway || away !== 'only');
  return { ...rest, steps, progressOf, isPulled, called: calledIn(steps, progressOf, rest.isAway) };
}

/** Of each step of a run only whether it is called for: as {@link foldRun} says, at a tenth of its cost. */
export const calledFrom = (plan: Planned, events: readonly RunEvent[]): ReadonlyMap<RunStepKey, Called> =>
  addedUp(plan, events).called;

/** A run is its plan and its log: the same on the server, on every screen, and while what was ticked is still unsent. */
export function foldRun(plan: Planned, events: readonly RunEvent[]): RunNow {
  const { steps, progressOf, isPulled, called, lastPass, isAway, finishedAt } = addedUp(plan, events);
  const waits = steps.filter(({ wait }) => wait !== null);
  return {
    steps: steps.map((step) => ({
      ...step,
      ...progressOf(step.key),
      called: called.get(step.key) ?? 'yes',
      ...(progressOf(step.key).state === 'open' ? waitEnds(waits, progressOf, step) : NO_WAIT),
      lastPass: lastPass.get(step.key) ?? null,
    })),
    leftOut: plan.leftOut.filter((one) => !isPulled(one) && one.steps.length > 0),
    isAway,
    finishedAt,
  };
}

/** Is it taken back by a withdrawal, because more than the run knows of it? */
export const isKnownBeyond = ({ kind }: Pick<RunEventSaid, 'kind'>): boolean => RUN_EVENTS[kind].known;

/** Is it a look nobody made? */
export const wasNotLooked = ({ look, state, answer }: StepNow): boolean =>
  look !== null && state === 'ticked' && answer === null;
