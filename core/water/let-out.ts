import type { Explained } from '#core/explain/explained.ts';
import type { WaterRow } from '#core/instruments/kind.ts';
import { condensationRate } from '#core/water/condensation.ts';
import { usualWetness, wetnessMoments, type Wetness } from '#core/water/wetness.ts';

export type LetOutReason =
  | { readonly rule: 'pool'; readonly poolGrams: number }
  | { readonly rule: 'rate'; readonly gramsPerMinute: number; readonly roomCelsius: number }
  | { readonly rule: 'your-wetness'; readonly taps: number; readonly factor: number };

/**
 * After how many minutes of playing water is worth letting out: `pool ÷ (rate · e^w)`. Brass is emptied, not swabbed, so
 * the water model says when. Pools and rates are estimates.
 *
 * @returns null for a kind that is swabbed, and in a room as warm as breath, where nothing condenses
 */
export function letOutAfter(
  water: WaterRow,
  roomCelsius: number,
  wetness: Wetness = usualWetness,
): Explained<number, LetOutReason> | null {
  const { poolGrams } = water;
  const factor = Math.exp(wetnessMoments(wetness).mean);
  const gramsPerMinute = condensationRate(water, roomCelsius) * factor;
  if (poolGrams === undefined || gramsPerMinute <= 0) return null;
  return {
    value: poolGrams / gramsPerMinute,
    because: [
      { rule: 'rate', gramsPerMinute, roomCelsius },
      { rule: 'pool', poolGrams },
      ...(wetness.taps > 0 ? [{ rule: 'your-wetness', taps: wetness.taps, factor } as const] : []),
    ],
  };
}
