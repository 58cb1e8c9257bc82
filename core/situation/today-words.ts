import { duration, type Format } from '#core/explain/format.ts';

const MINUTES_PER_HOUR = 60;
const HOURS_COUNTED = 24;

/** How long an instrument has stood wet, and how much water is in it. */
export function wetWords(wetMinutes: number | null, grams: number, format: Format): string {
  const water = grams > 0 ? `, about ${format.grams(grams)} of water in it` : '';
  if (wetMinutes === null) return `Not packed up since it was last played${water}`;
  if (wetMinutes < 1) return `Just played${water}`;
  const hours = Math.round(wetMinutes / MINUTES_PER_HOUR);
  const long =
    wetMinutes < MINUTES_PER_HOUR
      ? duration(wetMinutes)
      : hours < HOURS_COUNTED
        ? `about ${hours} h`
        : hours < 2 * HOURS_COUNTED
          ? 'a day'
          : `${Math.round(hours / HOURS_COUNTED)} days`;
  return `Wet for ${long}${water}`;
}
