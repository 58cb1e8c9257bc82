import type { Format } from '#core/explain/format.ts';
import type { PlayerSettings } from '#core/settings/settings.ts';

/** How it reads in the record. */
export function settingsWords(
  { roomCelsius, tuningHertz, currency }: Omit<PlayerSettings, 'playerId'>,
  format: Format,
): string {
  return [
    roomCelsius === null ? 'The usual room: as most are.' : `The usual room: ${format.celsius(roomCelsius)}.`,
    tuningHertz === null ? null : `Tuned to ${tuningWords(tuningHertz)}.`,
    currency === null ? null : `Prices in ${currency}.`,
  ]
    .filter((sentence) => sentence !== null)
    .join(' ');
}

/** "A = 442 Hz". */
export const tuningWords = (hertz: number): string => `A = ${hertz} Hz`;
