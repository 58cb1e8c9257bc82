import { checkNumber } from '#core/kernel/check-number.ts';

/**
 * How good reeds are shared out among those opened: Beta(good, bad). Counts of reeds seen added to a prior's; the two need
 * not be whole.
 */
export type GoodShare = { readonly good: number; readonly bad: number };

/** Ties of the published tables are exact shares: less than this is no difference. */
const TIE = 1e-9;
/** Nobody counts more. */
const MOST_COUNTED = 100_000;

function checkShare({ good, bad }: GoodShare): void {
  for (const one of [good, bad]) checkNumber('a count of reeds', one, { least: Number.MIN_VALUE });
}

/** Nobody opens more. */
const MOST_OPENED = 500;

/**
 * The chance that at least `wanted` of `opened` reeds are good: beta-binomial, P(X = x) = C(n,x) B(x+a, n−x+b)/B(a,b),
 * summed by the ratio of neighbouring terms so that no gamma function is needed.
 *
 * @throws RangeError for counts that are none
 * @returns 1 where none is wanted, 0 where more are wanted than opened
 */
export function chanceOfGood(opened: number, wanted: number, { good, bad }: GoodShare): number {
  checkShare({ good, bad });
  checkNumber('the reeds opened', opened, { whole: true, most: MOST_COUNTED });
  checkNumber('the reeds wanted', wanted, { whole: true, least: -MOST_COUNTED, most: MOST_COUNTED });
  if (wanted <= 0) return 1;
  if (wanted > opened) return 0;
  let term = 1;
  for (let index = 0; index < opened; index++) term *= (bad + index) / (good + bad + index);
  let below = term;
  for (let x = 0; x + 1 < wanted; x++) {
    term *= ((opened - x) * (x + good)) / ((x + 1) * (opened - x - 1 + bad));
    below += term;
  }
  return Math.max(0, 1 - below);
}

/** The fewest to open so that at least `wanted` are good with that chance; null where no number of them is enough. */
export function fewestToOpen(wanted: number, share: GoodShare, chance: number): number | null {
  checkNumber('a chance', chance, { most: 1 });
  checkNumber('the reeds wanted', wanted, { whole: true, least: -MOST_COUNTED, most: MOST_COUNTED });
  checkShare(share);
  for (let opened = Math.max(0, wanted); opened <= MOST_OPENED; opened++)
    if (chanceOfGood(opened, wanted, share) >= chance - TIE) return opened;
  return null;
}
