import { duration, type Format } from '#core/explain/format.ts';

/** 1140 → "19:00". */
export const clockTime = (minuteOfDay: number): string =>
  `${String(Math.floor(minuteOfDay / 60)).padStart(2, '0')}:${String(minuteOfDay % 60).padStart(2, '0')}`;

/** A play as it stands in the record. */
export const playWords = (minutes: number, roomCelsius: number | null, format: Format): string =>
  `Played ${duration(minutes)}${roomCelsius === null ? '' : ` at about ${format.celsius(roomCelsius)}`}`;
