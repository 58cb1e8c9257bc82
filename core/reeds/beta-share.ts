import { checkNumber } from '#core/kernel/check-number.ts';

/** Steps over which the density is summed: a quantile is right to about a tenth of a per cent. */
const STEPS = 4000;

/**
 * Where a share lies of which `good` and `bad` were seen, its prior among them: the mean of Beta(good, bad) and the range it
 * lies in with the chance given, a tail of the same size to either side. The density is summed by the middle of small steps.
 *
 * @throws RangeError for counts that are none, or a chance that is no chance
 */
export function shareRange(good: number, bad: number, chance: number): { mean: number; low: number; high: number } {
  for (const one of [good, bad]) checkNumber('a count of reeds', one, { least: Number.MIN_VALUE, most: 100_000 });
  checkNumber('a chance', chance, { most: 1 });
  const logAt = (x: number): number => (good - 1) * Math.log(x) + (bad - 1) * Math.log(1 - x);
  const middles = Array.from({ length: STEPS }, (_, step) => (step + 0.5) / STEPS);
  const top = Math.max(...middles.map(logAt));
  const weights = middles.map((x) => Math.exp(logAt(x) - top));
  const all = weights.reduce((sum, one) => sum + one, 0);
  const quantile = (of: number): number => {
    let below = 0;
    for (const [step, weight] of weights.entries()) {
      if (below + weight >= of * all) return (step + (of * all - below) / weight) / STEPS;
      below += weight;
    }
    return 1;
  };
  const tail = (1 - chance) / 2;
  return { mean: good / (good + bad), low: quantile(tail), high: quantile(1 - tail) };
}
