import { checkNumber } from '#core/kernel/check-number.ts';

/** A rate of interest a month as a fraction of whole numbers: 0.5 % is 5 of 1000. */
export type MonthlyRate = { readonly of: bigint; readonly among: bigint };
export const NO_INTEREST: MonthlyRate = { of: 0n, among: 1n };

/** Money that has to be there after so many deposits, in the smallest coins; none (0): before the first of them. */
export type DueAfter = { readonly deposits: number; readonly minor: number };

/** Nobody saves longer. */
const MOST_DEPOSITS = 1200;

/** What is left over a time: a month's interest, rounded down, then the deposit, then what is paid. */
export type FundMonth = { readonly interest: bigint; readonly paid: bigint; readonly left: bigint };

/** What is paid after each deposit, from none on. */
function paidAfter(due: readonly DueAfter[]): bigint[] {
  const last = due.reduce((most, { deposits }) => Math.max(most, deposits), 0);
  const paid = Array.from({ length: last + 1 }, () => 0n);
  for (const { deposits, minor } of due) {
    checkNumber('deposits', deposits, { whole: true, most: MOST_DEPOSITS });
    checkNumber('an amount', minor, { whole: true });
    paid[deposits] = (paid[deposits] ?? 0n) + BigInt(minor);
  }
  return paid;
}

/**
 * Month by month what is in the fund: deposits at the end of a month, in whole coins, interest rounded down so that no coin
 * is counted that is not there.
 *
 * @param due what is paid after which deposit; what is due before the first is paid at once
 */
export function fundMonths(
  {
    saved,
    deposit,
    rate = NO_INTEREST,
  }: { readonly saved: number; readonly deposit: bigint; readonly rate?: MonthlyRate },
  due: readonly DueAfter[],
): FundMonth[] {
  checkNumber('what is saved', saved, { whole: true });
  let left = BigInt(saved);
  return paidAfter(due).map((paid, month) => {
    const interest = month === 0 || left < 0n ? 0n : (left * rate.of) / rate.among;
    left += interest + (month === 0 ? 0n : deposit) - paid;
    return { interest, paid, left };
  });
}

const isEnough = (saved: number, deposit: bigint, due: readonly DueAfter[], rate: MonthlyRate): boolean =>
  fundMonths({ saved, deposit, rate }, due).every(({ left }) => left >= 0n);

/** A sinking fund: the deposit, and what is missing before the first can be made. */
export type SinkingFund = {
  /** Every month, in the smallest coins. */
  readonly deposit: number;
  /** Due before the first deposit and not saved: it has to come from elsewhere. */
  readonly short: number;
  /** The deposit after which nothing is to spare: what makes the amount what it is; null where nothing has to be saved. */
  readonly decidedBy: number | null;
};

/**
 * The smallest amount a month with which each cost can be paid on its date (a sinking fund: Newnan, Eschenbach & Lavelle,
 * Engineering Economic Analysis, ch. 4), rounded up to a coin. Whole numbers throughout: without interest it is the
 * largest of what is still missing divided by the deposits until then; with interest it is searched for.
 *
 * @throws RangeError for amounts or counts that are none
 */
export function sinkingFund(saved: number, due: readonly DueAfter[], rate: MonthlyRate = NO_INTEREST): SinkingFund {
  checkNumber('what is saved', saved, { whole: true });
  const atOnce = paidAfter(due)[0] ?? 0n;
  const short = atOnce > BigInt(saved) ? Number(atOnce) - saved : 0;
  // What is short comes from elsewhere: it is not saved for.
  const later = due.filter(({ deposits }) => deposits > 0);
  const kept = Math.max(0, saved - Number(atOnce));
  let [low, high] = [0n, 1n];
  if (isEnough(kept, 0n, later, rate)) return { deposit: 0, short, decidedBy: null };
  while (!isEnough(kept, high, later, rate)) [low, high] = [high, high * 2n];
  while (high - low > 1n) {
    const middle = (low + high) / 2n;
    if (isEnough(kept, middle, later, rate)) high = middle;
    else low = middle;
  }
  // With a coin less it would first be short here.
  const decidedBy = fundMonths({ saved: kept, deposit: high - 1n, rate }, later).findIndex(({ left }) => left < 0n);
  return { deposit: Number(high), short, decidedBy };
}
