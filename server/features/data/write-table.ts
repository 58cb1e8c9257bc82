import Papa from 'papaparse';
import { bookItem } from '#core/book/book.ts';
import { columnWords } from '#core/data/table-words.ts';
import { clockTime } from '#core/plays/play-words.ts';
import type { TableDelimiter } from '#contract/data.ts';
import { readingBeside } from '#server/features/data/beside.ts';
import { createTableRows, type CareLine, type PlayLine } from '#server/features/data/table-lines.repository.ts';
import type { Services } from '#server/services.ts';

type Cell = string | number | null;
/** What a table holds: its head, and its rows in the order of their days, some at a time. */
export type Rows = (
  read: ReturnType<typeof createTableRows>,
  names: Names,
) => { readonly head: readonly string[]; readonly rows: AsyncGenerator<readonly (readonly Cell[])[]> };

type Names = { readonly of: (instrument: string) => string; readonly who: (player: string) => string } & Pick<
  Services,
  'book'
>;

const CUT: Readonly<Record<TableDelimiter, string>> = { comma: ',', semicolon: ';', tab: '\t' };
/** A spreadsheet takes text for what it is by this mark. */
const BYTE_ORDER_MARK = '\ufeff';
const LINE_END = '\r\n';

async function* mapped<Line>(lines: AsyncGenerator<Line[]>, cells: (line: Line) => readonly Cell[]) {
  for await (const some of lines) yield some.map(cells);
}

export const playRows: Rows = (read, { of, who }) => ({
  head: [...(['date', 'endedAt', 'minutes', 'instrument', 'player'] as const).map(columnWords), 'Room °C'],
  rows: mapped(read.plays(), ({ on, atMinute, minutes, instrumentId, playerId, roomCelsius }: PlayLine) => [
    on,
    atMinute === null ? null : clockTime(atMinute),
    minutes,
    of(instrumentId),
    who(playerId),
    roomCelsius,
  ]),
});

export const careRows: Rows = (read, { of, book }) => ({
  head: (['date', 'care', 'instrument', 'by'] as const).map(columnWords),
  rows: mapped(read.care(), ({ on, itemId, instrumentId, by }: CareLine) => [
    on,
    bookItem(book, itemId)?.name ?? itemId,
    of(instrumentId),
    by,
  ]),
});

/**
 * A table as CSV (RFC 4180), piece by piece: days as ISO 8601 writes them, the first row names the columns, and no cell is
 * one a spreadsheet would run. Where semicolons part the cells a comma parts decimals, as spreadsheets expect it there.
 */
export const writtenTable = (
  file: string,
  delimiter: TableDelimiter,
  { instruments, players, book }: Services,
  rowsOf: Rows,
): AsyncGenerator<string> =>
  readingBeside(file, async function* ({ client }) {
    const people = new Map(players.all().map(({ id, name }) => [String(id), name]));
    const named = new Map(instruments.all().map(({ id }) => [String(id), instruments.nameOf(id) ?? id]));
    const names: Names = { book, of: (id) => named.get(id) ?? id, who: (id) => people.get(id) ?? id };
    const { head, rows } = rowsOf(createTableRows(client), names);
    const cellOf = (cell: Cell): Cell =>
      typeof cell === 'number' && delimiter === 'semicolon' ? String(cell).replace('.', ',') : cell;
    const cut = (some: readonly (readonly Cell[])[]): string =>
      Papa.unparse(
        some.map((row) => row.map(cellOf)),
        {
          delimiter: CUT[delimiter],
          newline: LINE_END,
          escapeFormulae: true,
        },
      ) + LINE_END;
    yield BYTE_ORDER_MARK + cut([head]);
    for await (const some of rows) if (some.length > 0) yield cut(some);
  });
