import { wallOfParts } from '#core/time/wall-time.ts';

/**
 * Wall times and zones. A wall time is written as the milliseconds it would be in UTC; so calendars count, and the day it
 * falls on is exact whatever the clocks do.
 */
export type Zone = {
  /** The moment at which clocks there show this wall time, ms. */
  readonly toMs: (wall: number) => number;
  /** What clocks there show at a moment. */
  readonly fromMs: (ms: number) => number;
};

export const UTC: Zone = { toMs: (wall) => wall, fromMs: (ms) => ms };

const MS_PER_DAY = 86_400_000;

/** What clocks in a zone of the IANA list show; null where there is none of that name. */
export function ianaZone(name: string): Zone | null {
  let format: Intl.DateTimeFormat;
  try {
    format = new Intl.DateTimeFormat('en', {
      timeZone: name,
      calendar: 'iso8601',
      hourCycle: 'h23',
      year: 'numeric',
      month: 'numeric',
      day: 'numeric',
      hour: 'numeric',
      minute: 'numeric',
      second: 'numeric',
    });
  } catch {
    return null;
  }
  const fromMs = (ms: number): number => {
    const parts = new Map(format.formatToParts(ms).map(({ type, value }) => [type, Number(value)]));
    const get = (type: Intl.DateTimeFormatPartTypes): number => parts.get(type) ?? 0;
    return wallOfParts({
      year: get('year'),
      month: get('month'),
      day: get('day'),
      hour: get('hour'),
      minute: get('minute'),
      second: get('second'),
    });
  };
  return zoneOf(knownByDay(fromMs));
}

/** A zone by what its clocks show. */
export const zoneOf = (fromMs: Zone['fromMs']): Zone => ({ fromMs, toMs: (wall) => momentOf(wall, fromMs) });

/** Offsets that are remembered, by day. */
const MOST_KNOWN = 10_000;

/**
 * The same, asked once for each end of a day: clocks that are as far off at both have not been put between them. Asking
 * the runtime takes a thousand times as long.
 */
function knownByDay(fromMs: Zone['fromMs']): Zone['fromMs'] {
  const known = new Map<number, number>();
  const offsetAt = (day: number): number => {
    const before = known.get(day);
    if (before !== undefined) return before;
    if (known.size >= MOST_KNOWN) known.clear();
    const offset = fromMs(day * MS_PER_DAY) - day * MS_PER_DAY;
    known.set(day, offset);
    return offset;
  };
  return (ms) => {
    const day = Math.floor(ms / MS_PER_DAY);
    const offset = offsetAt(day);
    // A part of a second is none that clocks show.
    return offset === offsetAt(day + 1) ? Math.floor(ms / 1000) * 1000 + offset : fromMs(ms);
  };
}

/**
 * RFC 5545, 3.3.5: a wall time that comes twice is the first of the two; one that is left out is told by the offset
 * before the gap.
 */
function momentOf(wall: number, fromMs: Zone['fromMs']): number {
  const offset = (ms: number): number => fromMs(ms) - ms;
  const [before, after] = [offset(wall - MS_PER_DAY), offset(wall + MS_PER_DAY)];
  const fits = [wall - before, wall - after].filter((ms) => fromMs(ms) === wall);
  return fits.length > 0 ? Math.min(...fits) : wall - before;
}
