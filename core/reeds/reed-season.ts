import prand from 'pure-rand';
import { estimate, oneVoice, practice } from '#core/explain/explained.ts';
import { CANE_LIFE } from '#core/reeds/reed-numbers.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';

/**
 * What a season is made of. The rates come from what practice says and were fixed before any way of playing was compared
 * with another.
 */
export const SEASON_RATES = {
  weeks: 26,
  /** Chance of playing, Monday to Sunday: five days of seven together. */
  playsOn: [0.9, 0.9, 0.4, 0.9, 0.9, 0.6, 0.4].map((chance) => estimate(chance)),
  /** Minutes of a play in fives, all alike likely: an hour in the middle, five hours a week. */
  minutes: { least: estimate(30), most: estimate(90) },
  /** One concert in each fortnight after the first, of so many minutes. */
  concertMinutes: estimate(80),
  /** Half of a box is good enough for a concert. */
  good: estimate(0.5),
  /** Broken in and rotated a reed lives about a month, played hard from the packet about a week: hard minutes count so often. */
  hard: oneVoice(4),
  inBox: practice(10),
} as const;
const SHAPE = CANE_LIFE.shape;
const { log, pow } = Math;

export type SeasonDay = { readonly on: LocalDate; readonly minutes: number; readonly isConcert: boolean };
/** What a reed turns out to be, whoever plays it. */
export type ReedFate = { readonly isGood: boolean; readonly lives: number };
/** The same for every way of playing: the days, and the n-th reed that is opened. */
export type ReedSeason = { readonly days: readonly SeasonDay[]; readonly fateOf: (opened: number) => ReedFate };

/** Minutes that would be foreseen for a weekday, Monday first. */
export const usualOn = (weekday: number): number =>
  ((SEASON_RATES.playsOn[weekday]?.value ?? 0) * (SEASON_RATES.minutes.least.value + SEASON_RATES.minutes.most.value)) /
  2;

const DAYS_A_WEEK = 7;
const FORTNIGHT = 14;
const FIVE = 5;
/** More reeds than are opened in half a year. */
const MOST_REEDS = 400;

/** Seeds next to each other begin alike: they are spread, and the first throws are not looked at. */
function diceOf(seed: number): prand.RandomGenerator {
  const dice = prand.xoroshiro128plus(Math.imul(seed * 2, 0x9e3779b1));
  for (let at = 0; at < 20; at++) dice.unsafeNext();
  return dice;
}

/** A season drawn by seed, beginning on a Monday. Reeds and days have dice of their own. */
export function drawSeason(seed: number, begins: LocalDate): ReedSeason {
  const [ofDays, ofReeds] = [diceOf(seed), diceOf(seed + 0.5)];
  const whole = (dice: typeof ofDays, least: number, most: number): number =>
    prand.unsafeUniformIntDistribution(least, most, dice);
  const share = (dice: typeof ofDays): number => (whole(dice, 0, 2 ** 30 - 1) + 0.5) / 2 ** 30;
  const { weeks, minutes, concertMinutes, good, playsOn } = SEASON_RATES;
  const concerts = new Set<number>();
  for (let from = FORTNIGHT; from < weeks * DAYS_A_WEEK; from += FORTNIGHT)
    concerts.add(from + whole(ofDays, 0, FORTNIGHT - 1));
  const days = Array.from({ length: weeks * DAYS_A_WEEK }, (_, index): SeasonDay => {
    const plays = share(ofDays) < (playsOn[index % DAYS_A_WEEK]?.value ?? 0);
    const played = whole(ofDays, minutes.least.value / FIVE, minutes.most.value / FIVE) * FIVE;
    const isConcert = concerts.has(index);
    return { on: addDays(begins, index), minutes: isConcert ? concertMinutes.value : plays ? played : 0, isConcert };
  });
  const fates = Array.from({ length: MOST_REEDS }, (): ReedFate => {
    const isGood = share(ofReeds) < good.value;
    // Weibull by its median: the inverse of its survival function.
    const lives = CANE_LIFE.median * pow(log(share(ofReeds)) / log(0.5), 1 / SHAPE);
    return { isGood, lives };
  });
  return { days, fateOf: (opened) => fates[opened % MOST_REEDS] ?? { isGood: false, lives: 0 } };
}
