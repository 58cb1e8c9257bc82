import type { Lifetime } from '#core/reeds/survival.ts';

/** What is believed of lives before any has been seen: median life and shape, each log-normal. */
export type LifePrior = {
  readonly median: number;
  readonly medianSpread: number;
  readonly shape: number;
  readonly shapeSpread: number;
};

/** What is believed after the lives seen: the chance to outlive an age, and what follows from it. */
export type LifeBelief = {
  /** Of a new one, as predicted: averaged over everything that is still believed. */
  readonly survival: (age: number) => number;
  /** The age at which the chance to be alive is that share; the last age looked at where it is later. */
  readonly ageAt: (survival: number) => number;
  /** Of one that has reached `age`: the further time it outlives with that chance. */
  readonly remaining: (age: number, chance: number) => number;
  /** Mean and spread of the median life itself: how sure it is. */
  readonly median: { readonly mean: number; readonly sd: number };
  readonly shape: { readonly mean: number; readonly sd: number };
  /** How many ended and how many were still alive. */
  readonly seen: { readonly ended: number; readonly alive: number };
};

/** Standard normal steps of the grid: −4 to 4 by a tenth. */
const STEPS = Array.from({ length: 81 }, (_, at) => (at - 40) / 10);
/** Points this much less likely than the best one change no figure that is shown. */
const NEGLIGIBLE = 1e-10;
const LN2 = Math.log(2);

type Point = { readonly median: number; readonly shape: number; readonly weight: number; readonly rate: number };

/**
 * The posterior on an 81 × 81 grid: ln L = Σ_ended [ln k − k ln η + (k−1) ln t] − Σ_all (t^k − entered^k)/η^k, with
 * η = median/(ln 2)^(1/k). What depends on the lives is summed once for each shape.
 */
function posterior(lives: readonly Lifetime[], prior: LifePrior): Point[] {
  const ended = lives.filter((life) => life.ended);
  const logs = ended.reduce((sum, { left }) => sum + Math.log(left), 0);
  const found = STEPS.flatMap((shapeStep) => {
    const shape = prior.shape * Math.exp(prior.shapeSpread * shapeStep);
    const lived = lives.reduce((sum, { left, entered }) => sum + left ** shape - entered ** shape, 0);
    return STEPS.map((medianStep) => {
      const median = prior.median * Math.exp(prior.medianSpread * medianStep);
      const rate = LN2 / median ** shape;
      const log =
        -(shapeStep ** 2 + medianStep ** 2) / 2 +
        ended.length * (Math.log(shape) + Math.log(rate)) +
        (shape - 1) * logs -
        rate * lived;
      return { median, shape, rate, log };
    });
  });
  const best = found.reduce((most, { log }) => Math.max(most, log), -Infinity);
  const weighed = found
    .map(({ log, ...point }) => ({ ...point, weight: Math.exp(log - best) }))
    .filter(({ weight }) => weight > NEGLIGIBLE);
  const total = weighed.reduce((sum, { weight }) => sum + weight, 0);
  return weighed.map((point) => ({ ...point, weight: point.weight / total }));
}

function meanAndSpread(points: readonly Point[], of: (point: Point) => number): { mean: number; sd: number } {
  const mean = points.reduce((sum, point) => sum + point.weight * of(point), 0);
  const variance = points.reduce((sum, point) => sum + point.weight * (of(point) - mean) ** 2, 0);
  return { mean, sd: Math.sqrt(variance) };
}

/** Ages beyond this many prior medians are not looked at. */
const FURTHEST = 60;

/**
 * What lives, each perhaps entered late or still going on, tell of the next one: a Weibull life with log-normal priors on
 * median and shape, worked out on a grid (check values in the test, recomputed with an independent quadrature).
 *
 * @param lives ages in the unit of the prior's median; an age that ended is above 0
 */
export function lifeBelief(lives: readonly Lifetime[], prior: LifePrior): LifeBelief {
  const points = posterior(lives, prior);
  const known = new Map<number, number>();
  const survival = (age: number): number => {
    if (age <= 0) return 1;
    const cached = known.get(age);
    if (cached !== undefined) return cached;
    const result = points.reduce((sum, { weight, rate, shape }) => sum + weight * Math.exp(-rate * age ** shape), 0);
    known.set(age, result);
    return result;
  };
  /** The age after `from` at which `survival` has fallen to `to`: halving, to a thousandth of the prior's median. */
  const fallsTo = (to: number, from: number): number => {
    let [low, high] = [from, from + prior.median];
    while (survival(high) > to && high < prior.median * FURTHEST) [low, high] = [high, high * 2];
    while (high - low > prior.median / 1000) {
      const middle = (low + high) / 2;
      if (survival(middle) > to) low = middle;
      else high = middle;
    }
    return (low + high) / 2;
  };
  const ended = lives.filter((life) => life.ended).length;
  return {
    survival,
    ageAt: (share) => fallsTo(share, 0),
    remaining: (age, chance) => fallsTo(survival(age) * chance, age) - age,
    median: meanAndSpread(points, ({ median }) => median),
    shape: meanAndSpread(points, ({ shape }) => shape),
    seen: { ended, alive: lives.length - ended },
  };
}
