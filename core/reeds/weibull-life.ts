import { checkLives, type Lifetime } from '#core/reeds/survival.ts';

/** What is believed of lives before any has been seen: median life and shape, each log-normal. */
export type LifePrior = {
  readonly median: number;
  readonly medianSpread: number;
  readonly shape: number;
  readonly shapeSpread: number;
};

/** What is believed of one that has reached an age. */
export type Onward = {
  /** The chance that it lives so much longer. */
  readonly lasts: (further: number) => number;
  /** The further time it outlives with that chance. @throws RangeError for a chance that is not between 0 and 1 */
  readonly outlives: (chance: number) => number;
};

/** What is believed after the lives seen: the chance to outlive an age, and what follows from it. */
export type LifeBelief = {
  /** Of a new one, as predicted: averaged over everything that is still believed. */
  readonly survival: (age: number) => number;
  /** The age at which the chance to be alive is that share. @throws RangeError for a share that is not between 0 and 1 */
  readonly ageAt: (survival: number) => number;
  /** Of one that is none of the lives seen and has reached an age. @throws RangeError for an age below 0 or without end */
  readonly having: (age: number) => Onward;
  /** The same without one of the lives seen: what is left of one still living is not told by its own age twice. */
  readonly without: (life: Lifetime) => LifeBelief;
  /** Mean and spread of the median life itself: how sure it is. */
  readonly median: { readonly mean: number; readonly sd: number };
  readonly shape: { readonly mean: number; readonly sd: number };
  /** How many ended and how many were still alive. */
  readonly seen: { readonly ended: number; readonly alive: number };
};

/** Standard normal steps of the grid: −4 to 4 by a tenth. */
const STEPS = Array.from({ length: 81 }, (_, at) => (at - 40) / 10);
/** Points this much less likely than the best one, as a logarithm, change no figure that is shown. */
const NEGLIGIBLE = Math.log(1e-10);
const LN2 = Math.log(2);

/** Taken once: where each global is looked up anew, a million of them are slow. */
const { exp, log: ln } = Math;

/**
 * One shape of the grid with all medians: (ln 2)/median^shape, and how likely each is, as a logarithm without the
 * constant they share. A power of an age is worked out once for all medians of a shape.
 */
type Shape = { readonly shape: number; readonly rates: Float64Array; readonly logs: Float64Array };

/** What lives say of a shape and a rate: Σ ln f(left) where they ended, else Σ ln S(left), of those alive at entry. */
function toldBy(lives: readonly Lifetime[], shape: number): (rate: number) => number {
  const ended = lives.filter((life) => life.ended);
  const lived = lives.reduce((sum, { left, entered }) => sum + left ** shape - entered ** shape, 0);
  const ages = ended.reduce((sum, { left }) => sum + ln(left), 0);
  return (rate) => ended.length * (ln(shape) + ln(rate)) + (shape - 1) * ages - rate * lived;
}

/** What is believed before any life was seen, on an 81 × 81 grid. */
type Grid = { readonly medians: readonly number[]; readonly shapes: readonly Shape[] };

const grids = new WeakMap<LifePrior, Grid>();
/** The grid of a prior, worked out once: a season asks for the same one thousands of times. */
function gridOf(prior: LifePrior): Grid {
  const known = grids.get(prior);
  if (known !== undefined) return known;
  const medians = STEPS.map((step) => prior.median * exp(prior.medianSpread * step));
  const shapes = STEPS.map((shapeStep): Shape => {
    const shape = prior.shape * exp(prior.shapeSpread * shapeStep);
    return {
      shape,
      rates: new Float64Array(medians.map((median) => LN2 / median ** shape)),
      logs: new Float64Array(STEPS.map((step) => -(shapeStep ** 2 + step ** 2) / 2)),
    };
  });
  const made = { medians, shapes };
  grids.set(prior, made);
  return made;
}

/**
 * A grid after lives have been seen, or (`times` −1) without them: ln L = Σ_ended [ln k − k ln η + (k−1) ln t] −
 * Σ_all (t^k − entered^k)/η^k, with η = median/(ln 2)^(1/k).
 */
const afterSeeing = (shapes: readonly Shape[], lives: readonly Lifetime[], times: 1 | -1): readonly Shape[] =>
  lives.length === 0
    ? shapes
    : shapes.map(({ shape, rates, logs }) => {
        const told = toldBy(lives, shape);
        return { shape, rates, logs: logs.map((one, at) => one + times * told(rates[at] ?? 0)) };
      });

/** What is still believed, shape by shape: the points of the grid that weigh something, their weights adding up to 1. */
type Weighed = {
  readonly shape: number;
  /** Which median the first of them belongs to. */
  readonly from: number;
  readonly rates: Float64Array;
  readonly weights: Float64Array;
};

function weighed(shapes: readonly Shape[]): Weighed[] {
  const best = shapes.reduce(
    (most, { logs }) => logs.reduce((more, one) => (one > more ? one : more), most),
    -Infinity,
  );
  const kept = shapes.flatMap(({ shape, rates, logs }) => {
    // Those that weigh something stand side by side, for a life is likeliest at one median of a shape.
    let [from, to] = [0, logs.length];
    while (from < to && (logs[from] ?? 0) - best < NEGLIGIBLE) from++;
    while (to > from && (logs[to - 1] ?? 0) - best < NEGLIGIBLE) to--;
    const weights = logs.slice(from, to).map((one) => exp(one - best));
    return from === to ? [] : [{ shape, from, rates: rates.subarray(from, to), weights }];
  });
  const total = kept.reduce((sum, { weights }) => weights.reduce((more, one) => more + one, sum), 0);
  return kept.map((one) => ({ ...one, weights: one.weights.map((weight) => weight / total) }));
}

/** The mean over what is believed of the chance that one alive at `age` is alive at `then`. */
function survivalFrom(points: readonly Weighed[], age: number, then: number): number {
  let share = 0;
  for (const { shape, rates, weights } of points) {
    const lived = then ** shape - age ** shape;
    for (let at = 0; at < rates.length; at++) share += (weights[at] ?? 0) * exp(-(rates[at] ?? 0) * lived);
  }
  return share;
}

function meanAndSpread(points: readonly Weighed[], valueOf: (point: Weighed, at: number) => number) {
  const sum = (value: (point: Weighed, at: number) => number): number =>
    points.reduce((all, one) => one.weights.reduce((more, weight, at) => more + weight * value(one, at), all), 0);
  const mean = sum(valueOf);
  return { mean, sd: Math.sqrt(sum((point, at) => (valueOf(point, at) - mean) ** 2)) };
}

/** Times an interval is narrowed at most, and the share of an age that makes no difference. */
const NARROWED = 60;
const SAME_AGE = 1e-7;

/**
 * Where a function that falls from 1 towards 0 reaches `to`: an interval that grows from `first`, narrowed by the false
 * position of its logarithm, where an end that stays is halved (the Illinois method; Dowell and Jarratt 1971, BIT 11:168).
 */
function whereItFalls(valueOf: (further: number) => number, to: number, first: number): number {
  const above = (further: number): number => ln(valueOf(further)) - ln(to);
  let [low, high] = [0, first];
  let [atLow, atHigh] = [-ln(to), above(first)];
  while (atHigh > 0 && high < Number.MAX_VALUE / 4) {
    [low, atLow] = [high, atHigh];
    high *= 3;
    atHigh = above(high);
  }
  let stayed = 0;
  for (let time = 0; time < NARROWED && high - low > SAME_AGE * high; time++) {
    const middle = Number.isFinite(atHigh) ? low + ((high - low) * atLow) / (atLow - atHigh) : (low + high) / 2;
    const atMiddle = above(middle);
    if (Math.abs(atMiddle) < SAME_AGE) return middle;
    if (atMiddle > 0) {
      [low, atLow] = [middle, atMiddle];
      if (stayed > 0) atHigh /= 2;
      stayed = 1;
    } else {
      [high, atHigh] = [middle, atMiddle];
      if (stayed < 0) atLow /= 2;
      stayed = -1;
    }
  }
  return (low + high) / 2;
}

const isBetween = (value: number): boolean => value > 0 && value < 1;

/** What is believed by a grid; nothing is worked out before it is asked for. */
function beliefOf({ medians, shapes }: Grid, seen: LifeBelief['seen']): LifeBelief {
  /** Where ages begin to be looked at: the middle of the grid. */
  const first = medians[STEPS.length >> 1] ?? 1;
  let made: readonly Weighed[] | undefined;
  const believed = (): readonly Weighed[] => (made ??= weighed(shapes));
  let median: LifeBelief['median'] | undefined;
  let shape: LifeBelief['shape'] | undefined;
  const having = (age: number): Onward => {
    if (!(age >= 0 && age < Infinity)) throw new RangeError('an age is a number from 0 on');
    // To have come so far speaks for those of the grid under which one does.
    const points =
      age === 0
        ? believed()
        : weighed(
            shapes.map(({ shape, rates, logs }) => {
              const lived = age ** shape;
              return { shape, rates, logs: logs.map((one, at) => one - (rates[at] ?? 0) * lived) };
            }),
          );
    const lasts = (further: number): number => {
      if (Number.isNaN(further)) throw new RangeError('a further time is a number');
      return further <= 0 ? 1 : survivalFrom(points, age, age + further);
    };
    return {
      lasts,
      outlives: (chance) => {
        if (!isBetween(chance)) throw new RangeError('a chance is more than 0 and less than 1');
        return whereItFalls(lasts, chance, first);
      },
    };
  };
  return {
    survival: (age) => (age <= 0 ? 1 : survivalFrom(believed(), 0, age)),
    ageAt: (share) => having(0).outlives(share),
    having,
    without: (life) => {
      const { ended, alive } = seen;
      const left = life.ended ? { ended: ended - 1, alive } : { ended, alive: alive - 1 };
      return beliefOf({ medians, shapes: afterSeeing(shapes, [life], -1) }, left);
    },
    get median() {
      return (median ??= meanAndSpread(believed(), ({ from }, at) => medians[from + at] ?? 0));
    },
    get shape() {
      return (shape ??= meanAndSpread(believed(), (point) => point.shape));
    },
    seen,
  };
}

/**
 * What lives, each perhaps entered late or still going on, tell of the next one: a Weibull life with log-normal priors on
 * median and shape, worked out on a grid (check values in the test, recomputed with an independent quadrature).
 *
 * @param lives ages in the unit of the prior's median; an age that ended is above 0
 * @throws RangeError for a life that is left before it was entered, or with an age that is none
 */
export function lifeBelief(lives: readonly Lifetime[], prior: LifePrior): LifeBelief {
  checkLives(lives);
  const { medians, shapes } = gridOf(prior);
  const ended = lives.filter((life) => life.ended).length;
  return beliefOf({ medians, shapes: afterSeeing(shapes, lives, 1) }, { ended, alive: lives.length - ended });
}
