import type { CareItemId } from '#core/book/care-ids.ts';
import type { Step } from '#core/book/step.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import type { PartId } from '#core/instruments/kind.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { runStepKey, type RunStep, type RunStepKey } from '#core/packup/run-step.ts';
import { msOfInstant, type Instant } from '#core/time/instant.ts';
import type { LastPass } from '#core/water/wetness.ts';

/** What a run is for. */
export const RUN_KINDS = ['before', 'after', 'care'] as const;
export type RunKind = (typeof RUN_KINDS)[number];

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

type AboutStep<Kind extends string> = { readonly kind: Kind; readonly stepKey: RunStepKey; readonly at: Instant };

/** One entry of a run's log. Nothing is ever changed: a tick taken back is an `unticked`. */
export type RunEvent =
  | AboutStep<'ticked'>
  | AboutStep<'unticked'>
  | (AboutStep<'skipped'> & { readonly reason: SkipReason })
  /** `count` repeats are done by now. */
  | (AboutStep<'counted'> & { readonly count: number })
  /** The look is done and found this. */
  | (AboutStep<'answered'> & { readonly answer: string })
  /** After a swabbing step: was the last of `count` passes dry? May come after the end of the run. */
  | (AboutStep<'last-pass'> & { readonly count: number; readonly found: LastPass })
  /** A step that was left out for want of time is done after all. */
  | AboutStep<'pulled-in'>
  | { readonly kind: 'finished'; readonly at: Instant };
export const RUN_EVENT_KINDS = [
  'ticked',
  'unticked',
  'skipped',
  'counted',
  'answered',
  'pulled-in',
  'last-pass',
  'finished',
] as const satisfies RunEvent['kind'][];

export type StepState =
  | { readonly kind: 'open'; readonly count: number }
  | { readonly kind: 'ticked'; readonly count: number; readonly at: Instant; readonly answer: string | null }
  | { readonly kind: 'skipped'; readonly count: number; readonly reason: SkipReason };

export type RunState = {
  readonly steps: ReadonlyMap<RunStepKey, StepState>;
  readonly pulledIn: ReadonlySet<RunStepKey>;
  /** What the cloth showed, by swabbing step; the latest answer counts. */
  readonly lastPass: ReadonlyMap<RunStepKey, { readonly count: number; readonly found: LastPass }>;
  readonly finishedAt: Instant | null;
};

const OPEN: StepState = { kind: 'open', count: 0 };

/** Where a step stands in a run. */
export const stepState = (state: RunState, key: RunStepKey): StepState => state.steps.get(key) ?? OPEN;

type StepEvent = Exclude<RunEvent, { kind: 'finished' | 'pulled-in' | 'last-pass' }>;

function nextStepState(before: StepState, event: StepEvent): StepState {
  switch (event.kind) {
    case 'ticked':
      // Ticked in a second tab as well: the first tick stays, so that a wait does not start anew.
      return before.kind === 'ticked' ? before : { kind: 'ticked', count: before.count, at: event.at, answer: null };
    case 'answered':
      return { kind: 'ticked', count: before.count, at: event.at, answer: event.answer };
    case 'unticked':
      return { kind: 'open', count: 0 };
    case 'skipped':
      return { kind: 'skipped', count: before.count, reason: event.reason };
    case 'counted':
      return before.kind === 'open' ? { kind: 'open', count: event.count } : { ...before, count: event.count };
  }
}

/** The state a log adds up to. Events are taken in the order given. */
export function runState(events: readonly RunEvent[]): RunState {
  const steps = new Map<RunStepKey, StepState>();
  const pulledIn = new Set<RunStepKey>();
  const lastPass = new Map<RunStepKey, { count: number; found: LastPass }>();
  let finishedAt: Instant | null = null;
  for (const event of events) {
    if (event.kind === 'finished') finishedAt ??= event.at;
    else if (event.kind === 'pulled-in') pulledIn.add(event.stepKey);
    else if (event.kind === 'last-pass') lastPass.set(event.stepKey, { count: event.count, found: event.found });
    else steps.set(event.stepKey, nextStepState(steps.get(event.stepKey) ?? OPEN, event));
  }
  return { steps, pulledIn, lastPass, finishedAt };
}

const answerTo = (state: RunState, key: RunStepKey): string | null => {
  const at = stepState(state, key);
  return at.kind === 'ticked' ? at.answer : null;
};

/**
 * Is a step called for? `no`: a look has found that it is not, or has ended its item (something is stuck); `undecided`:
 * the look it depends on is still to come.
 */
export function isCalledFor(
  steps: readonly RunStep[],
  state: RunState,
  { instrumentId, step }: RunStep,
): 'yes' | 'no' | 'undecided' {
  const ended = steps.some((other) => {
    if (other.instrumentId !== instrumentId || other.step.item !== step.item || other.step.id === step.id) return false;
    const answer = answerTo(state, other.key);
    return other.step.look?.answers.some(({ id, endsItem }) => endsItem === true && id === answer) === true;
  });
  if (ended) return 'no';
  if (step.calledBy === undefined) return 'yes';
  const look = runStepKey(instrumentId, step.calledBy.look);
  if (!steps.some(({ key }) => key === look)) return 'yes';
  const answer = answerTo(state, look);
  if (answer === null) return stepState(state, look).kind === 'skipped' ? 'yes' : 'undecided';
  return step.calledBy.answers.includes(answer) ? 'yes' : 'no';
}

export type RunEventFault =
  | { readonly code: 'already-finished' }
  | { readonly code: 'no-such-step'; readonly stepKey: string }
  | { readonly code: 'no-such-answer'; readonly allowed: readonly string[] }
  | { readonly code: 'answer-wanted'; readonly question: string }
  | { readonly code: 'no-passes'; readonly stepKey: string }
  | { readonly code: 'must-steps-open'; readonly actions: readonly string[] };

/** May this event be added to the run? A run is finished once, and never with a must-step neither done nor skipped. */
export function checkRunEvent(
  steps: readonly RunStep[],
  state: RunState,
  event: RunEvent,
): Outcome<RunEvent, RunEventFault> {
  // What the cloth showed is often said only once the case is shut.
  if (state.finishedAt !== null && event.kind !== 'last-pass') return fail({ code: 'already-finished' });
  if (event.kind === 'finished') {
    const open = steps.filter(
      (one) =>
        one.step.must === true && stepState(state, one.key).kind === 'open' && isCalledFor(steps, state, one) === 'yes',
    );
    return open.length > 0
      ? fail({ code: 'must-steps-open', actions: open.map(({ step }) => step.action) })
      : succeed(event);
  }
  const found = steps.find(({ key }) => key === event.stepKey);
  if (!found) return fail({ code: 'no-such-step', stepKey: event.stepKey });
  const fault = faultOnStep(found.step, event);
  return fault === null ? succeed(event) : fail(fault);
}

/** What this step cannot take: passes it has not, a tick where an answer is wanted, an answer it does not know. */
function faultOnStep({ look, repeats }: Step, event: Exclude<RunEvent, { kind: 'finished' }>): RunEventFault | null {
  if (event.kind === 'last-pass' && repeats?.kind !== 'passes-by-water')
    return { code: 'no-passes', stepKey: event.stepKey };
  if (event.kind === 'ticked' && look) return { code: 'answer-wanted', question: look.question };
  if (event.kind !== 'answered') return null;
  const allowed = look?.answers.map(({ id }) => id) ?? [];
  return allowed.includes(event.answer) ? null : { code: 'no-such-answer', allowed };
}

const settled = (state: StepState): boolean =>
  state.kind === 'ticked' || (state.kind === 'skipped' && SKIP_SETTLES[state.reason]);

export type CareDone = { readonly instrumentId: InstrumentId; readonly itemId: CareItemId };

/**
 * The care items a run has done: those all of whose steps in the run are ticked, or skipped with a reason that settles
 * them, or not called for by a look; and those a ticked step does on the side. An item a look has ended is not done.
 *
 * @param leftOut steps planned but left out for want of time: their items are not done
 */
export function careDoneBy(steps: readonly RunStep[], state: RunState, leftOut: readonly RunStep[] = []): CareDone[] {
  const done = new Map<string, CareDone>();
  const add = (instrumentId: InstrumentId, itemId: CareItemId) =>
    done.set(`${instrumentId}:${itemId}`, { instrumentId, itemId });
  for (const { instrumentId, step } of steps) {
    const mine = steps.filter((one) => one.instrumentId === instrumentId && one.step.item === step.item);
    const waiting = leftOut.some((one) => one.instrumentId === instrumentId && one.step.item === step.item);
    const ended = mine.some((one) =>
      one.step.look?.answers.some(({ id, endsItem }) => endsItem && id === answerTo(state, one.key)),
    );
    const all = mine.every((one) => settled(stepState(state, one.key)) || isCalledFor(steps, state, one) === 'no');
    if (all && !ended && !waiting) add(instrumentId, step.item);
  }
  for (const { instrumentId, key, step } of steps)
    if (stepState(state, key).kind === 'ticked') for (const aside of step.alsoDoes ?? []) add(instrumentId, aside);
  return [...done.values()];
}

export type SignSeen = { readonly instrumentId: InstrumentId; readonly itemId: CareItemId; readonly part: PartId };

/** Signs the looks of a run have put in the record. */
export const signsSeenBy = (steps: readonly RunStep[], state: RunState): SignSeen[] =>
  steps.flatMap(({ instrumentId, key, step }) => {
    const answer = answerTo(state, key);
    const notice = step.look?.answers.find(({ id }) => id === answer)?.notice;
    return notice === undefined ? [] : [{ instrumentId, itemId: notice, part: step.part }];
  });

/**
 * When a step may start because of waits: the latest end of a wait it depends on, or null when none is running or all
 * waits it depends on have not begun.
 */
export function waitsUntilMs(
  steps: readonly RunStep[],
  state: RunState,
  { instrumentId, step }: RunStep,
): number | null {
  const ends = steps.flatMap((earlier) => {
    const at = stepState(state, earlier.key);
    const { wait } = earlier.step;
    if (earlier.instrumentId !== instrumentId || !wait?.until.includes(step.id) || at.kind !== 'ticked') return [];
    return [msOfInstant(at.at) + wait.minutes.value * 60_000];
  });
  return ends.length === 0 ? null : Math.max(...ends);
}
