import type { RunNow, StepNow } from '#core/packup/run-log.ts';

/** Is an open step held up by a wait that still runs? */
export const isWaiting = ({ waitsUntilMs }: Pick<StepNow, 'waitsUntilMs'>, nowMs: number): boolean =>
  waitsUntilMs !== null && waitsUntilMs > nowMs;

/** Steps that count: not what a look has found needless, what cannot be done, or what another step is about to do. */
const calledFor = <Step extends StepNow>(steps: readonly Step[]): Step[] =>
  steps.filter(({ called, unless }) => called === 'yes' || (called === 'undecided' && unless.length === 0));

/** The step at hand: the first open one whose wait is over, else the first open one. */
export function stepAtHand<Step extends StepNow>(steps: readonly Step[], nowMs: number): Step | null {
  const open = calledFor(steps).filter(({ state, called }) => state === 'open' && called === 'yes');
  return open.find((step) => !isWaiting(step, nowMs)) ?? open[0] ?? null;
}

/** The open steps that cannot be done without this one. */
export const standingOn = <Step extends StepNow>(steps: readonly Step[], { id, instrumentId }: StepNow): Step[] =>
  calledFor(steps).filter(
    (one) => one.instrumentId === instrumentId && one.state === 'open' && one.standsOn.includes(id),
  );

export type RunProgress = { readonly closed: number; readonly total: number; readonly minutesLeft: number };

/** How many of the steps that count are ticked or left out, and the handwork of the rest, minutes. */
export function progressOf(run: Pick<RunNow, 'steps'>): RunProgress {
  const steps = calledFor(run.steps);
  const open = steps.filter(({ state }) => state === 'open');
  return {
    closed: steps.length - open.length,
    total: steps.length,
    minutesLeft: open.reduce((sum, { activeMinutes }) => sum + activeMinutes, 0),
  };
}

/** "4:05" until a moment, ms since 1970; "0:00" once it is past. */
export function countdown(untilMs: number, nowMs: number): string {
  const seconds = Math.max(0, Math.ceil((untilMs - nowMs) / 1000));
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
}
