import { doneInOneGo, isWaiting } from '#core/packup/run-progress.ts';
import { stretchesOf } from '#core/packup/stretches.ts';
import type { ShownStep } from '#contract/shown-run.ts';
import { stretchTitle } from '#web/features/packup/stretch-words.ts';

/** A stretch of a run as it stands. */
export type ShownStretch = {
  readonly key: string;
  readonly title: string;
  readonly steps: readonly ShownStep[];
  /** Steps that count, and how many of them are closed. */
  readonly total: number;
  readonly closed: number;
  readonly minutes: number;
  /** What one tap says to be done, and what it says was not needed: what is asked about and was not ticked. */
  readonly toTick: readonly ShownStep[];
  readonly notNeeded: readonly ShownStep[];
  /** All that is left of it waits until the instrument is at home. */
  readonly isForHome: boolean;
  /** When the first wait that holds all of it up is over, ms since 1970; null where something can be done. */
  readonly waitsUntilMs: number | null;
};

const counts = ({ called, unless }: ShownStep): boolean =>
  called === 'yes' || (called === 'undecided' && unless.length === 0);

/** The stretches of a run, each as it stands by now. */
export function shownStretches(steps: readonly ShownStep[], several: boolean, nowMs: number): ShownStretch[] {
  let before = '';
  return stretchesOf(steps).map((stretch) => {
    const own = stretchTitle(stretch, several);
    // A part that is come back to at once says so.
    const title = own === before ? `${own} again` : own;
    before = own;
    const mine = stretch.steps.filter(counts);
    const open = mine.filter(({ state, called }) => state === 'open' && called === 'yes');
    const now = doneInOneGo(stretch.steps, nowMs);
    const ends = open.filter((step) => isWaiting(step, nowMs)).map(({ waitsUntilMs }) => waitsUntilMs ?? nowMs);
    return {
      key: stretch.steps[0]?.key ?? '',
      title,
      steps: stretch.steps,
      total: mine.length,
      isForHome: mine.length === 0 && stretch.steps.some(({ called }) => called === 'at-home'),
      closed: mine.filter(({ state }) => state !== 'open').length,
      minutes: open.reduce((sum, { activeMinutes }) => sum + activeMinutes, 0),
      toTick: now.filter(({ onlyIf }) => onlyIf === null),
      notNeeded: now.filter(({ onlyIf }) => onlyIf !== null),
      waitsUntilMs: open.length > 0 && ends.length === open.length ? Math.min(...ends) : null,
    };
  });
}

/** The stretch to go on with: the first one something can be done in, else the first that waits. */
export const stretchAtHand = (stretches: readonly ShownStretch[]): ShownStretch | null => {
  const open = stretches.filter(({ closed, total }) => closed < total);
  return open.find(({ waitsUntilMs }) => waitsUntilMs === null) ?? open[0] ?? null;
};
