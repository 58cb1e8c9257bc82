import { readFile, stat } from 'node:fs/promises';
import { LARGEST_TABLE } from '#core/data/table-limits.ts';
import {
  missingColumnWords,
  tableHoldsWords,
  tableLines,
  tableTakenWords,
  tableTooLargeWords,
} from '#core/data/table-words.ts';
import type { DayOrder } from '#core/explain/format.ts';
import type { TableReading, TableView } from '#contract/data.ts';
import { CopyRefusal } from '#server/backup/copy-refusal.ts';
import { writingBeside } from '#server/features/data/beside.ts';
import { bringRows, type Brought } from '#server/features/data/bring-rows.ts';
import { DocumentRefusal } from '#server/features/data/import-document.ts';
import { clearScratch, inACopy, servicesOn } from '#server/features/data/in-a-copy.ts';
import { columnOf, foundReading, readTable, type ReadTable } from '#server/features/data/read-table.ts';
import { missingIn } from '#server/features/data/table-rows.ts';
import type { AtHand, Way } from '#server/features/data/way.ts';
import type { Services } from '#server/services.ts';

const NOBODY = 'Add the player and the instrument first: the rows of a table are somebody’s.';
const BYTES_A_MEGABYTE = 1_000_000;

/** The table in a file. @throws CopyRefusal when it is none that can be taken in */
async function tableIn(file: string): Promise<ReadTable> {
  const { size } = await stat(file);
  if (size > LARGEST_TABLE) throw new CopyRefusal(tableTooLargeWords(LARGEST_TABLE / BYTES_A_MEGABYTE));
  return readTable(await readFile(file));
}

/** How a table is read: as somebody has said, else as it is found. @throws CopyRefusal where nobody is in the record */
function readingOf(table: ReadTable, said: TableReading | null, usual: DayOrder, services: Services): TableReading {
  if (said !== null) return said;
  const [player] = services.players.all();
  if (player === undefined) throw new CopyRefusal(NOBODY);
  const [own] = services.instruments.ofPlayer(player.id);
  const { columns, ...found } = foundReading(table, usual);
  return { ...found, columns: [...columns], playerId: player.id, instrumentId: own?.id ?? null };
}

const DELIMITER_WORDS: Readonly<Record<string, string>> = { ',': 'comma', ';': 'semicolon', '\t': 'tab', '|': 'bar' };
const SHOWN_EXAMPLES = 3;

/** A table as it is shown, to be read otherwise. */
function viewOf(table: ReadTable, reading: TableReading, { players, instruments }: Services): TableView {
  const body = reading.hasHeader ? table.rows.slice(1) : table.rows;
  return {
    ...reading,
    encoding: table.encoding,
    delimiter: DELIMITER_WORDS[table.delimiter] ?? table.delimiter,
    heads: Array.from({ length: table.width }, (_, at) => ({
      header: reading.hasHeader ? (table.rows[0]?.cells[at] ?? '').slice(0, 60) : '',
      examples: columnOf(body.slice(0, SHOWN_EXAMPLES), at).map((cell) => cell.slice(0, 60)),
    })),
    instruments: instruments.all().map(({ id }) => ({ id, name: instruments.nameOf(id) ?? id })),
    people: players.all().map(({ id, name }) => ({ id, name })),
  };
}

const bringing = (at: AtHand, table: ReadTable, reading: TableReading) => ({
  ...at,
  nowMs: at.nowMs(),
  table,
  reading,
});

/** What the rows would bring: tried on a copy. */
const tried = (at: AtHand, table: ReadTable, reading: TableReading): Promise<Brought> =>
  inACopy(at.record.database().client, at.beside, async (beside) => {
    beside.client.exec('begin');
    return bringRows(beside, servicesOn(beside, at.book, at.nowMs), bringing(at, table, reading));
  });

/** A table of plays or of past care, from any spreadsheet: read, shown how, and taken in all or nothing. */
export const tableWay: Way = {
  look: async (at) => {
    const services = at.record.serve();
    const table = await tableIn(at.file);
    const reading = readingOf(table, at.reading, at.format.dayOrder, services);
    const shown = viewOf(table, reading, services);
    const rows = table.rows.length - (reading.hasHeader ? 1 : 0);
    const holds = tableHoldsWords(reading.what, rows);
    const missing = missingIn(reading);
    if (missing.length > 0)
      return {
        preview: { holds, lines: [missingColumnWords(missing)], players: [], isWorthIt: false, table: shown },
      };
    const { taken, known, problems } = await tried(at, table, reading);
    const isWorthIt = problems.length === 0 && taken > 0;
    const lines = problems.length > 0 ? [] : tableLines(reading.what, taken, known);
    return { preview: { holds, lines, players: [], isWorthIt, table: shown }, problems };
  },
  take: async (at) => {
    const table = await tableIn(at.file);
    const reading = readingOf(table, at.reading, at.format.dayOrder, at.record.serve());
    const { taken, problems } = await writingBeside(at.record.database().client.name, async (beside) => {
      const brought = await bringRows(beside, servicesOn(beside, at.book, at.nowMs), bringing(at, table, reading));
      if (brought.problems.length > 0) throw new DocumentRefusal(brought.problems);
      return brought;
    });
    at.record.change(() => undefined);
    return problems.length > 0 ? '' : tableTakenWords(reading.what, taken);
  },
  clear: clearScratch,
};
