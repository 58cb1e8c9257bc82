import { estimate, type Explained, type Marked } from '#core/explain/explained.ts';
import type { WaterRow } from '#core/instruments/kind.ts';
import { condensate, dryThreshold } from '#core/water/condensation.ts';
import {
  chanceDry,
  dryingPerPass,
  USUAL_CONFIDENCE,
  usualWetness,
  wetnessMoments,
  type Wetness,
} from '#core/water/wetness.ts';
import { checkNumber } from '#core/kernel/check-number.ts';

/** No advice ever goes beyond this many passes. */
const MOST_PASSES = 15;
/** Sums of 41 weights are exact to about this much. */
const ROUNDING = 1e-9;

export type PassReason =
  | { readonly rule: 'water-blown-in'; readonly minutes: number; readonly roomCelsius: number; readonly grams: number }
  | {
      readonly rule: 'dries-per-pass';
      readonly takenPerPass: number;
      readonly dryGrams: number;
      readonly wanted: number;
    }
  | { readonly rule: 'cloth'; readonly thirst: number }
  | { readonly rule: 'your-wetness'; readonly taps: number; readonly factor: number; readonly chance: number }
  | { readonly rule: 'floor' | 'ceiling'; readonly bound: Marked };

export type PassInput = {
  readonly water: WaterRow;
  readonly minutes: number;
  readonly roomCelsius: number;
  readonly least: Marked;
  readonly most: Marked;
  /** What is known of this player on this instrument; by default nothing. */
  readonly wetness?: Wetness;
  /** How thirsty the cloth is beside the usual one; it multiplies λ. */
  readonly thirst?: number;
  /** How sure it should be dry, 0…1. */
  readonly confidence?: number;
};

/** No cloth takes up a hundred times what the usual one does. */
const MOST_THIRST = 100;

/** The fewest passes after which it is dry with the chance wanted. */
function wantedPasses(wetness: Wetness, lambda: number, mu: number, confidence: number): number {
  for (let passes = 0; passes < MOST_PASSES; passes++)
    if (chanceDry(wetness, passes, lambda, mu) >= confidence - ROUNDING) return passes;
  return MOST_PASSES;
}

/**
 * Passes until less than the dry threshold is left: residual after n passes is `m (1 − p)^n`, m being the water of a
 * usual player times e^w. The fewest n for which that is likely enough under the belief about w, at least the practice
 * minimum, at most its ceiling. For a player nobody has asked it is the rule of thumb, `⌈ln(m/θ) / −ln(1 − p)⌉`.
 *
 * @throws RangeError for minutes, a room, a cloth or a confidence that are none
 */
export function passesFor(input: PassInput): Explained<number, PassReason> {
  const { water, minutes, roomCelsius, least, most, wetness = usualWetness, thirst = 1 } = input;
  const { confidence = USUAL_CONFIDENCE } = input;
  checkNumber('the thirst of a cloth', thirst, { least: Number.MIN_VALUE, most: MOST_THIRST });
  checkNumber('how sure', confidence, { most: 1 });
  const grams = condensate(water, minutes, roomCelsius);
  const dryGrams = dryThreshold(water);
  const lambda = dryingPerPass(water.pickedUpPerPass) * thirst;
  const mu = Math.log(grams / dryGrams);
  const wanted = grams > 0 ? wantedPasses(wetness, lambda, mu, confidence) : 0;
  const floor = least.value < water.leastPasses ? estimate(water.leastPasses) : least;
  const value = Math.min(Math.max(wanted, floor.value), most.value, MOST_PASSES);
  const bound: readonly PassReason[] =
    value > wanted ? [{ rule: 'floor', bound: floor }] : value < wanted ? [{ rule: 'ceiling', bound: most }] : [];
  return {
    value,
    because: [
      { rule: 'water-blown-in', minutes, roomCelsius, grams },
      { rule: 'dries-per-pass', takenPerPass: 1 - Math.exp(-lambda), dryGrams, wanted },
      ...(thirst === 1 ? [] : [{ rule: 'cloth', thirst } as const]),
      ...(wetness.taps > 0
        ? [
            {
              rule: 'your-wetness',
              taps: wetness.taps,
              factor: Math.exp(wetnessMoments(wetness).mean),
              chance: chanceDry(wetness, value, lambda, mu),
            } as const,
          ]
        : []),
      ...bound,
    ],
  };
}
