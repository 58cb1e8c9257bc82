import Papa from 'papaparse';
import { rolesOfHeaders, type ColumnRole, type TableKind } from '#core/data/table-columns.ts';
import { LARGEST_TABLE, MOST_COLUMNS, MOST_ROWS } from '#core/data/table-limits.ts';
import { dateOrderOf, numberIn } from '#core/data/table-values.ts';
import type { DayOrder } from '#core/explain/format.ts';
import { noRowsWords, tableTooLargeWords, tooManyColumnsWords, tooManyRowsWords } from '#core/data/table-words.ts';
import { CopyRefusal } from '#server/backup/copy-refusal.ts';

/** A row as a spreadsheet numbers it. */
export type TableRow = { readonly at: number; readonly cells: readonly string[] };
export type ReadTable = {
  readonly encoding: string;
  readonly delimiter: string;
  readonly rows: readonly TableRow[];
  readonly width: number;
};

const BYTES_A_MEGABYTE = 1_000_000;
const MARKED: readonly (readonly [mark: readonly number[], encoding: string])[] = [
  [[0xef, 0xbb, 0xbf], 'utf-8'],
  [[0xff, 0xfe], 'utf-16le'],
  [[0xfe, 0xff], 'utf-16be'],
];
const SHOWN: Readonly<Record<string, string>> = {
  'utf-8': 'UTF-8',
  'utf-16le': 'UTF-16',
  'utf-16be': 'UTF-16',
  'windows-1252': 'Windows-1252',
};

/** The text of a file, in the encoding it is found to have: as it is marked, else UTF-8 where it is that, else Windows'. */
function decoded(bytes: Uint8Array): { readonly text: string; readonly encoding: string } {
  const marked = MARKED.find(([mark]) => mark.every((byte, at) => bytes[at] === byte))?.[1];
  const read = (encoding: string, fatal: boolean) => new TextDecoder(encoding, { fatal }).decode(bytes);
  if (marked !== undefined) return { text: read(marked, false), encoding: marked };
  try {
    return { text: read('utf-8', true), encoding: 'utf-8' };
  } catch {
    return { text: read('windows-1252', false), encoding: 'windows-1252' };
  }
}

const DELIMITERS = [',', ';', '\t', '|'];
const isEmpty = (cells: readonly string[]): boolean => cells.every((cell) => cell.trim() === '');

/** Rows that say what parts the cells of all. */
const TELLING = 20;

/** What parts the cells: that by which most rows have as many cells as the first, and more than one. */
function delimiterOf(text: string): string {
  const fitting = (delimiter: string): number => {
    const { data } = Papa.parse<string[]>(text, { delimiter, preview: TELLING, skipEmptyLines: 'greedy' });
    const width = data[0]?.length ?? 0;
    return width < 2 ? 0 : data.filter((cells) => cells.length === width).length / data.length;
  };
  return DELIMITERS.reduce((best, one) => (fitting(one) > fitting(best) ? one : best));
}

/**
 * Reads a table (RFC 4180, and what spreadsheets make of it): its encoding and what parts its cells are found by
 * themselves, quoted cells may hold line ends, lines may end as they like.
 *
 * @throws CopyRefusal when it is too large, too wide or empty
 */
export function readTable(bytes: Uint8Array): ReadTable {
  if (bytes.length > LARGEST_TABLE) throw new CopyRefusal(tableTooLargeWords(LARGEST_TABLE / BYTES_A_MEGABYTE));
  const { text, encoding } = decoded(bytes);
  const delimiter = delimiterOf(text);
  const parsed = Papa.parse<string[]>(text, { delimiter, preview: 2 * MOST_ROWS });
  const rows = parsed.data.map((cells, index) => ({ at: index + 1, cells })).filter(({ cells }) => !isEmpty(cells));
  if (rows.length === 0) throw new CopyRefusal(noRowsWords);
  const width = rows.reduce((most, { cells }) => Math.max(most, cells.length), 0);
  if (width > MOST_COLUMNS) throw new CopyRefusal(tooManyColumnsWords(MOST_COLUMNS));
  if (rows.length > MOST_ROWS + 1) throw new CopyRefusal(tooManyRowsWords(MOST_ROWS));
  return { encoding: SHOWN[encoding] ?? encoding, delimiter, rows, width };
}

/** The cells of a column. */
export const columnOf = (rows: readonly TableRow[], at: number): string[] => rows.map(({ cells }) => cells[at] ?? '');

/** How a table is read, as far as it says so itself. */
export type FoundReading = {
  readonly what: TableKind;
  readonly hasHeader: boolean;
  readonly order: DayOrder;
  readonly columns: readonly (ColumnRole | null)[];
};

/** Columns without words: the first that holds days, and the first other that holds numbers. */
function rolesByCells(rows: readonly TableRow[], width: number, usual: DayOrder): (ColumnRole | null)[] {
  const columns = Array.from({ length: width }, (_, at) => columnOf(rows, at));
  const date = columns.findIndex((cells) => dateOrderOf(cells, usual) !== null);
  const minutes = columns.findIndex(
    (cells, at) => at !== date && cells.filter((cell) => numberIn(cell) !== undefined).length > cells.length / 2,
  );
  return columns.map((_, at) => (at === date ? 'date' : at === minutes ? 'minutes' : null));
}

/** @param usual the order of days where a table leaves it open */
export function foundReading({ rows, width }: ReadTable, usual: DayOrder): FoundReading {
  const [first] = rows;
  const named = rolesOfHeaders(Array.from({ length: width }, (_, at) => first?.cells[at] ?? ''));
  const hasNames = named.some((role) => role !== null);
  const hasDay = first?.cells.some((cell) => dateOrderOf([cell], usual) !== null) === true;
  const hasHeader = hasNames || !hasDay;
  const body = hasHeader ? rows.slice(1) : rows;
  const columns = hasNames ? named : rolesByCells(body, width, usual);
  const date = columns.indexOf('date');
  return {
    what: columns.includes('care') && !columns.includes('minutes') ? 'care' : 'plays',
    hasHeader,
    order: (date < 0 ? null : dateOrderOf(columnOf(body, date), usual)) ?? usual,
    columns,
  };
}
