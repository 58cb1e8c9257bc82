import type { CareItemId, StepId } from '#core/care/care-item.ts';
import type { Step } from '#core/care/step.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { msOfInstant, type Instant } from '#core/time/instant.ts';

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

/** One entry of a run's log. Nothing is ever changed: a tick taken back is an `unticked`. */
export type RunEvent =
  | { readonly kind: 'ticked'; readonly stepId: StepId; readonly at: Instant }
  | { readonly kind: 'unticked'; readonly stepId: StepId; readonly at: Instant }
  | { readonly kind: 'skipped'; readonly stepId: StepId; readonly reason: SkipReason; readonly at: Instant }
  /** `count` repeats are done by now. */
  | { readonly kind: 'counted'; readonly stepId: StepId; readonly count: number; readonly at: Instant }
  | { readonly kind: 'finished'; readonly at: Instant };
export const RUN_EVENT_KINDS = [
  'ticked',
  'unticked',
  'skipped',
  'counted',
  'finished',
] as const satisfies RunEvent['kind'][];

export type StepState =
  | { readonly kind: 'open'; readonly count: number }
  | { readonly kind: 'ticked'; readonly count: number; readonly at: Instant }
  | { readonly kind: 'skipped'; readonly count: number; readonly reason: SkipReason };

export type RunState = {
  readonly steps: ReadonlyMap<StepId, StepState>;
  readonly finishedAt: Instant | null;
};

const OPEN: StepState = { kind: 'open', count: 0 };

/** Where a step stands in a run. */
export const stepState = (state: RunState, id: StepId): StepState => state.steps.get(id) ?? OPEN;

function nextStepState(before: StepState, event: Exclude<RunEvent, { kind: 'finished' }>): StepState {
  switch (event.kind) {
    case 'ticked':
      // Ticked in a second tab as well: the first tick stays, so that a wait does not start anew.
      return before.kind === 'ticked' ? before : { kind: 'ticked', count: before.count, at: event.at };
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
  const steps = new Map<StepId, StepState>();
  let finishedAt: Instant | null = null;
  for (const event of events) {
    if (event.kind === 'finished') finishedAt ??= event.at;
    else steps.set(event.stepId, nextStepState(steps.get(event.stepId) ?? OPEN, event));
  }
  return { steps, finishedAt };
}

export type RunEventFault =
  | { readonly code: 'already-finished' }
  | { readonly code: 'no-such-step'; readonly stepId: string }
  | { readonly code: 'must-steps-open'; readonly stepIds: readonly StepId[] };

/** May this event be added to the run? A run is finished once, and never with a must-step neither done nor skipped. */
export function checkRunEvent(
  steps: readonly Step[],
  state: RunState,
  event: RunEvent,
): Outcome<RunEvent, RunEventFault> {
  if (state.finishedAt !== null) return fail({ code: 'already-finished' });
  if (event.kind === 'finished') {
    const open = steps
      .filter(({ id, must }) => must === true && stepState(state, id).kind === 'open')
      .map(({ id }) => id);
    return open.length > 0 ? fail({ code: 'must-steps-open', stepIds: open }) : succeed(event);
  }
  if (!steps.some(({ id }) => id === event.stepId)) return fail({ code: 'no-such-step', stepId: event.stepId });
  return succeed(event);
}

const settled = (state: StepState): boolean =>
  state.kind === 'ticked' || (state.kind === 'skipped' && SKIP_SETTLES[state.reason]);

/**
 * The care items a run has done: those all of whose steps in the run are ticked, or skipped with a reason that
 * settles them; and those a ticked step does on the side.
 */
export function careDoneBy(steps: readonly Step[], state: RunState): CareItemId[] {
  const items = new Set(steps.map(({ item }) => item));
  const done = [...items].filter((item) =>
    steps.filter((step) => step.item === item).every(({ id }) => settled(stepState(state, id))),
  );
  const aside = steps
    .filter(({ id }) => stepState(state, id).kind === 'ticked')
    .flatMap(({ alsoDoes }) => alsoDoes ?? []);
  return [...new Set([...done, ...aside])];
}

/**
 * When a step may start because of waits: the latest end of a wait it depends on, or null when none is running or all
 * waits it depends on have not begun.
 */
export function waitsUntilMs(steps: readonly Step[], state: RunState, step: Step): number | null {
  const ends = steps.flatMap((earlier) => {
    const at = stepState(state, earlier.id);
    if (earlier.wait === undefined || !earlier.wait.until.includes(step.id) || at.kind !== 'ticked') return [];
    return [msOfInstant(at.at) + earlier.wait.minutes.value * 60_000];
  });
  return ends.length === 0 ? null : Math.max(...ends);
}
