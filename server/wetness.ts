import type { InstrumentKind } from '#core/instruments/kind.ts';
import { condensate, dryThreshold } from '#core/water/condensation.ts';
import { dryingPerPass, learnWetness, type Wetness } from '#core/water/wetness.ts';
import type { Services } from '#server/repositories.ts';

/** What the record says of how wet an instrument's player blows it, since the last reset. */
export function wetnessIn(
  { packup, care }: Services,
  instrumentId: string,
  { kind: { water } }: { readonly kind: InstrumentKind },
): Wetness {
  const taps = packup
    .lastPasses(instrumentId, care.lastResetAt(instrumentId))
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
