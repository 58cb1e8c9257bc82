import { and, asc, eq, or, sql } from 'drizzle-orm';
import type { Fact } from '#core/record/fact.ts';
import { instant } from '#core/time/instant.ts';
import { localDate } from '#core/time/local-date.ts';
import type { Db } from '#server/db/connection.ts';
import type { AnyFact } from '#server/record/define-fact.ts';
import { facts, withdrawals } from '#server/record/record.table.ts';

export type SpineRow = typeof facts.$inferSelect;
/** A fact as the record finds it: with its place in the order of arrival, and whether it counts. */
export type Recorded<Body = unknown> = Fact<Body> & { readonly id: number; readonly counts: boolean };

/** The spine of the record, and how a row of it becomes a fact with its body. */
export function createSpine<Told>(db: Db, definitions: readonly AnyFact<Told>[]) {
  const byKind = new Map(definitions.map((definition) => [definition.kind, definition]));
  const definitionOf = (kind: string): AnyFact<Told> => {
    const definition = byKind.get(kind);
    if (definition === undefined) throw new Error(`the record holds a ${kind}, which this version does not know`);
    return definition;
  };
  const byKey = db
    .select()
    .from(facts)
    .where(eq(facts.key, sql.placeholder('key')))
    .prepare();
  const byId = db
    .select()
    .from(facts)
    .where(eq(facts.id, sql.placeholder('id')))
    .prepare();
  const versions = db
    .select()
    .from(facts)
    .where(or(eq(facts.id, sql.placeholder('id')), eq(facts.corrects, sql.placeholder('id'))))
    .orderBy(asc(facts.id))
    .prepare();
  const withdrawal = db
    .select({ key: facts.key, at: facts.loggedAt })
    .from(withdrawals)
    .innerJoin(facts, eq(facts.id, withdrawals.factId))
    .where(eq(withdrawals.targetKey, sql.placeholder('key')))
    .prepare();
  const countingVersion = db
    .select()
    .from(facts)
    .where(
      and(or(eq(facts.id, sql.placeholder('id')), eq(facts.corrects, sql.placeholder('id'))), eq(facts.counts, true)),
    )
    .prepare();
  const withId = (id: number): SpineRow | undefined => byId.get({ id });
  const keyOf = (id: number | null): string | null => (id === null ? null : (withId(id)?.key ?? null));
  return {
    definitions,
    definitionOf,
    withKey: (key: string): SpineRow | undefined => byKey.get({ key }),
    withId,
    /** A fact and its corrections, in the order they arrived. */
    versionsOf: (original: number): SpineRow[] => versions.all({ id: original }),
    /** The version of a fact that counts. */
    countingOf: (original: number): SpineRow | undefined => countingVersion.get({ id: original }),
    withdrawalOf: (key: string) => withdrawal.get({ key }),
    recorded: (row: SpineRow): Recorded => ({
      id: row.id,
      key: row.key,
      kind: row.kind,
      on: localDate(row.on),
      atMinute: row.atMinute,
      loggedAt: instant(row.loggedAt),
      corrects: keyOf(row.corrects),
      belongsTo: keyOf(row.belongsTo),
      counts: row.counts,
      body: definitionOf(row.kind).store.read(db, row.id),
    }),
  };
}
export type Spine<Told> = ReturnType<typeof createSpine<Told>>;
