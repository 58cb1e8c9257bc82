import type { Subject } from '#core/record/fact.ts';
import { share, type Shared } from '#server/work/shared-work.ts';

/** Most things that are kept: an old one goes for a new one. */
export const MOST_KEPT = 400;

/** What was worked out, by what it hangs on: `name` says what it is, `subjects` what it hangs on, `day` for which day. */
export type Remembering = { readonly name: string; readonly subjects: readonly Subject[]; readonly day: string };

/** What has been worked out is kept until a fact touches one of its subjects. */
export function createRemembered(revision: (subject: Subject) => number) {
  const kept = new Map<string, { readonly at: string; readonly value: unknown }>();
  /** @param make makes it; it may be given `drop`, which forgets what was made and nothing else */
  const find = <Value>({ name, subjects, day }: Remembering, make: (drop: () => void) => Value): Value => {
    // Two devices at two sides of midnight ask in turn: neither forgets what the other has.
    const called = `${day} ${name}`;
    const at = subjects.map((one) => `${one.id}:${revision(one)}`).join(' ');
    const known = kept.get(called);
    if (known?.at === at) return known.value as Value;
    const making: { at: string; value?: unknown } = { at };
    const value = make(() => {
      if (kept.get(called) === making) kept.delete(called);
    });
    const entry = Object.assign(making, { value });
    kept.delete(called);
    kept.set(called, entry);
    const [oldest] = kept.keys();
    if (kept.size > MOST_KEPT && oldest !== undefined) kept.delete(oldest);
    return value;
  };
  return {
    of: find,
    /**
     * The same for long work, which is begun once for all who wait for it, ended when the last of them has left, and
     * forgotten where it failed.
     */
    work: <Work extends { readonly done: Promise<unknown> }>(
      what: Remembering,
      begin: (wanted: AbortSignal) => Work,
    ): Shared<Work> =>
      find(what, (drop) => {
        const shared = share(begin, drop);
        shared.work.done.catch(drop);
        return shared;
      }),
    /** What was read while something was being written that never was. */
    forget: () => kept.clear(),
  };
}
export type Remembered = ReturnType<typeof createRemembered>;
