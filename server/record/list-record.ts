import type { Subject } from '#core/record/fact.ts';
import type { RecordEntryView } from '#contract/record.ts';
import type { Listed } from '#server/record/define-fact.ts';
import type { Telling } from '#server/record/log-fact.ts';
import type { NewestFact } from '#server/record/record-reader.repository.ts';
import { latestToday } from '#server/wall-clock.ts';

/** What a clock that was wrong has dated stands before everything that comes after it: it is said so. */
const stillToCome = (words: string, correctable: boolean): string =>
  `${words.replace(/\.?$/, '.')} Its day is still to come: a clock was wrong. ${correctable ? 'Correct it, or take it back.' : 'Take it back.'}`;

/** Facts with their bodies, read together; without those that no list needs. */
function withBodies<Told>(newest: readonly NewestFact[], { record }: Telling<Told>): Listed<unknown>[] {
  const needed = newest.filter(({ kind }) => record.definitionOf(kind).isTooLargeToList !== true);
  const bodies = record.bodiesOf(needed);
  return newest.map((fact) => ({ ...fact, body: bodies.get(fact.id) }));
}

/** How facts read, by their number: a kind that can reads its own together. */
function wordsOf<Told>(
  facts: readonly Listed<unknown>[],
  telling: Telling<Told> & Told,
  about: Subject,
): ReadonlyMap<number, string> {
  const kinds = [...new Set(facts.map(({ kind }) => kind))];
  return new Map(
    kinds.flatMap((kind) => {
      const ofKind = facts.filter((fact) => fact.kind === kind);
      const { words, wordsOfAll } = telling.record.definitionOf(kind);
      const together = wordsOfAll?.(ofKind, telling, about);
      return ofKind.map((fact, at) => [fact.id, together?.[at] ?? words?.(fact, telling, about) ?? kind] as const);
    }),
  );
}

/**
 * The newest entries about a subject, and about others that hold for it as well (what its player is in). Two hundred take
 * as many statements as ten.
 */
export function listRecord<Told>(
  telling: Telling<Told> & Told,
  subjects: readonly [Subject, ...Subject[]],
  limit: number,
): RecordEntryView[] {
  const [about] = subjects;
  const facts = withBodies(telling.record.newest(subjects, limit), telling);
  const words = wordsOf(facts, telling, about);
  const latest = latestToday(telling.nowMs());
  return facts.map((fact) => {
    const { id, key, kind, on, atMinute, corrects } = fact;
    const correctable = telling.record.definitionOf(kind).correctable === true;
    return {
      key,
      kind,
      on,
      atMinute,
      words: on > latest ? stillToCome(words.get(id) ?? kind, correctable) : (words.get(id) ?? kind),
      correctable,
      corrected: corrects !== null,
      said: correctable && typeof fact.body === 'object' ? { ...fact.body } : null,
    };
  });
}
