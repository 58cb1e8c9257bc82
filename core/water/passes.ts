import type { Explained, Marked, WhyLine } from '#core/explain/explained.ts';
import { duration, figure } from '#core/explain/format.ts';
import type { WaterRow } from '#core/instruments/kind.ts';
import { condensate, dryThreshold } from '#core/water/condensation.ts';

/** No advice ever goes beyond this many passes. */
const MOST_PASSES = 15;

export type PassReason =
  | { readonly rule: 'water-blown-in'; readonly minutes: number; readonly roomCelsius: number; readonly grams: number }
  | {
      readonly rule: 'dries-per-pass';
      readonly takenPerPass: number;
      readonly dryGrams: number;
      readonly wanted: number;
    }
  | { readonly rule: 'floor' | 'ceiling'; readonly bound: Marked };

export type PassInput = {
  readonly water: WaterRow;
  readonly minutes: number;
  readonly roomCelsius: number;
  readonly least: Marked;
  readonly most: Marked;
};

/**
 * Passes until less than the dry threshold is left: residual after n passes is `m (1 − p)^n`, so
 * `n = ⌈ln(m/θ) / −ln(1 − p)⌉`, at least the practice minimum, at most its ceiling.
 * Estimates throughout; the worked examples it reproduces are in the test.
 */
export function passesFor({ water, minutes, roomCelsius, least, most }: PassInput): Explained<number, PassReason> {
  const grams = condensate(water, minutes, roomCelsius);
  const dryGrams = dryThreshold(water);
  const real = grams > 0 ? Math.log(grams / dryGrams) / -Math.log(1 - water.pickedUpPerPass) : 0;
  const wanted = Math.max(0, Math.ceil(real));
  const floor = Math.max(least.value, water.leastPasses);
  const value = Math.min(Math.max(wanted, floor), most.value, MOST_PASSES);
  const bound: readonly PassReason[] =
    value > wanted ? [{ rule: 'floor', bound: least }] : value < wanted ? [{ rule: 'ceiling', bound: most }] : [];
  return {
    value,
    because: [
      { rule: 'water-blown-in', minutes, roomCelsius, grams },
      { rule: 'dries-per-pass', takenPerPass: water.pickedUpPerPass, dryGrams, wanted },
      ...bound,
    ],
  };
}

/** A pass reason in words. */
export function passReasonWords(reason: PassReason): WhyLine {
  const { rule } = reason;
  switch (rule) {
    case 'water-blown-in': {
      const { minutes, roomCelsius, grams } = reason;
      return {
        rule,
        text: `${duration(minutes)} played at about ${figure(roomCelsius)} °C leave about ${figure(grams)} g of water.`,
        mark: 'estimate',
      };
    }
    case 'dries-per-pass': {
      const share = Math.round(reason.takenPerPass * 100);
      const text = `Each pass takes about ${share} % of what is left; below about ${reason.dryGrams.toFixed(2)} g it feels dry, after ${reason.wanted}.`;
      return { rule, text, mark: 'estimate' };
    }
    case 'floor':
      return { rule, text: `Never fewer than ${reason.bound.value}, however short the play.`, mark: reason.bound.mark };
    case 'ceiling':
      return { rule, text: `Never more than ${reason.bound.value}; let the rest air.`, mark: reason.bound.mark };
  }
}
