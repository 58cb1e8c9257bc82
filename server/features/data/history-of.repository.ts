import { sql } from 'drizzle-orm';
import type { WrittenFact } from '#core/data/document.ts';
import { fieldOf } from '#core/record/fact.ts';
import type { Db } from '#server/db/connection.ts';
import type { WholeRecord } from '#server/features/data/document.repository.ts';

/**
 * The facts that tell of one instrument and of no other, with what belongs to them, by number. What was taken back is not
 * among them, nor a correction that was.
 */
const numbersOf = (db: Db, instrumentId: string): number[] =>
  db
    .all<{ id: number }>(
      sql`with recursive
        of_it as (
          select fs.fact_id as id from fact_subjects fs join subjects s on s.id = fs.subject_id
          where s.kind = 'instrument' and s.name = ${instrumentId}
            and not exists (
              select 1 from fact_subjects o join subjects os on os.id = o.subject_id
              where o.fact_id = fs.fact_id and os.kind = 'instrument' and os.name <> ${instrumentId})),
        whole as (
          select id from of_it
          union
          select f.id from facts f join whole w on f.belongs_to = w.id
            where not exists (select 1 from fact_subjects o where o.fact_id = f.id)
               or f.id in (select id from of_it))
      select f.id as id from whole w join facts f on f.id = w.id
      where exists (
          select 1 from facts v where v.counts and (v.id = coalesce(f.corrects, f.id) or v.corrects = coalesce(f.corrects, f.id)))
        and (f.corrects is null or not exists (select 1 from withdrawals t where t.target_key = f.key))
      order by f.id`,
    )
    .map(({ id }) => id);

/** The players named in facts: who they are belongs to it. */
const PLAYER_FIELDS = ['playerId', 'minderId'] as const;

const playersOf = (db: Db, names: ReadonlySet<string>): number[] =>
  db
    .all<{ id: number }>(
      sql`select p.fact_id as id from players p where p.id in (select value from json_each(${JSON.stringify([...names])}))
        union all
        select max(pr.fact_id) from profiles pr join facts f on f.id = pr.fact_id and f.counts
          where pr.player_id in (select value from json_each(${JSON.stringify([...names])})) group by pr.player_id
        order by 1`,
    )
    .map(({ id }) => id);

/**
 * The history of one instrument: what counts of it, in the order it arrived, after the players it names. What belonged to
 * an entry about several instruments stands by itself.
 */
export async function* historyOf(
  db: Db,
  whole: Pick<WholeRecord, 'factsOf' | 'record'>,
  instrumentId: string,
): AsyncGenerator<WrittenFact[]> {
  const goes = ({ kind, body }: WrittenFact): boolean => whole.record.definitionOf(kind).staysBehind?.(body) !== true;
  const chosen = numbersOf(db, instrumentId);
  const named = new Set<string>();
  const keys = new Set<string>();
  for await (const some of whole.factsOf(chosen))
    for (const fact of some.filter(goes)) {
      keys.add(fact.key);
      for (const field of PLAYER_FIELDS) {
        const name = fieldOf(fact.body, field);
        if (typeof name === 'string') named.add(name);
      }
    }
  // Their profile stands by itself: what else came with it is not theirs to hand on.
  for await (const some of whole.factsOf(playersOf(db, named)))
    yield some.map((fact) => ({ ...fact, corrects: null, belongsTo: fact.kind === 'profile' ? fact.belongsTo : null }));
  for await (const some of whole.factsOf(chosen))
    yield some.filter(goes).map((fact) => ({
      ...fact,
      corrects: fact.corrects !== null && keys.has(fact.corrects) ? fact.corrects : null,
      belongsTo: fact.belongsTo !== null && keys.has(fact.belongsTo) ? fact.belongsTo : null,
    }));
}
