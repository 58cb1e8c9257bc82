import { expect, test } from '@jest/globals';
import { airOn, checkAir, newestOfDays, type AirRead } from '#core/air/air-record.ts';
import { localDate } from '#core/time/local-date.ts';

const read = (key: string, on: string, celsius = 20): AirRead => ({
  key,
  on: localDate(on),
  atMinute: 600,
  celsius,
  humidityPercent: 50,
});

test('air somebody can stand in is taken, and a humidity of 0 to 100 %', () => {
  const codes = (celsius: number, humidity: number) => {
    const found = checkAir(celsius, humidity);
    return found.ok ? 'taken' : found.failure.field;
  };
  expect([codes(-40, 0), codes(50, 100), codes(20, 45)]).toEqual(['taken', 'taken', 'taken']);
  expect([codes(-40.1, 50), codes(50.1, 50), codes(NaN, 50)]).toEqual(['celsius', 'celsius', 'celsius']);
  expect([codes(20, -0.1), codes(20, 100.1), codes(20, NaN)]).toEqual(Array(3).fill('humidityPercent'));
});

test('the newest of a day counts, and days are in order however they were read', () => {
  const reads = [
    read('a', '2026-11-27'),
    read('b', '2026-11-25', 18),
    read('c', '2026-11-27', 23),
    read('d', '2026-11-26'),
  ];
  expect(newestOfDays(reads).map(({ key }) => key)).toEqual(['b', 'd', 'c']);
  expect(airOn(reads, localDate('2026-11-27'))?.key).toBe('c');
  expect(airOn(reads, localDate('2026-11-24'))).toBeNull();
});
