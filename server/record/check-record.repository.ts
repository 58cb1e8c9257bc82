import { asc, eq, getTableName, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/sqlite-core';
import { whatCounts } from '#core/record/what-counts.ts';
import type { Db } from '#server/db/connection.ts';
import type { BodyStore } from '#server/record/define-fact.ts';
import { facts, withdrawals } from '#server/record/record.table.ts';
import { WITHDRAWAL } from '#server/record/withdrawal.fact.ts';

/** A kind of fact, as far as checking it goes. */
type AnyKind = { readonly kind: string; readonly store: Pick<BodyStore<unknown>, 'table' | 'misrepeated'> };

const [original, owner] = [alias(facts, 'original'), alias(facts, 'owner')];

/** Every fact as the rule of counting sees it, in the order they arrived. */
const spineOf = (db: Db) =>
  db
    .select({
      id: facts.id,
      key: facts.key,
      kind: facts.kind,
      counts: facts.counts,
      corrects: original.key,
      belongsTo: owner.key,
      withdraws: withdrawals.targetKey,
    })
    .from(facts)
    .leftJoin(original, eq(original.id, facts.corrects))
    .leftJoin(owner, eq(owner.id, facts.belongsTo))
    .leftJoin(withdrawals, eq(withdrawals.factId, facts.id))
    .orderBy(asc(facts.id))
    .all();

/** Bodies that repeat the spine wrongly. */
export const repeatedWrongly = (db: Db, kinds: readonly AnyKind[]): string[] =>
  kinds.flatMap(({ kind, store: { table, misrepeated } }) => {
    const counting =
      table.counts === undefined
        ? []
        : db
            .select({ key: facts.key })
            .from(table)
            .innerJoin(facts, eq(facts.id, table.factId))
            .where(sql`${table.counts} <> ${facts.counts}`)
            .all();
    return [
      ...counting.map(({ key }) => `${kind} ${key} does not repeat whether it counts`),
      ...(misrepeated?.(db) ?? []).map((key) => `${kind} ${key} repeats its fact wrongly`),
    ];
  });

/** Facts without a body, and bodies under another kind. */
const withoutBody = (db: Db, kinds: readonly AnyKind[]): string[] =>
  kinds.flatMap(({ kind, store: { table } }) =>
    db
      .select({ key: facts.key })
      .from(facts)
      .where(
        sql`${facts.kind} = ${kind} and not exists (select 1 from ${sql.identifier(getTableName(table))} b where b.fact_id = ${facts.id})`,
      )
      .all()
      .map(({ key }) => `${kind} ${key} has no body`),
  );

/**
 * Everything in the record that does not hold together, a line each; empty for a record as it should be. Works out anew
 * what counts, by the rule of the core, and compares it with what is kept. Old facts that break a newer rule are listed,
 * never changed.
 */
export function recordBreaches(db: Db, kinds: readonly AnyKind[]): string[] {
  const spine = spineOf(db);
  const keys = new Set(spine.map(({ key }) => key));
  const counting = whatCounts(spine);
  const wrong = spine
    .filter(({ key, counts }) => counts !== counting.has(key))
    .map(({ kind, key, counts }) => `${kind} ${key} is kept as ${counts ? 'counting' : 'not counting'}, wrongly`);
  const known = new Set([...kinds.map(({ kind }) => kind), WITHDRAWAL]);
  const strange = spine.filter(({ kind }) => !known.has(kind)).map(({ kind, key }) => `${key} is of no kind: ${kind}`);
  const nothing = spine.flatMap(({ kind, key, withdraws }) =>
    kind === WITHDRAWAL && withdraws !== null && !keys.has(withdraws)
      ? [`withdrawal ${key} takes back ${withdraws}, which is not in the record`]
      : [],
  );
  return [...wrong, ...strange, ...nothing, ...withoutBody(db, kinds), ...repeatedWrongly(db, kinds)];
}
