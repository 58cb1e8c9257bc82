import { COLDEST_ROOM, WARMEST_ROOM } from '#core/air/room.ts';
import type { Format } from '#core/explain/format.ts';

/** Why a reading of the air cannot be written down. */
export const AIR_REFUSALS = {
  'air-no-room': (_: object, format: Format) =>
    `Air lies between −${-COLDEST_ROOM} and ${format.celsius(WARMEST_ROOM)}.`,
  'air-no-humidity': () => 'Relative humidity lies between 0 and 100 %.',
};
