import type { Subject } from '#core/record/fact.ts';

/** Most things that are kept: an old one goes for a new one. */
export const MOST_KEPT = 400;

/**
 * What has been worked out is kept until a fact touches one of its subjects: `name` says what it is, `subjects` what it
 * hangs on, `day` the day it was worked out for.
 */
export function createRemembered(revision: (subject: Subject) => number) {
  const kept = new Map<string, { readonly at: string; readonly value: unknown }>();
  return {
    of: <Value>(name: string, subjects: readonly Subject[], day: string, make: () => Value): Value => {
      const at = `${day} ${subjects.map((one) => `${one.id}:${revision(one)}`).join(' ')}`;
      const known = kept.get(name);
      if (known?.at === at) return known.value as Value;
      const value = make();
      kept.delete(name);
      kept.set(name, { at, value });
      const [oldest] = kept.keys();
      if (kept.size > MOST_KEPT && oldest !== undefined) kept.delete(oldest);
      return value;
    },
    /** What was read while something was being written that never was. */
    forget: () => kept.clear(),
  };
}
export type Remembered = ReturnType<typeof createRemembered>;
