import type { WaterRow } from '#core/instruments/kind.ts';
import { condensate, dryThreshold } from '#core/water/condensation.ts';
import { passesFor } from '#core/water/passes.ts';
import { dryingPerPass, learnWetness, usualWetness, wetnessMoments, type PassTap } from '#core/water/wetness.ts';
import { estimate } from '#core/explain/explained.ts';

/** One evening of somebody who does as many passes as they are told and taps what the cloth shows. */
export type SimulatedTap = {
  readonly passes: number;
  readonly found: 'dry' | 'wet';
  /** Believed after it: how many times the usual water they leave. */
  readonly factor: number;
};

export type Simulation = {
  /** The count this player would need, were it known. */
  readonly own: number;
  readonly taps: readonly SimulatedTap[];
  /** What is advised after the last tap. */
  readonly advised: number;
};

/**
 * Plays out taps of a player whose water is `e^w` times the usual: the cloth is wet exactly while more than the dry
 * threshold is left. No chance is in it; the same input gives the same taps.
 *
 * @param w natural logarithm of the player's water over the usual; 0.9 is a wet blower, −0.9 a dry one
 * @param evenings how many taps
 */
export function simulateTaps(
  water: WaterRow,
  { w, minutes, roomCelsius, evenings }: Readonly<Record<'w' | 'minutes' | 'roomCelsius' | 'evenings', number>>,
): Simulation {
  const lambda = dryingPerPass(water.pickedUpPerPass);
  const logWaterOverDry = Math.log(condensate(water, minutes, roomCelsius) / dryThreshold(water));
  const own = Math.max(water.leastPasses, Math.ceil((logWaterOverDry + w) / lambda));
  const given: PassTap[] = [];
  const advise = () => {
    const wetness = given.length === 0 ? usualWetness : learnWetness(given);
    const { value } = passesFor({ water, minutes, roomCelsius, least: estimate(1), most: estimate(15), wetness });
    return { value, factor: Math.exp(wetnessMoments(wetness).mean) };
  };
  const taps = Array.from({ length: evenings }, (): SimulatedTap => {
    const { value: passes } = advise();
    const found = passes * lambda >= logWaterOverDry + w ? 'dry' : 'wet';
    given.push({ passes, lambda, found, logWaterOverDry });
    return { passes, found, factor: advise().factor };
  });
  return { own, taps, advised: advise().value };
}
