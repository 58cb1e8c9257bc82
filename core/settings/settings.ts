import type { PlayerId } from '#core/instruments/instrument.ts';

/** What somebody wants of their reeds for a concert: fewer opened, as is usual, or surer to have enough. */
export const REED_WISHES = ['fewer', 'usual', 'surer'] as const;
export type ReedWish = (typeof REED_WISHES)[number];

/** What somebody has settled once for all; null: as it is usual, or as the prices in the record say. */
export type PlayerSettings = {
  readonly playerId: PlayerId;
  /** The room they usually play in, °C. */
  readonly roomCelsius: number | null;
  /** The A above middle C they tune to, Hz; null where they have not said. */
  readonly tuningHertz: number | null;
  /** What the record counts in (ISO 4217), before anything has a price. */
  readonly currency: string | null;
  /** Null and unsaid: as is usual. */
  readonly reedWish?: ReedWish | null | undefined;
};

/** Where nobody says otherwise the A above middle C has so many Hz (ISO 16:1975). */
export const STANDARD_TUNING = 440;
/** No A of players of today or of old is lower or higher, Hz (from memory: old French wind 392, old organs to 480). */
export const [LOWEST_TUNING, HIGHEST_TUNING] = [380, 490] as const;
