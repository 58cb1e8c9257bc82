import { checkNumber } from '#core/kernel/check-number.ts';

/** How wet a player blows an instrument: a belief over the logarithm of their water against the usual. */
export type Wetness = {
  /** Weight of each value of the grid; sums to 1. */
  readonly weights: readonly number[];
  /** How many taps it stands on. */
  readonly taps: number;
};

/** What the cloth showed on the last pass; `first-dry`: that pass was the first one to come out dry. */
export const LAST_PASSES = ['dry', 'wet', 'first-dry'] as const;
export type LastPass = (typeof LAST_PASSES)[number];

/** One answer to "was the last pass dry?". */
export type PassTap = {
  /** ln(water of a usual player ÷ dry threshold) of that play. */
  readonly logWaterOverDry: number;
  readonly passes: number;
  /** What a pass of the cloth used then takes, see {@link dryingPerPass}. */
  readonly lambda: number;
  readonly found: LastPass;
};

/** w = −2, −1.9 … 2: from an eighth of the usual water to seven times it. */
export const WETNESS_GRID: readonly number[] = Array.from({ length: 41 }, (_, index) => (index - 20) / 10);
/** Spread of players before anything is known (estimate). */
const PRIOR_SPREAD = 0.6;
/** How sharply a cloth tells dry from wet (estimate): session scatter and reading error. */
const SHARPNESS = 3;
/** As soon as it is more likely dry than not. */
export const USUAL_CONFIDENCE = 0.5;

function normalised(weights: readonly number[]): number[] {
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  return weights.map((weight) => weight / total);
}

/** What is believed of a player nobody has asked yet. */
export const usualWetness: Wetness = {
  weights: normalised(WETNESS_GRID.map((w) => Math.exp(-(w * w) / (2 * PRIOR_SPREAD ** 2)))),
  taps: 0,
};

/** Natural log-reduction of the water by one pass that takes a share. @throws RangeError for a share not between 0 and 1 */
export function dryingPerPass(pickedUpPerPass: number): number {
  checkNumber('the share of a pass', pickedUpPerPass, { least: Number.MIN_VALUE, most: 1 - Number.EPSILON });
  return -Math.log(1 - pickedUpPerPass);
}

/** Chance that the bore is dry after `passes`, for a player of wetness `w`: 1 ÷ (1 + exp(−κ(nλ − μ − w))), κ = 3. */
const chanceDryAt = (passes: number, lambda: number, mu: number, w: number): number =>
  1 / (1 + Math.exp(-SHARPNESS * (passes * lambda - mu - w)));

/** Chance that the bore is dry after `passes` under the belief. `mu` = ln(usual water ÷ dry threshold). */
export function chanceDry({ weights }: Wetness, passes: number, lambda: number, mu: number): number {
  for (const one of [passes, lambda]) checkNumber('passes and what they take', one);
  if (Number.isNaN(mu)) throw new RangeError('water over dry is a number');
  return weights.reduce(
    (sum, weight, index) => sum + weight * chanceDryAt(passes, lambda, mu, WETNESS_GRID[index] ?? 0),
    0,
  );
}

/** ln of the logistic function, exact where the function itself is 0 or 1 to the last digit. */
const logLogistic = (z: number): number => (z < 0 ? z - Math.log1p(Math.exp(z)) : -Math.log1p(Math.exp(-z)));

/**
 * ln P(tap | w). In logarithms, for after some 25 passes the chances themselves are 0 or 1 to the last digit. With
 * z(n) = κ(nλ − μ − w) and the logistic function s: ln P(wet) = ln s(−z), and s(a) − s(b) = s(a) s(−b) (1 − e^(b − a)).
 */
function logLikelihood({ passes, found, lambda, logWaterOverDry: mu }: PassTap, w: number): number {
  const z = (n: number) => SHARPNESS * (n * lambda - mu - w);
  switch (found) {
    case 'dry':
      return logLogistic(z(passes));
    case 'wet':
      return logLogistic(-z(passes));
    case 'first-dry':
      return passes > 1
        ? logLogistic(z(passes)) + logLogistic(-z(passes - 1)) + Math.log(-Math.expm1(-SHARPNESS * lambda))
        : logLogistic(z(passes));
  }
}

/**
 * The belief after one more tap, by Bayes' rule on the grid: prior N(0, 0.6²), logistic likelihood with κ = 3.
 * "This pass was the first dry one" carries the interval likelihood P(dry|n) − P(dry|n−1). A tap whose figures are none
 * says nothing: what was believed stays.
 */
export function afterTap(belief: Wetness, tap: PassTap): Wetness {
  const { passes, lambda, logWaterOverDry } = tap;
  if (![passes, lambda, logWaterOverDry].every(Number.isFinite) || passes < 0 || lambda <= 0) return belief;
  const logs = belief.weights.map((weight, index) => Math.log(weight) + logLikelihood(tap, WETNESS_GRID[index] ?? 0));
  // The likeliest value keeps weight 1: however unlikely the tap was, something is left to normalise.
  const most = Math.max(...logs);
  return { weights: normalised(logs.map((log) => Math.exp(log - most))), taps: belief.taps + 1 };
}

export const learnWetness = (taps: readonly PassTap[]): Wetness => taps.reduce(afterTap, usualWetness);

/** Mean and spread of w under the belief. */
export function wetnessMoments({ weights }: Wetness): { mean: number; spread: number } {
  const mean = weights.reduce((sum, weight, index) => sum + weight * (WETNESS_GRID[index] ?? 0), 0);
  const variance = weights.reduce((sum, weight, index) => sum + weight * ((WETNESS_GRID[index] ?? 0) - mean) ** 2, 0);
  return { mean, spread: Math.sqrt(variance) };
}

/** Four fifths of a normal distribution lie within ±1.2816 standard deviations. */
const Z_80_PERCENT = 1.2816;

/** A belief as factors of the usual water: its middle, the range four fifths of it lie in, and every value of the grid. */
export function wetnessFactors(wetness: Wetness) {
  const { mean, spread } = wetnessMoments(wetness);
  return {
    factor: Math.exp(mean),
    low: Math.exp(mean - Z_80_PERCENT * spread),
    high: Math.exp(mean + Z_80_PERCENT * spread),
    factors: WETNESS_GRID.map((w) => Math.exp(w)),
  };
}
