import { checkNumber } from '#core/kernel/check-number.ts';

/** A normal distribution of which only what lies above 0 is left. */
export type CutNormal = {
  readonly mean: number;
  /** The value below which the share given lies. */
  readonly quantile: (share: number) => number;
};

/** From here on the continued fraction is as good as a number can be. */
const FAR = 2.5;
const TERMS = 120;

/** erfc(x) · e^(x²) for x ≥ 2.5: the continued fraction (NIST Handbook of Mathematical Functions, 7.9.1), from its far end. */
function scaledFar(x: number): number {
  let tail = x;
  for (let k = TERMS; k >= 1; k--) tail = x + k / 2 / tail;
  return 1 / (Math.sqrt(Math.PI) * tail);
}

/** erf(x) for |x| < 2.5: its series with only positive terms (NIST Handbook, 7.6.2). */
function erfNear(x: number): number {
  let term = x;
  let sum = x;
  for (let k = 1; Math.abs(term) > Math.abs(sum) * 1e-17 && k < 200; k++) {
    term *= (2 * x * x) / (2 * k + 1);
    sum += term;
  }
  return (2 / Math.sqrt(Math.PI)) * Math.exp(-x * x) * sum;
}

/** The logarithm of the complementary error function: right far out, where the function itself is 0. */
export function logErfc(x: number): number {
  if (x >= FAR) return -x * x + Math.log(scaledFar(x));
  return Math.log(x <= -FAR ? 2 - Math.exp(-x * x) * scaledFar(-x) : 1 - erfNear(x));
}

/** Halvings of an interval until nothing is left of it. */
const HALVINGS = 200;
/** As far as anything of it is left in a number, standard deviations. */
const FURTHEST = 40;

/**
 * Normal(centre, spread) given that it is above 0: its mean in closed form (Johnson, Kotz and Balakrishnan, Continuous
 * Univariate Distributions 1, §13.10.1), its quantiles by halving.
 *
 * @throws RangeError for a spread that is none
 */
export function cutNormal(centre: number, spread: number): CutNormal {
  checkNumber('a centre', centre, { least: -1e6, most: 1e6 });
  checkNumber('a spread', spread, { least: 1e-9, most: 1e6 });
  const scaled = (value: number): number => (value - centre) / (spread * Math.SQRT2);
  const least = scaled(0);
  const all = logErfc(least);
  return {
    mean: centre + spread * Math.sqrt(2 / Math.PI) * Math.exp(-least * least - all),
    quantile: (share) => {
      checkNumber('a share', share, { most: 1 });
      let [low, high] = [0, Math.max(0, centre) + FURTHEST * spread];
      for (let step = 0; step < HALVINGS; step++) {
        const middle = (low + high) / 2;
        if (middle === low || middle === high) break;
        if (-Math.expm1(logErfc(scaled(middle)) - all) < share) low = middle;
        else high = middle;
      }
      return (low + high) / 2;
    },
  };
}
