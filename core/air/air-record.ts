import { COLDEST_ROOM, WARMEST_ROOM } from '#core/air/room.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import type { LocalDate } from '#core/time/local-date.ts';

/** What a hygrometer or the weather of the day showed, typed by somebody. */
export type AirRead = {
  readonly key: string;
  readonly on: LocalDate;
  readonly atMinute: number | null;
  readonly celsius: number;
  readonly humidityPercent: number;
};

export type AirRefusal = {
  readonly code: 'air-no-room' | 'air-no-humidity';
  readonly field: 'celsius' | 'humidityPercent';
};

/** May this be written down? Air somebody can stand in, °C, and a relative humidity in percent. */
export function checkAir(
  celsius: number,
  humidityPercent: number,
): Outcome<Pick<AirRead, 'celsius' | 'humidityPercent'>, AirRefusal> {
  if (!(celsius >= COLDEST_ROOM && celsius <= WARMEST_ROOM)) return fail({ code: 'air-no-room', field: 'celsius' });
  if (!(humidityPercent >= 0 && humidityPercent <= 100))
    return fail({ code: 'air-no-humidity', field: 'humidityPercent' });
  return succeed({ celsius, humidityPercent });
}

/** The newest of each day, the oldest day first. @param reads in the order they were read */
export function newestOfDays(reads: readonly AirRead[]): AirRead[] {
  return [...new Map(reads.map((one) => [one.on, one])).values()].sort((a, b) => (a.on < b.on ? -1 : 1));
}

/** The newest read on this day; null where none was. */
export const airOn = (reads: readonly AirRead[], day: LocalDate): AirRead | null =>
  reads.findLast(({ on }) => on === day) ?? null;
