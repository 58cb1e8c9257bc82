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
};

/**
 * Builds the columns. Rows must be sorted by `endedAt`, oldest first.
 *
 * @throws RangeError when the columns differ in length or are not sorted
 */
export function playColumns(endedAt: Int32Array, minutes: Int32Array): PlayColumns {
  if (endedAt.length !== minutes.length) throw new RangeError('play columns differ in length');
  const played = new Int32Array(minutes.length + 1);
  for (let row = 0; row < minutes.length; row++) {
    if (row > 0 && (endedAt[row] ?? 0) < (endedAt[row - 1] ?? 0)) throw new RangeError('plays are not sorted');
    played[row + 1] = (played[row] ?? 0) + (minutes[row] ?? 0);
  }
  return { endedAt, minutes, played };
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

/** The columns with one play more, in its place; of plays at one minute the shorter come first, as they are read. */
export function withPlay({ endedAt, minutes }: PlayColumns, at: number, length: number): PlayColumns {
  let row = firstAfter(endedAt, at);
  while (row > 0 && endedAt[row - 1] === at && (minutes[row - 1] ?? 0) > length) row -= 1;
  return playColumns(inserted(endedAt, row, at), inserted(minutes, row, length));
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
