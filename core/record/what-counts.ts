/** A fact as far as counting goes. `withdraws`: the key a withdrawal takes back; null for any other fact. */
export type CountedFact = {
  readonly key: string;
  readonly corrects: string | null;
  readonly belongsTo: string | null;
  readonly withdraws: string | null;
};

/**
 * The keys of the facts that count. A fact counts while nobody has taken it back, the fact it belongs to counts, and no
 * correction of it stands; of its corrections the newest one standing counts. Taking the original back takes the whole
 * of it back, taking a correction back brings the former one back. A withdrawal always counts: it cannot be taken back.
 *
 * @param facts in the order they arrived
 */
export function whatCounts(facts: readonly CountedFact[]): Set<string> {
  const byKey = new Map(facts.map((fact) => [fact.key, fact]));
  const takenBack = new Set(facts.flatMap(({ withdraws }) => withdraws ?? []));
  const corrections = new Map<string, string[]>();
  for (const { key, corrects } of facts)
    if (corrects !== null) corrections.set(corrects, [...(corrections.get(corrects) ?? []), key]);

  const stands = (original: CountedFact): boolean => {
    if (takenBack.has(original.key)) return false;
    const owner = original.belongsTo === null ? undefined : byKey.get(original.belongsTo);
    return owner === undefined || stands(originalOf(owner));
  };
  const originalOf = (fact: CountedFact): CountedFact =>
    (fact.corrects === null ? undefined : byKey.get(fact.corrects)) ?? fact;

  const counting = facts.filter(({ corrects }) => corrects === null).filter(stands);
  return new Set(counting.map(({ key }) => (corrections.get(key) ?? []).findLast((one) => !takenBack.has(one)) ?? key));
}
