import { MINUTES_PER_DAY } from '#core/plays/play.ts';
import type { PlayColumns } from '#core/plays/play-columns.ts';
import { dayNumber, type LocalDate } from '#core/time/local-date.ts';

/** How far back a habit is looked for, weeks (estimate). */
const WEEKS_SEEN = 8;
const DAYS_PER_WEEK = 7;
/** Played on at least this share of the days on which anything was played: it belongs to such a day (estimate). */
const USUAL_SHARE = 0.5;
/** Fewer such weekdays than this tell nothing of the weekday; then every day counts (estimate). */
const FEWEST_DAYS = 3;
const STEP_MINUTES = 5;

export type EveningCandidate<Id> = {
  readonly id: Id;
  readonly plays: PlayColumns;
  /** Minutes of an ordinary play, where the weekday does not tell. */
  readonly usualMinutes: number;
};
export type EveningPlay<Id> = { readonly id: Id; readonly minutes: number; readonly usual: boolean };

type MinutesByDay = { readonly today: number; readonly days: ReadonlyMap<number, number> };
/** Columns never change: what was found in them for a day is found again. */
const found = new WeakMap<PlayColumns, MinutesByDay>();

/** Minutes played on each day of the weeks before `today`, by day number. */
function minutesByDay(columns: PlayColumns, today: number): ReadonlyMap<number, number> {
  const known = found.get(columns);
  if (known?.today === today) return known.days;
  const days = new Map<number, number>();
  const { endedAt, minutes } = columns;
  for (let row = endedAt.length - 1; row >= 0; row--) {
    const day = Math.floor((endedAt[row] ?? 0) / MINUTES_PER_DAY);
    if (day < today - WEEKS_SEEN * DAYS_PER_WEEK) break;
    if (day <= today) days.set(day, (days.get(day) ?? 0) + (minutes[row] ?? 0));
  }
  found.set(columns, { today, days });
  return days;
}

function medianToFive(values: readonly number[]): number {
  const sorted = values.toSorted((a, b) => a - b);
  const median = sorted[Math.floor(sorted.length / 2)] ?? STEP_MINUTES;
  return Math.max(STEP_MINUTES, Math.round(median / STEP_MINUTES) * STEP_MINUTES);
}

/**
 * What somebody who comes home on this weekday has probably played: the instruments of at least half of the days like
 * it on which anything was played in the last eight weeks, each with the median minutes of such a day. What has been
 * logged today already is not offered again. Shares and weeks are estimates.
 *
 * @returns every candidate in the order given; `usual` says which to set out as played
 */
export function usualEvening<Id>(candidates: readonly EveningCandidate<Id>[], on: LocalDate): EveningPlay<Id>[] {
  const today = dayNumber(on);
  const byDay = candidates.map(({ plays }) => minutesByDay(plays, today));
  const before = new Set(byDay.flatMap((days) => [...days.keys()]).filter((day) => day < today));
  const alike = [...before].filter((day) => (today - day) % DAYS_PER_WEEK === 0);
  const days = alike.length >= FEWEST_DAYS ? alike : [...before];
  return candidates.map(({ id, usualMinutes }, index) => {
    const mine = byDay[index] ?? new Map<number, number>();
    const played = days.flatMap((day) => mine.get(day) ?? []);
    return {
      id,
      minutes: played.length >= FEWEST_DAYS ? medianToFive(played) : usualMinutes,
      usual: played.length > 0 && played.length >= days.length * USUAL_SHARE && !mine.has(today),
    };
  });
}
