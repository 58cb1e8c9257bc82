import type { WaterRow } from '#core/instruments/kind.ts';
import { condensate, dryThreshold } from '#core/water/condensation.ts';
import { dryingPerPass, learnWetness, type LastPass, type Wetness } from '#core/water/wetness.ts';

/** What the cloth showed after one play. */
export type LastPassFact = {
  readonly playedMinutes: number;
  readonly roomCelsius: number;
  readonly thirst: number;
  readonly count: number;
  readonly found: LastPass;
};

/** What the record says of how wet an instrument's player blows it. */
export function wetnessFrom(water: WaterRow, lastPasses: readonly LastPassFact[]): Wetness {
  const taps = lastPasses
    .map(({ playedMinutes, roomCelsius, thirst, count, found }) => ({
      grams: condensate(water, playedMinutes, roomCelsius),
      passes: count,
      lambda: dryingPerPass(water.pickedUpPerPass) * thirst,
      found,
    }))
    // Nothing was played, or the room was as warm as breath: the cloth says nothing of the player.
    .filter(({ grams }) => grams > 0)
    .map(({ grams, ...tap }) => ({ ...tap, logWaterOverDry: Math.log(grams / dryThreshold(water)) }));
  return learnWetness(taps);
}
