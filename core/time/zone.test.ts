import { expect, test } from '@jest/globals';
import { ianaZone, UTC } from '#core/time/zone.ts';
import { partsOfWall, realWall, wallOfParts, wallText } from '#core/time/wall-time.ts';

const wall = (text: string): number => {
  const [year = 0, month = 0, day = 0, hour = 0, minute = 0] = text.split(/[-T:]/).map(Number);
  return wallOfParts({ year, month, day, hour, minute, second: 0 });
};
const utcOf = (zone: string, text: string): string => wallText(ianaZone(zone)?.toMs(wall(text)) ?? Number.NaN);

// Worked out with the zone data of ICU; the first is the example of RFC 5545 for clocks that are put back that night.
test.each([
  ['America/New_York', '1997-10-25T09:00', '1997-10-25T13:00:00'],
  ['Europe/Berlin', '2025-03-29T18:00', '2025-03-29T17:00:00'],
  ['Europe/Berlin', '2025-03-31T18:00', '2025-03-31T16:00:00'],
  ['Europe/London', '2025-10-27T09:00', '2025-10-27T09:00:00'],
  // RFC 5545, 3.3.5, gives these two: twice that night is the first of them, left out is told by the offset before.
  ['America/New_York', '2007-11-04T01:30', '2007-11-04T05:30:00'],
  ['America/New_York', '2007-03-11T02:30', '2007-03-11T07:30:00'],
  ['Asia/Kathmandu', '2026-01-01T00:00', '2025-12-31T18:15:00'],
])('clocks in %s show %s at %s in UTC', (zone, at, utc) => {
  expect(utcOf(zone, at)).toBe(utc);
});

test('what is shown goes there and back, and a name of no zone is none', () => {
  const berlin = ianaZone('Europe/Berlin');
  for (const text of ['2026-02-28T23:59', '2028-02-29T12:00', '2026-07-01T00:00'])
    expect(berlin?.fromMs(berlin.toMs(wall(text)))).toBe(wall(text));
  expect(ianaZone('Customized Time Zone')).toBeNull();
  expect(UTC.toMs(5)).toBe(5);
  expect(partsOfWall(wall('2028-02-29T12:30'))).toMatchObject({ year: 2028, month: 2, day: 29, hour: 12, minute: 30 });
});

test('a wall time is fourteen digits of a day there is and a time clocks show', () => {
  expect(realWall('20261127183000')).toBe(wall('2026-11-27T18:30'));
  expect(realWall('19000101000000')).toBe(wall('1900-01-01T00:00'));
  expect(realWall('20281231235960')).toBe(Date.UTC(2028, 11, 31, 23, 59, 59));
  for (const none of [
    '',
    '2026112718300',
    '202611271830000',
    '20261127183000 ',
    '2026112718300x',
    '2026-11-27183000',
    '18991231235959',
    '20261131000000',
    '20260229000000',
    '20261327000000',
    '20260027000000',
    '20260100000000',
    '20261127240000',
    '20261127186000',
    '20261127183061',
  ])
    expect([none, realWall(none)]).toEqual([none, null]);
});
