import { aloneWords } from '#core/instruments/alone.ts';
import type { Play } from '#core/plays/play.ts';
import { duration, type Format } from '#core/explain/format.ts';

/** 1140 → "19:00". */
export const clockTime = (minuteOfDay: number): string =>
  `${String(Math.floor(minuteOfDay / 60)).padStart(2, '0')}:${String(minuteOfDay % 60).padStart(2, '0')}`;

/** A play as it stands in the record. */
export function playWords(
  { minutes, roomCelsius, alone }: Pick<Play, 'minutes' | 'roomCelsius' | 'alone'>,
  format: Format,
): string {
  const parts = alone === null ? '' : `, only the ${aloneWords(alone)}`;
  const room = roomCelsius === null ? '' : ` at about ${format.celsius(roomCelsius)}`;
  return `Played ${duration(minutes)}${room}${parts}`;
}
