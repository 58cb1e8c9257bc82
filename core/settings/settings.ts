import type { PlayerId } from '#core/instruments/instrument.ts';

/** What somebody has settled once for all; null: as it is usual, or as the prices in the record say. */
export type PlayerSettings = {
  readonly playerId: PlayerId;
  /** The room they usually play in, °C. */
  readonly roomCelsius: number | null;
  /** What the record counts in (ISO 4217), before anything has a price. */
  readonly currency: string | null;
};
