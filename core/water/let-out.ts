import type { Explained, WhyLine } from '#core/explain/explained.ts';
import { counted, figure } from '#core/explain/format.ts';
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

/** A reason in words. */
export function letOutWords(reason: LetOutReason): WhyLine {
  const { rule } = reason;
  switch (rule) {
    case 'rate': {
      const { gramsPerMinute, roomCelsius } = reason;
      const text = `At about ${figure(roomCelsius)} °C about ${gramsPerMinute.toFixed(2)} g of water gather in a minute of the session.`;
      return { rule, text, mark: 'estimate' };
    }
    case 'pool':
      return { rule, text: `About ${figure(reason.poolGrams)} g gurgle and are worth letting out.`, mark: 'estimate' };
    case 'your-wetness': {
      const text = `By ${counted(reason.taps, 'tap')} of yours you leave about ${figure(reason.factor)} times the usual water.`;
      return { rule, text, mark: 'yours' };
    }
  }
}
