import type { Subject } from '#core/record/fact.ts';
import type { RecordEntryView } from '#contract/record.ts';
import type { Telling } from '#server/record/log-fact.ts';

/** The newest entries about a subject, and about others that hold for it as well (what its player is in). */
export function listRecord<Told>(
  telling: Telling<Told> & Told,
  subjects: readonly [Subject, ...Subject[]],
  limit: number,
): RecordEntryView[] {
  const { record } = telling;
  const [about] = subjects;
  return record.newest(subjects, limit).map((fact) => {
    const { words, logged } = record.definitionOf(fact.kind);
    const correctable = logged?.correctable === true;
    return {
      key: fact.key,
      kind: fact.kind,
      on: fact.on,
      atMinute: fact.atMinute,
      words: words?.(fact, telling, about) ?? fact.kind,
      correctable,
      corrected: fact.corrects !== null,
      body: correctable && typeof fact.body === 'object' ? { ...fact.body } : null,
    };
  });
}
