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

/** Taken once: where each global is looked up anew, a million of them are slow. */
const { exp, log: ln } = Math;

/** What is still believed, shape by shape: a power of the age is worked out once for all medians of a shape. */
type Shape = {
  readonly shape: number;
  readonly medians: readonly number[];
  /** (ln 2)/median^shape, and how much each median weighs. */
  readonly rates: Float64Array;
  readonly weights: Float64Array;
};

/**
 * The posterior on an 81 × 81 grid: ln L = Σ_ended [ln k − k ln η + (k−1) ln t] − Σ_all (t^k − entered^k)/η^k, with
 * η = median/(ln 2)^(1/k). What depends on the lives is summed once for each shape.
 */
function posterior(lives: readonly Lifetime[], prior: LifePrior): Shape[] {
  const ended = lives.filter((life) => life.ended);
  const logs = ended.reduce((sum, { left }) => sum + ln(left), 0);
  const medians = STEPS.map((step) => prior.median * exp(prior.medianSpread * step));
  const found = STEPS.map((shapeStep) => {
    const shape = prior.shape * exp(prior.shapeSpread * shapeStep);
    const lived = lives.reduce((sum, { left, entered }) => sum + left ** shape - entered ** shape, 0);
    const rates = Float64Array.from(medians, (median) => LN2 / median ** shape);
    const likely = Float64Array.from(STEPS, (step, at) => {
      const rate = rates[at] ?? 0;
      return (
        -(shapeStep ** 2 + step ** 2) / 2 + ended.length * (ln(shape) + ln(rate)) + (shape - 1) * logs - rate * lived
      );
    });
    return { shape, rates, likely };
  });
  const best = found.reduce(
    (most, { likely }) => likely.reduce((more, one) => (one > more ? one : more), most),
    -Infinity,
  );
  const weighed = found.map(({ shape, rates, likely }) => ({
    shape,
    rates,
    weights: likely.map((one) => exp(one - best)),
  }));
  const total = weighed.reduce((sum, { weights }) => weights.reduce((more, one) => more + one, sum), 0);
  return weighed.flatMap(({ shape, rates, weights }): Shape[] => {
    const kept = [...weights.keys()].filter((at) => (weights[at] ?? 0) > NEGLIGIBLE);
    const pick = (of: Float64Array | readonly number[]) => kept.map((at) => of[at] ?? 0);
    return kept.length === 0
      ? []
      : [
          {
            shape,
            medians: pick(medians),
            rates: Float64Array.from(pick(rates)),
            weights: Float64Array.from(pick(weights), (one) => one / total),
          },
        ];
  });
}

function meanAndSpread(
  shapes: readonly Shape[],
  of: (shape: Shape, at: number) => number,
): { mean: number; sd: number } {
  const sum = (value: (shape: Shape, at: number) => number): number =>
    shapes.reduce((all, one) => one.weights.reduce((more, weight, at) => more + weight * value(one, at), all), 0);
  const mean = sum(of);
  return { mean, sd: Math.sqrt(sum((shape, at) => (of(shape, at) - mean) ** 2)) };
}

/** Ages beyond this many prior medians are not looked at. */
const FURTHEST = 60;
/** Steps of the table that ages are looked up in: each age is a 25th part further than the one before. */
const TABLE_RATIO = 1.04;

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
    for (const { shape, rates, weights } of shapes) {
      const power = age ** shape;
      for (let at = 0; at < rates.length; at++) share += (weights[at] ?? 0) * exp(-(rates[at] ?? 0) * power);
    }
    return share;
  };
  let made: { age: number; share: number }[] | undefined;
  /** The age at which survival has fallen to `to`: looked up, and with an even hazard between two ages of the table. */
  const fallsTo = (to: number): number => {
    const table = (made ??= tableOf(survival, prior.median));
    const next = table.findIndex(({ share }) => share <= to);
    const [before, after] = [table[next - 1], table[next]];
    if (next === -1 || before === undefined || after === undefined) return table.at(next === -1 ? -1 : 0)?.age ?? 0;
    const part = (ln(before.share) - ln(to)) / (ln(before.share) - ln(after.share));
    return before.age + part * (after.age - before.age);
  };
  const ended = lives.filter((life) => life.ended).length;
  return {
    survival,
    ageAt: fallsTo,
    remaining: (age, chance) => Math.max(0, fallsTo(survival(age) * chance) - age),
    median: meanAndSpread(shapes, ({ medians }, at) => medians[at] ?? 0),
    shape: meanAndSpread(shapes, ({ shape }) => shape),
    seen: { ended, alive: lives.length - ended },
  };
}
