import { counted, listed, type DayOrder } from '#core/explain/format.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import type { ColumnRole, TableKind } from '#core/data/table-columns.ts';

/** The kind of fact a table that was brought in is. */
export const TABLE_IMPORT = 'table-import';
/** A table that was brought in, as the record has it. */
export type TableImported = {
  readonly playerId: PlayerId;
  readonly what: TableKind;
  readonly name: string;
  readonly rows: number;
};

const rowsOf = (what: TableKind, rows: number): string =>
  what === 'plays' ? counted(rows, 'play') : `${counted(rows, 'entry').replace('entrys', 'entries')} of care`;

/** How it reads in the record. */
export const tableImportWords = ({ what, rows, name }: Omit<TableImported, 'playerId'>): string =>
  `A table was brought in: ${rowsOf(what, rows)}${name === '' ? '' : ` (${name})`}.`;

/** What a table would bring. */
export const tableHoldsWords = (what: TableKind, rows: number): string => `A table of ${rowsOf(what, rows)}.`;

/** What of it is new and what is not. */
export function tableLines(what: TableKind, taken: number, known: number): string[] {
  return [
    taken === 0 ? 'Your record has all of it already.' : `${rowsOf(what, taken)} ${taken === 1 ? 'is' : 'are'} new.`,
    ...(known === 0 || taken === 0 ? [] : [`${known} ${known === 1 ? 'is' : 'are'} in your record already.`]),
    ...(taken === 0 ? [] : ['They are taken in together, and taken back together.']),
  ];
}

/** What has come of it. */
export const tableTakenWords = (what: TableKind, taken: number): string =>
  `${rowsOf(what, taken)} ${taken === 1 ? 'is' : 'are'} in your record now.`;

const ORDERS: Readonly<Record<DayOrder, string>> = {
  'year-month-day': 'year, month, day',
  'day-month-year': 'day, month, year',
  'month-day-year': 'month, day, year',
};
export const dateOrderWords = (order: DayOrder): string => ORDERS[order];

const ROLES: Readonly<Record<ColumnRole, string>> = {
  date: 'Day',
  endedAt: 'Ended at',
  minutes: 'Minutes',
  instrument: 'Instrument',
  player: 'Player',
  room: 'Room temperature',
  care: 'What was done',
  by: 'Done by',
};
export const columnWords = (role: ColumnRole): string => ROLES[role];

/** Why a row is not taken in. */
export const TABLE_PROBLEMS = {
  'no-day': (cell: string) => `“${cell}” is no day.`,
  'no-minutes': (cell: string) => `“${cell}” is no time of playing.`,
  'no-hour': (cell: string) => `“${cell}” is no time of day.`,
  'no-number': (cell: string) => `“${cell}” is no temperature.`,
  'no-instrument': (cell: string) => `No instrument in your record is called “${cell}”.`,
  'no-player': (cell: string) => `Nobody in your record is called “${cell}”.`,
  'no-care': (cell: string) => `This instrument has no care called “${cell}”.`,
  'no-hands': (cell: string) => `“${cell}” says nobody who does such work: it is “player” or “bench”.`,
} as const;
export type TableProblem = keyof typeof TABLE_PROBLEMS;

/** A table that cannot be looked at row by row. */
export const missingColumnWords = (roles: readonly ColumnRole[]): string =>
  `Say which column is ${listed(roles.map((role) => `“${columnWords(role)}”`))}.`;
export const tooManyRowsWords = (most: number): string => `A table of at most ${most} rows is brought in at once.`;
export const tooManyColumnsWords = (most: number): string => `A table of at most ${most} columns is brought in.`;
export const noRowsWords = 'There is nothing in this table.';
export const tableTooLargeWords = (megabytes: number): string =>
  `A table of at most ${megabytes} MB is brought in at once.`;
