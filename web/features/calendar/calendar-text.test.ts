import { expect, test } from '@jest/globals';
import { calendarText } from '#web/features/calendar/calendar-text.ts';

const of = (...bytes: readonly (string | number)[]): ArrayBuffer =>
  Uint8Array.from(bytes.flatMap((one) => (typeof one === 'string' ? [...Buffer.from(one)] : [one]))).buffer;

test('a letter folded in two is read whole, and what old programs wrote is read as they meant it', () => {
  expect(calendarText(of('Premi', 0xc3, '\r\n ', 0xa8, 're'))).toBe('Premiè\r\n re');
  expect(calendarText(of('Premi', 0xe8, 're'))).toBe('Première');
  expect(calendarText(of(0xef, 0xbb, 0xbf, 'BEGIN:VCALENDAR'))).toBe('BEGIN:VCALENDAR');
});
