import type { AloneId } from '#core/instruments/alone.ts';
import { MINUTES_PER_DAY } from '#core/plays/play.ts';
import { dateOfDay, type LocalDate } from '#core/time/local-date.ts';

/**
 * The plays of one instrument as columns, oldest first: what the clocks read. Ten years of daily playing are some
 * 3,600 rows; a clock then costs two binary searches.
 */
export type PlayColumns = {
  /** Wall minute (see `wallMinute`) at which each play ended; the start of its day where the hour is not known. */
  readonly endedAt: Int32Array;
  readonly minutes: Int32Array;
  /** `played[i]` = minutes of the plays before row i; one longer than the rows. */
  readonly played: Int32Array;
  /** The rows in which only parts of it were played, and which; most records have none. */
  readonly alone: ReadonlyMap<number, AloneId>;
};

const NONE_ALONE: ReadonlyMap<number, AloneId> = new Map();

/**
 * Builds the columns. Rows must be sorted by `endedAt`, oldest first.
 *
 * @throws RangeError when the columns differ in length or are not sorted
 */
export function playColumns(
  endedAt: Int32Array,
  minutes: Int32Array,
  alone: ReadonlyMap<number, AloneId> = NONE_ALONE,
): PlayColumns {
  if (endedAt.length !== minutes.length) throw new RangeError('play columns differ in length');
  const played = new Int32Array(minutes.length + 1);
  for (let row = 0; row < minutes.length; row++) {
    if (row > 0 && (endedAt[row] ?? 0) < (endedAt[row - 1] ?? 0)) throw new RangeError('plays are not sorted');
    played[row + 1] = (played[row] ?? 0) + (minutes[row] ?? 0);
  }
  return { endedAt, minutes, played, alone };
}

/** The first row that ended after `wallMinute`. */
function firstAfter(endedAt: Int32Array, wallMinute: number): number {
  let low = 0;
  let high = endedAt.length;
  while (low < high) {
    const middle = (low + high) >>> 1;
    if ((endedAt[middle] ?? 0) > wallMinute) high = middle;
    else low = middle + 1;
  }
  return low;
}

const inserted = (numbers: Int32Array, row: number, number: number): Int32Array => {
  const more = new Int32Array(numbers.length + 1);
  more.set(numbers.subarray(0, row));
  more[row] = number;
  more.set(numbers.subarray(row), row + 1);
  return more;
};

/** One play more: when it ended, how long it was, and of which parts where it was not the whole. */
export type PlayMore = { readonly at: number; readonly minutes: number; readonly alone: AloneId | null };

/** The columns with one play more, in its place; of plays at one minute the shorter come first, as they are read. */
export function withPlay({ endedAt, minutes, alone }: PlayColumns, more: PlayMore): PlayColumns {
  let row = firstAfter(endedAt, more.at);
  while (row > 0 && endedAt[row - 1] === more.at && (minutes[row - 1] ?? 0) > more.minutes) row -= 1;
  const moved = new Map([...alone].map(([before, id]) => [before < row ? before : before + 1, id]));
  if (more.alone !== null) moved.set(row, more.alone);
  return playColumns(inserted(endedAt, row, more.at), inserted(minutes, row, more.minutes), moved);
}

/** Plays of parts by their minute and length, as a record has them beside the columns. */
export function withAlone(columns: PlayColumns, plays: readonly PlayMore[]): PlayColumns {
  if (plays.length === 0) return columns;
  const { endedAt, minutes } = columns;
  const rows = new Map<number, AloneId>();
  for (const { at, minutes: length, alone } of plays) {
    let row = firstAfter(endedAt, at) - 1;
    // Two plays that ended at one minute and are equally long are told apart by nothing: any free row is this one's.
    while (row >= 0 && endedAt[row] === at && (minutes[row] !== length || rows.has(row))) row -= 1;
    if (alone !== null && row >= 0 && endedAt[row] === at) rows.set(row, alone);
  }
  return playColumns(endedAt, minutes, rows);
}

const touching = new WeakMap<PlayColumns, Map<string, PlayColumns>>();

/**
 * The plays that touched something: those of the whole, and those of parts it belongs to. Columns in which nothing was
 * left in the case are answered themselves; the same question has the same object.
 *
 * @param isOf does it belong to these parts?
 */
export function playsTouching(columns: PlayColumns, isOf: (alone: AloneId) => boolean): PlayColumns {
  const { endedAt, minutes, alone } = columns;
  const left = [...alone].filter(([, id]) => !isOf(id)).map(([row]) => row);
  if (left.length === 0) return columns;
  const key = [...new Set(alone.values())].filter((id) => !isOf(id)).join(' ');
  const mine = touching.get(columns) ?? new Map<string, PlayColumns>();
  const known = mine.get(key);
  if (known) return known;
  const isLeft = new Set(left);
  const kept = Array.from(endedAt.keys()).filter((row) => !isLeft.has(row));
  const pick = (numbers: Int32Array) => Int32Array.from(kept, (row) => numbers[row] ?? 0);
  const rows = new Map(
    kept.flatMap((row, at) => {
      const id = alone.get(row);
      return id === undefined ? [] : [[at, id] as const];
    }),
  );
  const made = playColumns(pick(endedAt), pick(minutes), rows);
  touching.set(columns, mine.set(key, made));
  return made;
}

/** The day of the last play; null where nothing was played. */
export function lastPlayedOn({ endedAt }: PlayColumns): LocalDate | null {
  const last = endedAt.at(-1);
  return last === undefined ? null : dateOfDay(Math.floor(last / MINUTES_PER_DAY));
}

/** The number of the day of the first play that ended after `wallMinute`; null where there is none. */
export function firstPlayedAfter({ endedAt }: PlayColumns, wallMinute: number): number | null {
  const first = endedAt[firstAfter(endedAt, wallMinute)];
  return first === undefined ? null : Math.floor(first / MINUTES_PER_DAY);
}

export type Played = { readonly plays: number; readonly minutes: number };

/** Plays that ended after `wallMinute`, and their minutes. */
export function playedSince(columns: PlayColumns, wallMinute: number): Played {
  const row = firstAfter(columns.endedAt, wallMinute);
  const rows = columns.endedAt.length;
  return { plays: rows - row, minutes: (columns.played[rows] ?? 0) - (columns.played[row] ?? 0) };
}
