import { playSeason, type SeasonResult, type WayOfPlaying } from '#core/reeds/play-season.ts';
import { drawSeason } from '#core/reeds/reed-season.ts';
import type { LocalDate } from '#core/time/local-date.ts';

/** A mean and the band in which it lies with a chance of nine in ten. */
export type Band = { readonly mean: number; readonly low: number; readonly high: number };

/** 1.645 standard errors to either side: the normal band, from the second value on. */
const NINE_IN_TEN = 1.645;
export function bandOfMean(values: readonly number[]): Band {
  const mean = values.reduce((sum, one) => sum + one, 0) / values.length;
  const spread = values.reduce((sum, one) => sum + (one - mean) ** 2, 0) / (values.length - 1);
  const half = values.length > 1 ? NINE_IN_TEN * Math.sqrt(spread / values.length) : Infinity;
  return { mean, low: mean - half, high: mean + half };
}

/** What one way of playing came to in the same seasons. */
export function seasonsOf(way: () => WayOfPlaying, seeds: readonly number[], begins: LocalDate): SeasonResult[] {
  return seeds.map((seed) => playSeason(drawSeason(seed, begins), way()));
}

/** The difference of two ways season by season, by common random numbers. */
export const differenceOf = (
  one: readonly SeasonResult[],
  other: readonly SeasonResult[],
  what: (result: SeasonResult) => number,
): Band => bandOfMean(one.map((result, at) => what(result) - what(other[at] ?? result)));
