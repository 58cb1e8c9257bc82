import * as rruleModule from 'rrule';
import { dateOfWall, wallOfParts } from '#core/time/wall-time.ts';

// The package has only a default export in Node and only named ones in a bundle.
const { RRule } = 'default' in rruleModule ? (rruleModule.default as typeof rruleModule) : rruleModule;

/** More dates of one series than anybody plays in a year and a half. */
export const MOST_DATES = 800;

export type Recurring = {
  /** The first date, as a wall time. */
  readonly start: number;
  /** The rule as it stands after `RRULE:`. */
  readonly rule: string;
  /** Wall times from and until which dates are wanted. */
  readonly from: number;
  readonly until: number;
  /** Turns a moment into the wall time of the series: an end that is given in UTC. */
  readonly fromMs: (ms: number) => number;
};

export type Recurred =
  | { readonly kind: 'dates'; readonly walls: readonly number[]; readonly isCut: boolean }
  | { readonly kind: 'too-fine' | 'not-understood' };

const LAST_OF_DAY = 86_399_999;
/** `UNTIL` as a wall time: a date holds to its end, a time in UTC is told in the zone of the series. */
function untilOf(rule: string, fromMs: Recurring['fromMs']): number | null {
  const [, day, time, utc] = /UNTIL=(\d{8})(?:T(\d{6}))?(Z)?/i.exec(rule) ?? [];
  if (day === undefined) return null;
  const whole = (text: string, at: number, length = 2): number => Number(text.slice(at, at + length));
  const date = { year: whole(day, 0, 4), month: whole(day, 4), day: whole(day, 6) };
  if (time === undefined) return wallOfParts({ ...date, hour: 0, minute: 0, second: 0 }) + LAST_OF_DAY;
  const wall = wallOfParts({ ...date, hour: whole(time, 0), minute: whole(time, 2), second: whole(time, 4) });
  return utc === undefined ? wall : fromMs(wall);
}

/**
 * The dates of a series by its rule (RFC 5545, 3.3.10), as wall times within the days that are wanted. Series by the
 * hour, the minute or the second are none of a player's.
 */
export function recurred({ start, rule, from, until, fromMs }: Recurring): Recurred {
  const walls: number[] = [];
  let isCut = false;
  try {
    const options = RRule.parseString(rule);
    if (options.freq === undefined) return { kind: 'not-understood' };
    if (options.freq > RRule.DAILY) return { kind: 'too-fine' };
    const end = untilOf(rule, fromMs);
    const last = Math.min(until, end ?? Infinity);
    const series = new RRule({ ...options, until: null, dtstart: dateOfWall(start) }, true);
    series.all((date) => {
      const wall = date.getTime();
      if (wall > last) return false;
      if (wall >= from) walls.push(wall);
      isCut = walls.length > MOST_DATES;
      return !isCut;
    });
  } catch {
    return { kind: 'not-understood' };
  }
  return { kind: 'dates', walls: walls.slice(0, MOST_DATES), isCut };
}
