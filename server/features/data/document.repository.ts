import { Column, eq, getTableColumns, sql, type SQL } from 'drizzle-orm';
import type { WrittenFact, WrittenOtherKey } from '#core/data/document.ts';
import type { Instant } from '#core/time/instant.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import type { Db } from '#server/db/connection.ts';
import type { AnyFact, BodyTable } from '#server/record/define-fact.ts';
import { createRecord, type RecordOf } from '#server/record/record.repository.ts';
import { facts, otherKeys } from '#server/record/record.table.ts';

/** Facts that are read at a time; between them others have their turn. */
const AT_A_TIME = 500;

const nextTurn = (): Promise<void> => new Promise((resolve) => setImmediate(resolve));

/** The rows of a table by the number of their fact, without what maps a row at a time: a record has millions. */
function rowsOf(db: Db, table: BodyTable) {
  const columns = Object.entries(getTableColumns(table));
  const statementWith = (condition: SQL) =>
    db.$client.prepare<unknown[], unknown[]>(db.select().from(table).where(condition).toSQL().sql).raw();
  const [first, last] = [sql.placeholder('first'), sql.placeholder('last')];
  const listed = statementWith(sql`${table.factId} in (select value from json_each(${first}))`);
  // Of what arrived one after the other no list is needed: a number is that of one fact, in one table.
  const between = statementWith(sql`${table.factId} between ${first} and ${last}`);
  const names = columns.map(([name]) => name);
  const maps = columns.map(([, column]) =>
    column.mapFromDriverValue === Column.prototype.mapFromDriverValue
      ? null
      : (value: unknown) => (value === null ? null : column.mapFromDriverValue(value)),
  );
  const factAt = names.indexOf('factId');
  const valuesOf = (ids: readonly number[], isDense: boolean) =>
    isDense ? between.all(ids[0], ids.at(-1)) : listed.all(JSON.stringify(ids));
  return (ids: readonly number[], isDense: boolean): (readonly [number, Record<string, unknown>])[] =>
    valuesOf(ids, isDense).map((values) => {
      const row: Record<string, unknown> = {};
      for (let at = 0; at < names.length; at++) {
        const map = maps[at];
        row[names[at] ?? ''] = map ? map(values[at]) : values[at];
      }
      return [values[factAt] as number, row] as const;
    });
}

type Reader = (ids: readonly number[], isDense: boolean) => (readonly [number, unknown])[];

/** The bodies of facts by their number, kind by kind, by statements that are built once. */
function createBodies<Told>(db: Db, { definitionOf }: RecordOf<Told>) {
  const readers = new Map<string, Reader>();
  const readerOf = (kind: string): Reader => {
    const { table, fromRow, read } = definitionOf(kind).store;
    if (fromRow === undefined) return (ids) => ids.map((id) => [id, read(db, id)] as const);
    const rows = rowsOf(db, table);
    return (ids, isDense) => rows(ids, isDense).map(([id, row]) => [id, fromRow(row as never)] as const);
  };
  return (all: readonly SpineValues[], isDense: boolean): ReadonlyMap<number, unknown> => {
    const idsOf = new Map<string, number[]>();
    for (const [id, , kind] of all) {
      const ids = idsOf.get(kind);
      if (ids) ids.push(id);
      else idsOf.set(kind, [id]);
    }
    const bodies = new Map<number, unknown>();
    for (const [kind, ids] of idsOf) {
      const reader = readers.get(kind) ?? readerOf(kind);
      readers.set(kind, reader);
      for (const [id, body] of reader(ids, isDense)) bodies.set(id, body);
    }
    return bodies;
  };
}

/** A row of the spine, with the keys of what it refers to: in the order they are asked for. */
type SpineValues = [number, string, string, LocalDate, number | null, Instant, string | null, string | null];

/** The lines of the spine, by a condition. */
const spineLines = (db: Db, condition: string) =>
  db.$client
    .prepare<unknown[], SpineValues>(
      `select f.id, f.key, f.kind, f."on", f.at_minute, f.logged_at, 
       (select key from facts c where c.id = f.corrects), (select key from facts o where o.id = f.belongs_to)
     from facts f
     where ${condition} order by f.id limit ${AT_A_TIME}`,
    )
    .raw();

/** The facts of a record in the order they arrived, whether they count or not. */
export function createWholeRecord<Told>(db: Db, definitions: readonly AnyFact<Told>[]) {
  const record = createRecord(db, definitions);
  const bodiesOf = createBodies(db, record);
  const after = spineLines(db, 'f.id > ?');
  const numbered = spineLines(db, 'f.id in (select value from json_each(?))');
  const keysAfter = db
    .select({ key: otherKeys.key, fact: facts.key, sent: otherKeys.sent, row: sql<number>`${otherKeys}.rowid` })
    .from(otherKeys)
    .innerJoin(facts, eq(facts.id, otherKeys.factId))
    .where(sql`${otherKeys}.rowid > ${sql.placeholder('last')}`)
    .orderBy(sql`${otherKeys}.rowid`)
    .limit(AT_A_TIME)
    .prepare();

  const written = (lines: readonly SpineValues[], isDense: boolean): WrittenFact[] => {
    const bodies = bodiesOf(lines, isDense);
    return lines.map(([id, key, kind, on, atMinute, loggedAt, corrects, belongsTo]) => ({
      key,
      kind,
      on,
      atMinute,
      loggedAt,
      corrects,
      belongsTo,
      body: bodies.get(id),
    }));
  };

  return {
    record,
    /** How many facts there are. */
    count: (): number =>
      db
        .select({ count: sql<number>`count(*)` })
        .from(facts)
        .get()?.count ?? 0,
    /** All of them, in turns. */
    async *facts(): AsyncGenerator<WrittenFact[]> {
      for (let last = 0; ;) {
        const lines = after.all(last);
        if (lines.length === 0) return;
        yield written(lines, true);
        last = lines.at(-1)?.[0] ?? last;
        await nextTurn();
      }
    },
    /** Those under these numbers, in turns, in the order they arrived. */
    async *factsOf(ids: readonly number[]): AsyncGenerator<WrittenFact[]> {
      for (let at = 0; at < ids.length; at += AT_A_TIME) {
        yield written(numbered.all(JSON.stringify(ids.slice(at, at + AT_A_TIME))), false);
        await nextTurn();
      }
    },
    async *otherKeys(): AsyncGenerator<WrittenOtherKey[]> {
      for (let last = 0; ;) {
        const rows = keysAfter.all({ last });
        if (rows.length === 0) return;
        yield rows.map(({ key, fact, sent }) => ({ key, fact, sent: JSON.parse(sent) as unknown }));
        last = rows.at(-1)?.row ?? last;
        await nextTurn();
      }
    },
  };
}
export type WholeRecord = ReturnType<typeof createWholeRecord>;
