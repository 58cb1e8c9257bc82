import { forbiddenUses } from '#core/agents/guard.ts';
import { plainContext, usualPractice } from '#core/methods/practice-under.ts';
import type { Book } from '#core/book/book.ts';
import type { Practice } from '#core/book/practice.ts';
import { practiceFor } from '#core/methods/practice-for.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';
import { KIND_IDS, type KindId } from '#core/instruments/kind.ts';

/** @throws Error naming the first reference that leads nowhere */
function checkPractice(kind: KindId, { items, steps }: Practice): void {
  const known = new Set<string>(items.map(({ id }) => id));
  for (const { id, item } of steps) if (!known.has(item)) throw new Error(`${kind}: step ${id} does no item it has`);
  for (const { id, includes = [], trigger, place } of items) {
    for (const one of includes)
      if (!known.has(one)) throw new Error(`${kind}: ${id} includes ${one}, which it has not`);
    const isDone = place === 'bench' || trigger.kind === 'clock-by-method' || steps.some(({ item }) => item === id);
    if (!isDone && trigger.kind !== 'every-play') throw new Error(`${kind}: nothing does ${id}`);
  }
}

/** @throws Error naming the first step that calls for what the book forbids on this build */
function checkUses(book: Book, kind: KindId): void {
  const build = usualBuild(book.kinds[kind]);
  const context = plainContext(book, kind, build);
  for (const step of usualPractice(book, kind, build).steps)
    for (const { agent, why } of forbiddenUses(step, { choices: {}, context }))
      throw new Error(`${kind}: ${step.id} calls for ${agent}: ${why}`);
}

/**
 * Opens every page of the book at start-up, each kind in its usual build: a part a page speaks of and the kind does
 * not name, a reference that leads nowhere, or a step that calls for what may not touch this build, stops the program
 * there and then.
 *
 * @throws Error naming the fault
 */
export function checkBook(book: Book): void {
  for (const kind of KIND_IDS) {
    checkPractice(kind, practiceFor(book, kind, usualBuild(book.kinds[kind])));
    checkUses(book, kind);
  }
}
