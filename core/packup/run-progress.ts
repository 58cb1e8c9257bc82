import type { RunNow, StepNow } from '#core/packup/run-log.ts';
import { answerExpected } from '#core/packup/expected-answer.ts';
import { TURN_SECONDS } from '#core/packup/turning.ts';

/** Is an open step held up by a wait that still runs? */
export const isWaiting = ({ waitsUntilMs }: Pick<StepNow, 'waitsUntilMs'>, nowMs: number): boolean =>
  waitsUntilMs !== null && waitsUntilMs > nowMs;

/** Does what is usually found call for it? The plan has left time for nothing else. */
function isUsual({ calledBy, instrumentId }: StepNow, steps: readonly StepNow[]): boolean {
  if (calledBy === null) return true;
  const asked = steps.find((one) => one.instrumentId === instrumentId && one.id === calledBy.look);
  const usual = asked?.look ? answerExpected(asked.look, asked.expects) : undefined;
  return usual === undefined || calledBy.answers.includes(usual);
}

/**
 * Steps that count: not what a look has found needless, or usually finds so; what cannot be done; or what another step is
 * about to do.
 */
const calledFor = <Step extends StepNow>(steps: readonly Step[]): Step[] =>
  steps.filter(
    (step) =>
      step.called === 'yes' || (step.called === 'undecided' && step.unless.length === 0 && isUsual(step, steps)),
  );

/**
 * The step at hand: what is not to lie any longer, once all it stands on is done; else the first open one whose wait is
 * over, else the first open one.
 */
export function stepAtHand<Step extends StepNow>(steps: readonly Step[], nowMs: number): Step | null {
  const open = calledFor(steps).filter(({ state, called }) => state === 'open' && called === 'yes');
  const isOpen = (one: Step, id: Step['id']) =>
    open.some((other) => other.instrumentId === one.instrumentId && other.id === id);
  const pressing = open.find(
    (step) => step.mostUntilMs !== null && !isWaiting(step, nowMs) && !step.standsOn.some((id) => isOpen(step, id)),
  );
  if (pressing !== undefined) return pressing;
  return open.find((step) => !isWaiting(step, nowMs)) ?? open[0] ?? null;
}

/** The open steps that cannot be done without this one. */
export const standingOn = <Step extends StepNow>(steps: readonly Step[], { id, instrumentId }: StepNow): Step[] =>
  calledFor(steps).filter(
    (one) => one.instrumentId === instrumentId && one.state === 'open' && one.standsOn.includes(id),
  );

/** What can be said to be done in one go: open, called for, no look, and not held up by a wait that still runs. */
export const doneInOneGo = <Step extends StepNow>(steps: readonly Step[], nowMs: number): Step[] =>
  steps.filter(
    (step) => step.state === 'open' && step.called === 'yes' && step.look === null && !isWaiting(step, nowMs),
  );

const MS_PER_MINUTE = 60_000;

const TURN_MINUTES = TURN_SECONDS.value / 60;
/** Minutes are rounded on their way. */
const ROUNDING = 0.01;

/** Do hands turn to another instrument between two steps? The plan has left time for it there; in the round over all it has not. */
function isTurn(before: StepNow | undefined, step: StepNow): boolean {
  if (before === undefined || before.instrumentId === step.instrumentId) return false;
  if (before.startsAtMinute === null || step.startsAtMinute === null) return true;
  return step.startsAtMinute - (before.startsAtMinute + before.activeMinutes) > TURN_MINUTES - ROUNDING;
}

/**
 * How long the open steps still take in their order, minutes: their handwork, turning from one instrument to another, and
 * where a step waits for another with nothing to do meanwhile, the rest of that wait.
 */
function minutesFor(open: readonly StepNow[], nowMs: number): number {
  const over = new Map<string, number>();
  let minutes = 0;
  for (const [at, step] of open.entries()) {
    if (isTurn(open[at - 1], step)) minutes += TURN_MINUTES;
    const running = step.waitsUntilMs === null ? 0 : (step.waitsUntilMs - nowMs) / MS_PER_MINUTE;
    const held = over.get(`${step.instrumentId}:${step.id}`) ?? 0;
    minutes = Math.max(minutes, running, held) + step.activeMinutes;
    for (const id of step.wait?.until ?? []) {
      const key = `${step.instrumentId}:${id}`;
      over.set(key, Math.max(over.get(key) ?? 0, minutes + (step.wait?.minutes ?? 0)));
    }
  }
  return minutes;
}

export type RunProgress = { readonly closed: number; readonly total: number; readonly minutesLeft: number };

/** How many of the steps that count are ticked or left out, and how long the rest takes with its waits, minutes. */
export function progressOf(run: Pick<RunNow, 'steps'>, nowMs: number): RunProgress {
  const steps = calledFor(run.steps);
  const open = steps.filter(({ state }) => state === 'open');
  return {
    closed: steps.length - open.length,
    total: steps.length,
    minutesLeft: minutesFor(open, nowMs),
  };
}

/** "4:05" until a moment, ms since 1970; "0:00" once it is past. */
export function countdown(untilMs: number, nowMs: number): string {
  const seconds = Math.max(0, Math.ceil((untilMs - nowMs) / 1000));
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
}
