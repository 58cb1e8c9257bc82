import type { Marked } from '#core/explain/explained.ts';
import type { BreakIn } from '#core/reeds/reed.ts';
import { GRADED_AFTER_DAYS, OVERPLAYED, RAMP, TOO_LITTLE } from '#core/reeds/reed-numbers.ts';
import type { LocalDate } from '#core/time/local-date.ts';

/** Minutes of a reed on a day. */
export type DayOfUse = { readonly on: LocalDate; readonly minutes: number };

/** A day of breaking in that did not count as one. */
export type HeldBack = {
  readonly on: LocalDate;
  readonly minutes: number;
  readonly cap: number;
  readonly over: boolean;
};

/** How far breaking in has come. */
export type BreakingIn = {
  readonly by: Exclude<BreakIn, 'none'> | 'first-days';
  /** Days that counted, and how many there are. */
  readonly reached: number;
  readonly of: number;
  /** What today allows, with the weight the figure carries. */
  readonly cap: Marked;
  readonly heldBack: readonly HeldBack[];
  /** Minutes of the days that are left of it, today's first. */
  readonly ahead: readonly number[];
};

/** Steps of the ramp that minutes played before stand for. */
function stepsBefore(minutes: number): number {
  let [steps, left] = [0, minutes];
  for (; steps < RAMP.length && left >= (RAMP[steps]?.value ?? 0); steps++) left -= RAMP[steps]?.value ?? 0;
  return steps;
}

export type Ramping = {
  readonly breakIn: BreakIn;
  readonly before: number;
  /** From this day on the longer way is taken, whatever was chosen: it was too hard with a flat back. */
  readonly hardFrom: LocalDate | null;
  /** Since when its player has found it right, or soft: cane that is still closing feels hard. */
  readonly rightFrom: LocalDate | null;
};

const RAMP_MINUTES = RAMP.reduce((sum, { value }) => sum + value, 0);
const LAST_CAP = RAMP.at(-1)?.value ?? 0;

/** What may be played by the ramp, or what was played before and did no harm: nobody goes back behind that. */
const capOf = (ramp: Marked, played: number): Marked => {
  const unharmed = Math.min(played, LAST_CAP);
  return unharmed > ramp.value ? { value: unharmed, mark: 'estimate' } : ramp;
};

type Ramped = { readonly steps: number; readonly heldBack: readonly HeldBack[]; readonly most: number };

/** How far the days that are over have brought a reed along the ramp; beyond it the last of them count no more. */
function alongTheRamp(past: readonly DayOfUse[], before: number, isLong: (on: LocalDate) => boolean): Ramped {
  let [steps, most] = [stepsBefore(before), 0];
  const heldBack: HeldBack[] = [];
  for (const { on, minutes } of past) {
    const ramp = RAMP[Math.floor(steps)];
    if (ramp === undefined) break;
    const cap = capOf(ramp, most).value;
    const over = minutes > cap * OVERPLAYED.value;
    if (over || minutes < cap * TOO_LITTLE.value) heldBack.push({ on, minutes, cap, over });
    else steps += isLong(on) ? 0.5 : 1;
    most = Math.max(most, minutes);
  }
  return { steps, heldBack, most };
}

/** As many days and minutes as the ramp has, however they were spread; or its player found it right, after a few days. */
function isPlayedIn(past: readonly DayOfUse[], { before, rightFrom }: Ramping, held: number): boolean {
  const minutes = past.reduce((sum, one) => sum + one.minutes, before);
  const daysUntilRight = rightFrom === null ? 0 : past.filter(({ on }) => on <= rightFrom).length;
  const isLongEnough = past.length >= RAMP.length * held && minutes >= RAMP_MINUTES * held;
  return isLongEnough || daysUntilRight >= GRADED_AFTER_DAYS.value;
}

/**
 * How far a reed has been broken in by the days it was really played: a day counts where it came near its cap, an
 * overplayed or hardly played one does not, and a missed day takes nothing away. Null where it is broken in: by the ramp, by
 * as many days and minutes as the ramp has however they were spread, or by its player's own grade.
 */
export function breakingIn(days: readonly DayOfUse[], today: LocalDate, ramping: Ramping): BreakingIn | null {
  const { breakIn, before, hardFrom } = ramping;
  if (breakIn === 'none') return null;
  const isLong = (on: LocalDate) => breakIn === 'two-weeks' || (hardFrom !== null && hardFrom <= on);
  const [by, held] = isLong(today) ? (['two-weeks', 2] as const) : (['week', 1] as const);
  const past = days.filter(({ on }) => on < today);
  const { steps, heldBack, most } = alongTheRamp(past, before, isLong);
  const ramp = RAMP[Math.floor(steps)];
  if (ramp === undefined || isPlayedIn(past, ramping, held)) return null;
  const reached = Math.floor(steps * held);
  const ahead = RAMP.flatMap(({ value }) => Array.from({ length: held }, () => value)).slice(reached);
  return { by, reached, of: RAMP.length * held, cap: capOf(ramp, most), heldBack, ahead };
}

/**
 * The first days of a double reed that came new: a few minutes, a little more each day it is played, then it is free
 * (practice book, double reeds in figures). Null once they are over.
 */
export function firstDays(days: readonly DayOfUse[], today: LocalDate, steps: readonly Marked[]): BreakingIn | null {
  const reached = days.filter(({ on }) => on < today).length;
  const cap = steps[reached];
  const ahead = steps.slice(reached).map(({ value }) => value);
  return cap === undefined ? null : { by: 'first-days', reached, of: steps.length, cap, heldBack: [], ahead };
}
