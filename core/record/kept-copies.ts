import { dateOfDay, dayNumber, weekdayOfDay, type LocalDate } from '#core/time/local-date.ts';

/** So many days, weeks and months back a copy is kept of each (a rule of this program). */
export const KEPT = { days: 7, weeks: 5, months: 12 } as const;

const mondayOf = (date: LocalDate): LocalDate => {
  const day = dayNumber(date);
  return dateOfDay(day - weekdayOfDay(day));
};
const monthOf = (date: LocalDate): string => date.slice(0, 7);

/** The newest of each group, of so many groups from the newest on. */
function newestOf(copies: readonly LocalDate[], groupOf: (date: LocalDate) => string, most: number): LocalDate[] {
  const newest = new Map<string, LocalDate>();
  for (const copy of copies.toSorted()) newest.set(groupOf(copy), copy);
  return [...newest]
    .toSorted(([one], [other]) => (one < other ? 1 : -1))
    .slice(0, most)
    .map(([, copy]) => copy);
}

/**
 * Which copies of a record are let go: kept are the newest of each of the last seven days, five weeks and twelve months
 * that have one. Counted by days that have a copy, so a record that rests for years keeps what it has.
 *
 * @param copies the days on which one was made, in any order
 */
export function copiesLetGo(copies: readonly LocalDate[]): LocalDate[] {
  const kept = new Set([
    ...newestOf(copies, (date) => date, KEPT.days),
    ...newestOf(copies, mondayOf, KEPT.weeks),
    ...newestOf(copies, monthOf, KEPT.months),
  ]);
  return copies.filter((one) => !kept.has(one));
}
