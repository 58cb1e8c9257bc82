import { absoluteHumidity } from '#core/air/humidity.ts';
import type { WaterRow } from '#core/instruments/kind.ts';
import { checkNumber } from '#core/kernel/check-number.ts';

/** Breath as it enters the instrument: 34 °C, 95 % RH (estimate after McCutchan & Taylor 1951 and ISO 7933). */
const BREATH_CELSIUS = 34;
const BREATH_RELATIVE_HUMIDITY = 0.95;
/** Colder or hotter than anywhere on earth, °C. */
const [COLDEST, HOTTEST] = [-90, 60];
/** The film that feels dry to the hand, g/m² of wetted bore (estimate). */
const DRY_FILM_GRAMS_PER_SQUARE_METRE = 5;

/**
 * Water that condenses and stays, g per minute of the session:
 * `Q/1000 · d · e · c · max(0, ρ(34 °C, 95 %) − ρ_sat(T_w))`, `T_w = T_room + φ (34 − T_room)`.
 * Parameters are estimates per kind; breath and wall after the psychrometrics in core/air.
 *
 * @throws RangeError for a room nobody can be in
 */
export function condensationRate(water: WaterRow, roomCelsius: number): number {
  checkNumber('the room', roomCelsius, { least: COLDEST, most: HOTTEST });
  const wall = roomCelsius + water.wallWarming * (BREATH_CELSIUS - roomCelsius);
  const drop = absoluteHumidity(BREATH_CELSIUS, BREATH_RELATIVE_HUMIDITY) - absoluteHumidity(wall, 1);
  const litres = water.flowLitresPerMinute * water.soundingShare * water.enteringShare;
  return (litres / 1000) * water.keptShare * Math.max(0, drop);
}

/** Water left in the instrument after playing, g. @throws RangeError for minutes or a room that are none */
export function condensate(water: WaterRow, minutes: number, roomCelsius: number): number {
  checkNumber('the minutes played', minutes);
  return condensationRate(water, roomCelsius) * minutes;
}

/** Water at or below which the bore feels dry, g: 5 g/m² on the wetted bore. */
export const dryThreshold = (water: WaterRow): number => DRY_FILM_GRAMS_PER_SQUARE_METRE * water.wettedBoreSquareMetres;
