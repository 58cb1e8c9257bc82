import { estimate, type Marked } from '#core/explain/explained.ts';

/** The bench a player goes to: who it is, and how long an instrument is away. */
export type BenchTerms = {
  readonly name: string | null;
  readonly phone: string | null;
  /** Days of work it takes there, Monday to Friday. */
  readonly workingDays: number;
  /** Days on the way, there and again back; 0 where it is carried by hand. */
  readonly shippingDays: number;
  /** Days to get used to the instrument again. */
  readonly settlingDays: number;
  /** Where it is, as far as public holidays go: a country or a part of it, "DE-BY"; null assumes none. */
  readonly region: string | null;
  /** Months in which nothing is sent, for frost or heat, January 1; none is assumed. */
  readonly noShippingMonths: readonly number[];
};

type Figure = 'workingDays' | 'shippingDays' | 'settlingDays';
/** What is taken before anybody has said: the longer end of five to ten working days, two days of carrier, a few days. */
export const USUAL_BENCH: Readonly<Record<Figure, Marked>> = {
  workingDays: estimate(10),
  shippingDays: estimate(2),
  settlingDays: estimate(3),
};
/** Nobody's instrument is away longer, or takes longer to get used to. */
export const MOST_BENCH: Readonly<Record<Figure, number>> = { workingDays: 120, shippingDays: 30, settlingDays: 30 };

/** The bench of somebody who has said nothing. */
export const usualBench: BenchTerms = {
  name: null,
  phone: null,
  workingDays: USUAL_BENCH.workingDays.value,
  shippingDays: USUAL_BENCH.shippingDays.value,
  settlingDays: USUAL_BENCH.settlingDays.value,
  region: null,
  noShippingMonths: [],
};
