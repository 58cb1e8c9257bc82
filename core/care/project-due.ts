import type { Limbs } from '#core/book/care-item.ts';
import type { Played } from '#core/plays/play-columns.ts';
import type { Forecast } from '#core/plays/forecast.ts';
import { dateOfDay, type LocalDate } from '#core/time/local-date.ts';

/** When an item will be due: the first day its load reaches 1, with the range the spread of the player's days allows. */
export type DueRange = { readonly on: LocalDate; readonly earliest: LocalDate; readonly latest: LocalDate };

/** Four fifths of a normal distribution lie within ±1.2816 standard deviations. */
const Z_80_PERCENT = 1.2816;
/** Beyond a year and a half nothing played is foreseen; the calendar limb still is. */
const HORIZON_DAYS = 550;

export type DueInput = {
  readonly limbs: Limbs;
  /** Day number the clock counts from. */
  readonly from: number;
  readonly played: Played;
  /** Day number of the player's today. */
  readonly today: number;
  readonly forecast: Forecast;
};

type UntilPlayed = { readonly mean: number; readonly early: number; readonly late: number };

/** First day of each course on which the played limbs run out: the mean course and both ends of the range. */
function walkForward(today: number, rest: Played, forecast: Forecast): UntilPlayed {
  const until = { mean: Infinity, early: Infinity, late: Infinity };
  let [minutes, variance, plays] = [0, 0, 0];
  for (let days = 1; days <= HORIZON_DAYS && until.late === Infinity; days++) {
    minutes += forecast.minutesOn(today + days);
    variance += forecast.spreadOn(today + days) ** 2;
    plays += forecast.playsOn(today + days);
    const margin = Z_80_PERCENT * Math.sqrt(variance);
    const byPlays = plays >= rest.plays;
    if (byPlays || minutes + margin >= rest.minutes) until.early = Math.min(until.early, days);
    if (byPlays || minutes >= rest.minutes) until.mean = Math.min(until.mean, days);
    if (byPlays || minutes - margin >= rest.minutes) until.late = days;
  }
  return until;
}

/** Days from today until a played limb runs out; 0 when it has, Infinity when none is in sight. */
function daysUntilPlayed({ limbs, played, today, forecast }: DueInput): UntilPlayed {
  const rest = {
    minutes: limbs.minutes ? limbs.minutes.value - played.minutes : Infinity,
    plays: limbs.plays ? limbs.plays.value - played.plays : Infinity,
  };
  if (rest.minutes <= 0 || rest.plays <= 0) return { mean: 0, early: 0, late: 0 };
  if (rest.minutes === Infinity && rest.plays === Infinity) return { mean: Infinity, early: Infinity, late: Infinity };
  return walkForward(today, rest, forecast);
}

/**
 * The number of the first day after today on which a play is foreseen; null where none is in sight.
 *
 * @param today number of the day
 */
export function firstPlayForeseen(today: number, forecast: Forecast): number | null {
  const known = foreseen.get(forecast) ?? new Map<number, number | null>();
  foreseen.set(forecast, known);
  const before = known.get(today);
  if (before !== undefined) return before;
  const found = lookForPlay(today, forecast);
  known.set(today, found);
  return found;
}
/** Asked again and again, of every clock that playing wears; a forecast never changes. */
const foreseen = new WeakMap<Forecast, Map<number, number | null>>();

function lookForPlay(today: number, forecast: Forecast): number | null {
  let plays = 0;
  for (let day = today + 1; day <= today + IN_SIGHT; day++) {
    plays += forecast.playsOn(day);
    if (plays >= 1 - ROUNDING) return day;
  }
  return null;
}
/** Who has not played for so long may play again any day: nothing is foreseen. */
const IN_SIGHT = 90;
/** Means of plays a weekday add up to one a week but for what arithmetic leaves over. */
const ROUNDING = 1e-9;

/**
 * Projected due day = first day load ≥ 1 under the forecast of minutes and plays; the earliest and latest day hold
 * four fifths of the spread. Something due already is due today. Null when nothing makes it due in sight.
 */
export function projectDue(input: DueInput): DueRange | null {
  const { limbs, from, today } = input;
  const byCalendar = limbs.days ? Math.max(0, from + Math.ceil(limbs.days.value) - today) : Infinity;
  const byPlaying = daysUntilPlayed(input);
  const on = Math.min(byCalendar, byPlaying.mean);
  if (on === Infinity) return null;
  const dayAfter = (days: number) => dateOfDay(today + days);
  const latest = Math.min(byCalendar, byPlaying.late);
  return {
    on: dayAfter(on),
    earliest: dayAfter(Math.min(byCalendar, byPlaying.early)),
    latest: dayAfter(latest === Infinity ? HORIZON_DAYS : latest),
  };
}
