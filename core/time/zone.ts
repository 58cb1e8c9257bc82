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
  return { fromMs, toMs: (wall) => momentOf(wall, fromMs) };
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
