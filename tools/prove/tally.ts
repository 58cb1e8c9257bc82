import type { ProofChecked } from '#core/testing/prove-run.ts';

/** What was found of many situations. */
export type Tally = {
  plans: number;
  readonly excepted: Record<string, number>;
  /** What became of the orders that are called the shortest. */
  readonly proofs: Partial<Record<ProofChecked, number>>;
  /** What is broken, how often, and the first run in which it is. */
  readonly faults: Record<string, { readonly count: number; readonly first: string }>;
};

export const emptyTally = (): Tally => ({ plans: 0, excepted: {}, proofs: {}, faults: {} });

const addedCounts = <Name extends string>(
  one: Partial<Record<Name, number>>,
  other: Partial<Record<Name, number>>,
): Partial<Record<Name, number>> => {
  const sum = { ...one };
  for (const [name, count] of Object.entries(other) as [Name, number][]) sum[name] = (sum[name] ?? 0) + count;
  return sum;
};

/** Both together; of a fault the first run of the first. */
export function added(one: Tally, other: Tally): Tally {
  const faults = { ...one.faults };
  for (const [text, { count, first }] of Object.entries(other.faults))
    faults[text] = { count: (faults[text]?.count ?? 0) + count, first: faults[text]?.first ?? first };
  return {
    plans: one.plans + other.plans,
    excepted: addedCounts(one.excepted, other.excepted) as Record<string, number>,
    proofs: addedCounts(one.proofs, other.proofs),
    faults,
  };
}
