import type { ReedPlanView } from '#contract/reed-views.ts';
import type { Cell } from '#web/ui/use-moves.ts';

/** How large the drawing is: days as wide as a pointer needs them, or as a thumb does. */
export type RowsSize = { readonly day: number; readonly row: number; readonly top: number };
export const AT_A_TABLE: RowsSize = { day: 15, row: 30, top: 26 };
/** Seven days beside the names on a phone; the others are a swipe away. */
export const IN_A_HAND: RowsSize = { day: 30, row: 46, top: 26 };

/** A planned session, or a place where the player wants none. */
export type Session = Cell & {
  readonly minutes: number;
  /** The player has set it. */
  readonly isSet: boolean;
};

/** What can be moved: planned sessions, and what was set aside, row by row and day by day. */
export const sessionsOf = ({ rows }: ReedPlanView): Session[] =>
  rows.flatMap(({ planned, set }, row) =>
    planned.flatMap((minutes, day): Session[] => {
      const isSet = set[day] !== null && set[day] !== undefined;
      return minutes > 0 || isSet ? [{ row, day, minutes, isSet }] : [];
    }),
  );

/** The nearest session in the direction of an arrow key; the same one where there is none. */
export function neighbourOf(sessions: readonly Session[], from: Cell, key: string): Cell {
  const inRow = (row: number, later: (day: number) => boolean) =>
    sessions.filter((one) => one.row === row && later(one.day));
  if (key === 'ArrowRight') return inRow(from.row, (day) => day > from.day)[0] ?? from;
  if (key === 'ArrowLeft') return inRow(from.row, (day) => day < from.day).at(-1) ?? from;
  const step = key === 'ArrowDown' ? 1 : -1;
  const rows = [...new Set(sessions.map(({ row }) => row))].toSorted((a, b) => (a - b) * step);
  const next = rows.find((row) => (row - from.row) * step > 0);
  if (next === undefined) return from;
  const near = ({ day }: Cell): number => Math.abs(day - from.day);
  return inRow(next, () => true).toSorted((a, b) => near(a) - near(b))[0] ?? from;
}

/** A place so many days and rows on, inside the plan. */
export function shifted({ row, day }: Cell, by: Cell, { rows, expected }: ReedPlanView): Cell {
  const within = (at: number, count: number): number => Math.min(count - 1, Math.max(0, at));
  return { row: within(row + by.row, rows.length), day: within(day + by.day, expected.length) };
}
