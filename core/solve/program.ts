/** One number to be decided, and what a unit of it costs. */
export type Column = {
  readonly name: string;
  readonly cost: number;
  readonly least: number;
  readonly most: number;
  /** A whole number; else any number between the two. */
  readonly whole: boolean;
};

/** So many times the number in that column. */
export type Term = readonly [column: number, times: number];

/** A sum of terms that has to lie between two numbers. */
export type Row = {
  readonly name: string;
  readonly terms: readonly Term[];
  readonly least: number;
  readonly most: number;
};

/**
 * A mixed-integer linear program: the columns are chosen so that every row holds and the sum of their costs is least.
 * Names are for people and may repeat; columns and rows are known by their place.
 */
export type Program = { readonly columns: readonly Column[]; readonly rows: readonly Row[] };

export type Draft = {
  /** Adds a column and says its place; from 0 up without limit unless it says otherwise. */
  readonly column: (column: Pick<Column, 'name' | 'cost'> & Partial<Column>) => number;
  /** Adds a row and says its place; unlimited on the side that is not named. */
  readonly row: (row: Pick<Row, 'name' | 'terms'> & Partial<Row>) => number;
  readonly program: () => Program;
};

/** A program in the making. */
export function draftProgram(): Draft {
  const columns: Column[] = [];
  const rows: Row[] = [];
  return {
    column: (column) => columns.push({ least: 0, most: Infinity, whole: false, ...column }) - 1,
    row: (row) => rows.push({ least: -Infinity, most: Infinity, ...row }) - 1,
    program: () => ({ columns: [...columns], rows: [...rows] }),
  };
}

/** What a choice of the columns costs. */
export const costOf = ({ columns }: Program, values: readonly number[]): number =>
  columns.reduce((sum, { cost }, index) => sum + cost * (values[index] ?? 0), 0);

/** What the terms of a row come to. */
export const sumOf = ({ terms }: Row, values: readonly number[]): number =>
  terms.reduce((sum, [column, times]) => sum + times * (values[column] ?? 0), 0);
