import { expect, test } from '@jest/globals';
import { dateOfDay, dayNumber, localDate } from '#core/time/local-date.ts';
import { isRegion, knownRegions, publicHolidays } from '#server/public-holidays.ts';

const of = (region: string | null, year: number) =>
  [...publicHolidays(region, year)].map(([day]) => dateOfDay(day)).filter((day) => day.startsWith(`${year}`));

test('are those of the region, with what moves with Easter', () => {
  // The holidays of Bavaria in 2026 as its feast-day law (Art. 1 FTG, from memory) and the date of Easter, 5 April, have them.
  const days = of('DE-BY', 2026);
  for (const day of [
    '01-01',
    '01-06',
    '04-03',
    '04-06',
    '05-01',
    '05-14',
    '05-25',
    '06-04',
    '10-03',
    '11-01',
    '12-25',
    '12-26',
  ])
    expect(days).toContain(`2026-${day}`);
  // Corpus Christi is none in Hamburg; Reformation Day is.
  expect([
    of('DE-HH', 2026).includes(localDate('2026-06-04')),
    of('DE-HH', 2026).includes(localDate('2026-10-31')),
  ]).toEqual([false, true]);
});

test('reach into the next year, for a stay begun in December', () => {
  expect(publicHolidays('DE-BY', 2026).has(dayNumber(localDate('2027-01-01')))).toBe(true);
});

test('are none where no region is set, or one that nobody knows', () => {
  expect(publicHolidays(null, 2026).size).toBe(0);
  expect(publicHolidays('QQ-1', 2026).size).toBe(0);
  expect([isRegion('DE-BY'), isRegion('DE'), isRegion('DE-QQ'), isRegion('')]).toEqual([true, true, false, false]);
});

test('regions have names one can look for, each once', () => {
  const regions = knownRegions();
  expect(regions.find(({ region }) => region === 'DE-BY')?.name).toMatch(/^Germany: /);
  expect(new Set(regions.map(({ region }) => region)).size).toBe(regions.length);
});
