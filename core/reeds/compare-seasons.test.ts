import { beforeAll, describe, expect, test } from '@jest/globals';
import { bandOfMean, differenceOf, seasonsOf } from '#core/reeds/compare-seasons.ts';
import { playSeason, type SeasonResult } from '#core/reeds/play-season.ts';
import type { ReedId } from '#core/reeds/reed.ts';
import { CANE_LIFE } from '#core/reeds/reed-numbers.ts';
import { drawSeason, SEASON_RATES } from '#core/reeds/reed-season.ts';
import { asPlanned, oneReedUntilSpent, roundRobin } from '#core/reeds/ways-of-playing.ts';
import { toldAndTrue } from '#core/reeds/told-and-true.ts';
import { localDate } from '#core/time/local-date.ts';

const BEGINS = localDate('2026-01-05');
/** Enough for sign and size; `npm run seasons` plays five hundred. */
const SEEDS = Array.from({ length: 6 }, (_, index) => index + 1);
const ready = (result: SeasonResult): number => result.ready;
const opened = (result: SeasonResult): number => result.opened;

describe('a season', () => {
  const seasons = Array.from({ length: 200 }, (_, index) => drawSeason(index + 1, BEGINS));

  test('is the same for the same seed, and seeds side by side are unlike', () => {
    const days = (seed: number) => drawSeason(seed, BEGINS).days;
    expect(days(3)).toEqual(days(3));
    expect(days(4)).not.toEqual(days(3));
    const goods = seasons.slice(0, 40).map(({ fateOf }) => fateOf(0).isGood);
    expect(new Set(goods).size).toBe(2);
  });

  test('has the rates it says: five hours a week, a concert a fortnight, half the reeds good, lives of the median', () => {
    const ordinary = seasons.flatMap(({ days }) => days.filter(({ isConcert }) => !isConcert));
    const aWeek = (ordinary.reduce((sum, { minutes }) => sum + minutes, 0) / ordinary.length) * 7;
    expect(aWeek / 60).toBeCloseTo(5, 1);
    for (const { days } of seasons)
      expect(days.filter(({ isConcert }) => isConcert)).toHaveLength(SEASON_RATES.weeks / 2 - 1);
    const fates = seasons.flatMap(({ fateOf }) => Array.from({ length: 50 }, (_, index) => fateOf(index)));
    expect(fates.filter(({ isGood }) => isGood).length / fates.length).toBeCloseTo(0.5, 1);
    const lives = fates.map(({ lives: one }) => one).sort((a, b) => a - b);
    expect((lives[lives.length / 2] ?? 0) / CANE_LIFE.median).toBeCloseTo(1, 1);
  });

  test('is not played on a reed there is none of, or that is played no more', () => {
    const [season] = seasons;
    if (!season) throw new Error('no season');
    expect(() => playSeason(season, ({ day }) => [{ reedId: 'none/1' as ReedId, minutes: day.minutes }])).toThrow(
      'cannot be played',
    );
    const stubborn: ReedId[] = [];
    const never = (): void =>
      void playSeason(season, ({ day, reeds }) => {
        const [first] = reeds;
        if (stubborn.length === 0 && first) stubborn.push(first.id);
        return stubborn.map((reedId) => ({ reedId, minutes: day.minutes }));
      });
    expect(never).toThrow('cannot be played');
  });

  test('one reed from the packet lasts about a week of playing', () => {
    const results = seasons.slice(0, 6).map((season) => playSeason(season, oneReedUntilSpent));
    const reeds = results.reduce((sum, one) => sum + one.opened, 0);
    expect((results.length * SEASON_RATES.weeks) / reeds).toBeGreaterThan(0.8);
    expect((results.length * SEASON_RATES.weeks) / reeds).toBeLessThan(1.6);
  });
});

describe('as Ulu plans it, in the same seasons', () => {
  const played: Record<'planned' | 'turns' | 'one', SeasonResult[]> = { planned: [], turns: [], one: [] };
  beforeAll(() => {
    played.planned = seasonsOf(() => asPlanned(), SEEDS, BEGINS);
    played.turns = seasonsOf(() => roundRobin, SEEDS, BEGINS);
    played.one = seasonsOf(() => oneReedUntilSpent, SEEDS, BEGINS);
  });

  test('more concerts are played on a ready reed than with one reed until it is spent, on fewer reeds', () => {
    expect(differenceOf(played.planned, played.one, ready).low).toBeGreaterThan(3);
    expect(differenceOf(played.planned, played.one, opened).high).toBeLessThan(-5);
  });

  test('more concerts are played on a ready reed than in turns', () => {
    expect(differenceOf(played.planned, played.turns, ready).mean).toBeGreaterThan(0.5);
  });
});

test('of the concerts that are told a chance of about nine in ten, about nine in ten have their reed', () => {
  // Three seasons here; `npm run seasons -- --told 10 --seasons 170` holds two thousand concerts against it.
  const all = toldAndTrue(() => asPlanned(), SEEDS.slice(0, 3), { begins: BEGINS, ahead: 10, wanted: 1 });
  const sure = all.filter(({ told }) => told >= 0.8);
  expect(sure.length).toBeGreaterThan(15);
  const mean = sure.reduce((sum, { told }) => sum + told, 0) / sure.length;
  const share = sure.filter(({ isTrue }) => isTrue).length / sure.length;
  // Three standard errors of so few: a chance told half as large again, or half as small, is far outside.
  expect(Math.abs(share - mean)).toBeLessThan(3 * Math.sqrt((mean * (1 - mean)) / sure.length) + 0.05);
});

test('the band of a mean: five values by hand, and one value says nothing', () => {
  // Mean 3, variance 2.5: 1.645 × √(2.5 ÷ 5) to either side.
  const { mean, low, high } = bandOfMean([1, 2, 3, 4, 5]);
  expect(mean).toBe(3);
  expect(high - mean).toBeCloseTo(1.1632, 4);
  expect(mean - low).toBeCloseTo(1.1632, 4);
  expect(bandOfMean([7])).toEqual({ mean: 7, low: -Infinity, high: Infinity });
});
