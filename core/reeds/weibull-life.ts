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

/** What is still believed, shape by shape: a power of the age is worked out once for all medians of a shape. */
type Shape = { readonly shape: number; readonly medians: readonly Point[] };
type Point = { readonly median: number; readonly shape: number; readonly weight: number; readonly rate: number };

/**
 * The posterior on an 81 × 81 grid: ln L = Σ_ended [ln k − k ln η + (k−1) ln t] − Σ_all (t^k − entered^k)/η^k, with
 * η = median/(ln 2)^(1/k). What depends on the lives is summed once for each shape.
 */
function posterior(lives: readonly Lifetime[], prior: LifePrior): Shape[] {
  const ended = lives.filter((life) => life.ended);
  const logs = ended.reduce((sum, { left }) => sum + Math.log(left), 0);
  const found = STEPS.map((shapeStep) => {
    const shape = prior.shape * Math.exp(prior.shapeSpread * shapeStep);
    const lived = lives.reduce((sum, { left, entered }) => sum + left ** shape - entered ** shape, 0);
    const medians = STEPS.map((medianStep) => {
      const median = prior.median * Math.exp(prior.medianSpread * medianStep);
      const rate = LN2 / median ** shape;
      const log =
        -(shapeStep ** 2 + medianStep ** 2) / 2 +
        ended.length * (Math.log(shape) + Math.log(rate)) +
        (shape - 1) * logs -
        rate * lived;
      return { median, shape, rate, log };
    });
    return { shape, medians };
  });
  const best = found.reduce(
    (most, { medians }) => medians.reduce((more, { log }) => Math.max(more, log), most),
    -Infinity,
  );
  const weighed = found.map(({ shape, medians }) => ({
    shape,
    medians: medians
      .map(({ log, ...point }) => ({ ...point, weight: Math.exp(log - best) }))
      .filter(({ weight }) => weight > NEGLIGIBLE),
  }));
  const total = weighed.reduce((sum, { medians }) => medians.reduce((more, { weight }) => more + weight, sum), 0);
  return weighed
    .filter(({ medians }) => medians.length > 0)
    .map(({ shape, medians }) => ({ shape, medians: medians.map((one) => ({ ...one, weight: one.weight / total })) }));
}

function meanAndSpread(shapes: readonly Shape[], of: (point: Point) => number): { mean: number; sd: number } {
  const points = shapes.flatMap(({ medians }) => medians);
  const mean = points.reduce((sum, point) => sum + point.weight * of(point), 0);
  const variance = points.reduce((sum, point) => sum + point.weight * (of(point) - mean) ** 2, 0);
  return { mean, sd: Math.sqrt(variance) };
}

/** Ages beyond this many prior medians are not looked at. */
const FURTHEST = 60;
/** Steps of the table that ages are looked up in: each age is a 40th part further than the one before. */
const TABLE_RATIO = 1.025;

/** Survival at growing ages, as far as it is more than a trifle. */
function tableOf(survival: (age: number) => number, median: number): { age: number; share: number }[] {
  const table = [{ age: 0, share: 1 }];
  for (let age = median / 100; age < median * FURTHEST; age *= TABLE_RATIO) {
    const share = survival(age);
    table.push({ age, share });
    if (share < TRIFLE) break;
  }
  return table;
}
const TRIFLE = 1e-4;

/**
 * What lives, each perhaps entered late or still going on, tell of the next one: a Weibull life with log-normal priors on
 * median and shape, worked out on a grid (check values in the test, recomputed with an independent quadrature).
 *
 * @param lives ages in the unit of the prior's median; an age that ended is above 0
 */
export function lifeBelief(lives: readonly Lifetime[], prior: LifePrior): LifeBelief {
  const shapes = posterior(lives, prior);
  const survival = (age: number): number => {
    if (age <= 0) return 1;
    let share = 0;
    for (const { shape, medians } of shapes) {
      const power = age ** shape;
      for (const { weight, rate } of medians) share += weight * Math.exp(-rate * power);
    }
    return share;
  };
  let made: { age: number; share: number }[] | undefined;
  /** The age at which survival has fallen to `to`: looked up, and straight between two ages of the table. */
  const fallsTo = (to: number): number => {
    const table = (made ??= tableOf(survival, prior.median));
    const next = table.findIndex(({ share }) => share <= to);
    const [before, after] = [table[next - 1], table[next]];
    if (next === -1 || before === undefined || after === undefined) return table.at(next === -1 ? -1 : 0)?.age ?? 0;
    return before.age + ((before.share - to) / (before.share - after.share)) * (after.age - before.age);
  };
  const ended = lives.filter((life) => life.ended).length;
  return {
    survival,
    ageAt: fallsTo,
    remaining: (age, chance) => Math.max(0, fallsTo(survival(age) * chance) - age),
    median: meanAndSpread(shapes, ({ median }) => median),
    shape: meanAndSpread(shapes, ({ shape }) => shape),
    seen: { ended, alive: lives.length - ended },
  };
}
