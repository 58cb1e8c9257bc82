import { itemIn } from '#core/book/practice.ts';
import type { Instrument } from '#core/instruments/instrument.ts';
import { practiceFor } from '#core/methods/practice-for.ts';
import { DONE_BY } from '#core/care/done-by.ts';
import { NEEDED, type ColumnRole } from '#core/data/table-columns.ts';
import { dayIn, minuteOfDayIn, minutesIn, numberIn } from '#core/data/table-values.ts';
import { TABLE_PROBLEMS, type TableProblem } from '#core/data/table-words.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import type { TableReading } from '#contract/data.ts';
import type { TableRow } from '#server/features/data/read-table.ts';
import type { Services } from '#server/services.ts';

/** What a row asks to be written down: a kind of fact, and what is said. */
export type RowSaid = { readonly kind: string; readonly said: Readonly<Record<string, unknown>> };
export type RowRefusal = { readonly code: TableProblem; readonly words: string };

const refuse = (problem: TableProblem, cell: string): Outcome<never, RowRefusal> =>
  fail({ code: problem, words: TABLE_PROBLEMS[problem](cell.trim().slice(0, 60)) });
const same = (one: string, other: string): boolean => one.trim().toLowerCase() === other.trim().toLowerCase();

const FAHRENHEIT_FREEZES = 32;
const FAHRENHEIT_A_CELSIUS = 1.8;
/** Nobody plays at so many degrees Celsius: it is said in Fahrenheit. */
const HOTTEST_CELSIUS = 45;
const TENTHS = 10;
const inCelsius = (degrees: number): number =>
  degrees <= HOTTEST_CELSIUS
    ? degrees
    : Math.round(((degrees - FAHRENHEIT_FREEZES) / FAHRENHEIT_A_CELSIUS) * TENTHS) / TENTHS;

/** Columns without which a table of its kind says nothing. */
export const missingIn = ({ what, columns }: TableReading): ColumnRole[] =>
  NEEDED[what].filter((role) => !columns.includes(role));

type Reading = Pick<TableReading, 'order' | 'columns' | 'playerId' | 'instrumentId'>;

/** The cells of a row by what they say, and whose and of what it is. */
function cellReader({ columns, playerId, instrumentId }: Reading, { instruments, players }: Services) {
  const known = instruments.all().flatMap(({ id }) => instruments.find(id) ?? []);
  const people = players.all();
  const cellOf = ({ cells }: TableRow, role: ColumnRole): string => {
    const at = columns.indexOf(role);
    return at < 0 ? '' : (cells[at] ?? '').trim();
  };
  return {
    cellOf,
    instrumentIn: (row: TableRow): Outcome<Instrument, RowRefusal> => {
      const cell = cellOf(row, 'instrument');
      const isMeant = ({ id, name }: Instrument) =>
        cell === '' ? id === instrumentId : same(name, cell) || id === cell;
      const found = known.find(isMeant);
      return found ? succeed(found) : refuse('no-instrument', cell);
    },
    playerIn: (row: TableRow): Outcome<string, RowRefusal> => {
      const cell = cellOf(row, 'player');
      if (cell === '') return succeed(playerId);
      const found = people.find(({ id, name }) => same(name, cell) || id === cell);
      return found ? succeed(found.id) : refuse('no-player', cell);
    },
  };
}
type CellReader = ReturnType<typeof cellReader>;

/** A row as a play. */
function playIn(row: TableRow, { order }: Reading, { cellOf, instrumentIn, playerIn }: CellReader) {
  const [day, minutes] = [dayIn(cellOf(row, 'date'), order), minutesIn(cellOf(row, 'minutes'))];
  if (day === undefined) return refuse('no-day', cellOf(row, 'date'));
  if (minutes === undefined) return refuse('no-minutes', cellOf(row, 'minutes'));
  const [hour, room] = [cellOf(row, 'endedAt'), cellOf(row, 'room')];
  const endedAtMinute = hour === '' ? null : minuteOfDayIn(hour);
  if (endedAtMinute === undefined) return refuse('no-hour', hour);
  const degrees = room === '' ? null : numberIn(room.replace(/\s*°?\s*[CF]$/i, ''));
  if (degrees === undefined) return refuse('no-number', room);
  const [instrument, player] = [instrumentIn(row), playerIn(row)];
  if (!instrument.ok) return instrument;
  if (!player.ok) return player;
  const said = {
    instrumentId: instrument.value.id,
    playerId: player.value,
    endedOn: day,
    endedAtMinute,
    minutes,
    roomCelsius: degrees === null ? null : inCelsius(degrees),
    alone: null,
  };
  return succeed({ kind: 'play', said });
}

/** A row as care that was done. */
function careIn(row: TableRow, { order }: Reading, { cellOf, instrumentIn }: CellReader, book: Services['book']) {
  const doneOn = dayIn(cellOf(row, 'date'), order);
  if (doneOn === undefined) return refuse('no-day', cellOf(row, 'date'));
  const instrument = instrumentIn(row);
  if (!instrument.ok) return instrument;
  const { id, kind, build } = instrument.value;
  const practice = practiceFor(book, kind, build);
  const cell = cellOf(row, 'care');
  const item = practice.items.find(({ name }) => same(name, cell)) ?? itemIn(practice, cell);
  if (item === undefined) return refuse('no-care', cell);
  const hands = cellOf(row, 'by');
  const by = hands === '' ? 'player' : DONE_BY.find((one) => same(one, hands));
  if (by === undefined) return refuse('no-hands', hands);
  return succeed({ kind: 'care', said: { instrumentId: id, itemId: item.id, doneOn, by } });
}

/** Reads rows of a table, one by one, as what they say of the instruments and people of a record. */
export function rowReader(reading: TableReading, services: Services): (row: TableRow) => Outcome<RowSaid, RowRefusal> {
  const cells = cellReader(reading, services);
  return reading.what === 'plays'
    ? (row) => playIn(row, reading, cells)
    : (row) => careIn(row, reading, cells, services.book);
}
