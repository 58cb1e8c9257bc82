import prand from 'pure-rand';

/** A seeded generator for the demo world: the same seed tells the same story on every machine. */
export type Random = {
  /** A whole number from `least` to `most`, both included. */
  readonly whole: (least: number, most: number) => number;
  readonly chance: (probability: number) => boolean;
  /** A lower-case UUID. */
  readonly key: () => string;
};

/** Seeds close to each other begin alike: where several generators are wanted, one draws the seeds of the others. */
export const LARGEST_SEED = 2_147_483_647;

const MILLION = 1_000_000;
const HEX = '0123456789abcdef';

export function seeded(seed: number): Random {
  const generator = prand.xoroshiro128plus(seed);
  const whole = (least: number, most: number): number => prand.unsafeUniformIntDistribution(least, most, generator);
  const hex = (digits: number): string => {
    let text = '';
    while (text.length < digits) text += HEX[whole(0, HEX.length - 1)];
    return text;
  };
  return {
    whole,
    chance: (probability) => whole(0, MILLION - 1) < probability * MILLION,
    key: () => `${hex(8)}-${hex(4)}-4${hex(3)}-a${hex(3)}-${hex(12)}`,
  };
}
