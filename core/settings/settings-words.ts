import type { Format } from '#core/explain/format.ts';
import type { PlayerSettings } from '#core/settings/settings.ts';

/** How it reads in the record. */
export function settingsWords({ roomCelsius, currency }: Omit<PlayerSettings, 'playerId'>, format: Format): string {
  const room =
    roomCelsius === null ? 'The usual room: as most are.' : `The usual room: ${format.celsius(roomCelsius)}.`;
  return currency === null ? room : `${room} Prices in ${currency}.`;
}
