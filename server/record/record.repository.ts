import type { Db } from '#server/db/connection.ts';
import type { AnyFact } from '#server/record/define-fact.ts';
import { createRecordReader } from '#server/record/record-reader.repository.ts';
import { createRecordWriter } from '#server/record/record-writer.repository.ts';
import { createSpine } from '#server/record/spine.repository.ts';
import { withdrawalDefinition } from '#server/record/withdrawal.fact.ts';

/**
 * The record: one spine of facts with a body each. `append` is its only writer. It knows the kinds by what they declare
 * of themselves, and no feature by name.
 */
export function createRecord<Told>(db: Db, definitions: readonly AnyFact<Told>[]) {
  const spine = createSpine(db, [...definitions, withdrawalDefinition as AnyFact<Told>]);
  return { ...createRecordReader(db, spine), ...createRecordWriter(db, spine) };
}
export type RecordOf<Told> = ReturnType<typeof createRecord<Told>>;
