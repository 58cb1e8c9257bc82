import { describe, expect, test } from '@jest/globals';
import { reedsOf, REED_TODAY, said, used } from '#core/testing/reeds.ts';
import { weatherOf } from '#core/reeds/reed-weather.ts';
import { weatherWords } from '#core/reeds/reed-weather-words.ts';
import { whichReed, type WantedFor } from '#core/reeds/which-reed.ts';
import type { Resistance, Sits } from '#core/reeds/reed.ts';
import { wallMinute } from '#core/plays/play.ts';
import { addDays } from '#core/time/local-date.ts';

const BOX = { kind: 'oboe', breakIn: 'none', before: [300, 300, 300] } as const;
const graded = (number: number, resistance: Resistance, sits: Sits) =>
  said(number, addDays(REED_TODAY, -9), {
    ...{ what: 'graded', feel: 'right', goodFor: 'concert', signs: [] },
    ...{ resistance, sits },
  });
/** Three oboe reeds played two days ago, unlike one another: easy and flat, middling, hard and sharp. */
const reeds = reedsOf([used(1, 2, 30), used(2, 2, 30), used(3, 2, 30)], {
  box: BOX,
  sayings: [graded(1, 1, 'flat'), graded(2, 3, 'in-tune'), graded(3, 5, 'sharp')],
  setting: { family: 'double' },
});
const first = (celsius: number, humidityPercent: number, over: Partial<WantedFor> = {}): number | undefined =>
  whichReed(reeds, {
    nowWall: wallMinute(REED_TODAY, 600),
    today: REED_TODAY,
    minutes: 60,
    isConcert: false,
    shareOfLife: () => 0.2,
    weather: weatherOf({ celsius, humidityPercent }),
    ...over,
  }).choices[0]?.reed.number;

describe('which of the five, by the air', () => {
  test('damp: the easier one; dry: the more resistant; cold: the one that sits sharp; hot: the one that sits flat', () => {
    expect(first(20, 70)).toBe(1);
    expect(first(20, 30)).toBe(3);
    expect(first(12, 50)).toBe(3);
    expect(first(30, 50)).toBe(1);
  });
  test('where two hold, cold or hot comes before damp or dry', () => {
    expect(first(12, 80)).toBe(3);
    expect(first(30, 20)).toBe(1);
  });
  test('the limits are those of the book: damp from 65 %, dry below 35 %', () => {
    expect(weatherOf({ celsius: 20, humidityPercent: 65 }).air).toBe('damp');
    expect(weatherOf({ celsius: 20, humidityPercent: 64 }).air).toBeNull();
    expect(weatherOf({ celsius: 20, humidityPercent: 35 }).air).toBeNull();
    expect(weatherOf({ celsius: 20, humidityPercent: 34 }).air).toBe('dry');
    expect(weatherOf(undefined)).toEqual({ warmth: null, air: null });
  });
  test('a concert comes before all weather: first half of its life, played within three days', () => {
    const shareOfLife: WantedFor['shareOfLife'] = ({ number }) => (number === 3 ? 0.95 : 0.2);
    expect(first(12, 50, { isConcert: true, shareOfLife })).not.toBe(3);
    const lately = reedsOf([used(1, 2, 30), used(3, 8, 30)], {
      box: BOX,
      sayings: [graded(1, 1, 'flat'), graded(3, 5, 'sharp')],
      setting: { family: 'double' },
    });
    const { choices } = whichReed(lately, {
      ...{ nowWall: wallMinute(REED_TODAY, 600), today: REED_TODAY, minutes: 60, isConcert: true },
      ...{ shareOfLife: () => 0.2, weather: weatherOf({ celsius: 12, humidityPercent: 50 }) },
    });
    expect(choices[0]?.reed.number).toBe(1);
  });
  test('what the air asks is said once, and nothing where it asks nothing', () => {
    expect(weatherWords(weatherOf({ celsius: 20, humidityPercent: 50 }))).toEqual([]);
    expect(weatherWords(weatherOf({ celsius: 12, humidityPercent: 30 })).join(' ')).toMatch(
      /cold.*dry.*3 minutes longer/,
    );
  });
});
