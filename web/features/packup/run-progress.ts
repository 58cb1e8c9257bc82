import type { RunStepView, RunView } from '#contract/packup.ts';

export const isWaiting = ({ state, waitsUntil }: RunStepView, nowMs: number): boolean =>
  state === 'open' && waitsUntil !== null && Date.parse(waitsUntil) > nowMs;

/** Steps that count: what a look has found not to be called for does not. */
const calledFor = ({ steps }: Pick<RunView, 'steps'>): RunStepView[] => steps.filter(({ called }) => called !== 'no');

/** The step at hand: the first open one whose wait is over, else the first open one. */
export function stepAtHand(run: RunView, nowMs: number): RunStepView | null {
  const open = calledFor(run).filter(({ state, called }) => state === 'open' && called === 'yes');
  return open.find((step) => !isWaiting(step, nowMs)) ?? open[0] ?? null;
}

export type Progress = {
  readonly closed: number;
  readonly total: number;
  readonly minutesLeft: number;
  readonly mustOpen: readonly RunStepView[];
};

export function progressOf(run: RunView): Progress {
  const steps = calledFor(run);
  const open = steps.filter(({ state }) => state === 'open');
  return {
    closed: steps.length - open.length,
    total: steps.length,
    minutesLeft: open.reduce((sum, { activeMinutes }) => sum + activeMinutes, 0),
    mustOpen: open.filter(({ must, called }) => must && called === 'yes'),
  };
}

/** "4:05" until a wait ends. */
export function countdown(untilIso: string, nowMs: number): string {
  const seconds = Math.max(0, Math.ceil((Date.parse(untilIso) - nowMs) / 1000));
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
}
