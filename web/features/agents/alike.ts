import type { VerdictsView } from '#contract/agents.ts';

export type Part = VerdictsView['parts'][number];

/** Parts that get the same answer for the same reason. */
export type Alike = Pick<Part, 'verdict' | 'why' | 'mark'> & { readonly parts: readonly Part[] };

/** What is refused first, what nobody knows last. */
const ORDER: readonly Part['verdict'][] = ['no', 'care', 'by-method', 'yes', 'not-known'];

/** One answer for all the parts it holds for: the first part of each keeps its place. */
export function alike(parts: readonly Part[]): Alike[] {
  const answers = new Map<string, Alike>();
  for (const part of parts) {
    const { verdict, why, mark } = part;
    const key = JSON.stringify([verdict, why, mark]);
    const before = answers.get(key)?.parts ?? [];
    answers.set(key, { verdict, why, mark, parts: [...before, part] });
  }
  return [...answers.values()].toSorted((a, b) => ORDER.indexOf(a.verdict) - ORDER.indexOf(b.verdict));
}
