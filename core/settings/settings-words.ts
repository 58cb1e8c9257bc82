import type { Format } from '#core/explain/format.ts';
import type { PlayerSettings, ReedWish } from '#core/settings/settings.ts';

const WISH_SAID: Readonly<Record<ReedWish, string | null>> = {
  fewer: 'For a concert rather fewer reeds are opened.',
  usual: null,
  surer: 'For a concert rather more reeds are ready.',
};

/** How it reads in the record. */
export function settingsWords(
  { roomCelsius, tuningHertz, currency, reedWish }: Omit<PlayerSettings, 'playerId'>,
  format: Format,
): string {
  return [
    roomCelsius === null ? 'The usual room: as most are.' : `The usual room: ${format.celsius(roomCelsius)}.`,
    tuningHertz === null ? null : `Tuned to ${tuningWords(tuningHertz)}.`,
    currency === null ? null : `Prices in ${currency}.`,
    reedWish ? WISH_SAID[reedWish] : null,
  ]
    .filter((sentence) => sentence !== null)
    .join(' ');
}

/** "A = 442 Hz". */
export const tuningWords = (hertz: number): string => `A = ${hertz} Hz`;
