import { eq, getTableName, sql, type InferInsertModel, type InferSelectModel } from 'drizzle-orm';
import type { Db } from '#server/db/connection.ts';
import { preparedOnce } from '#server/db/prepared.ts';
import { insertRow } from '#server/db/prepared-insert.ts';
import type { BodyStore, BodyTable } from '#server/record/define-fact.ts';

/** The body of a kind as one row of one table. `toRow` leaves out the reference to the spine. */
export const bodyTable = <Table extends BodyTable, Body>(
  table: Table,
  {
    toRow,
    fromRow,
    misrepeated,
  }: {
    readonly toRow: (body: Body) => Omit<InferInsertModel<Table>, 'factId'>;
    readonly fromRow: (row: InferSelectModel<Table>) => Body;
    readonly misrepeated?: (db: Db) => string[];
  },
): BodyStore<Body> => {
  const row = preparedOnce((db) =>
    db
      .select()
      .from(table as BodyTable)
      .where(eq(table.factId, sql.placeholder('factId')))
      .prepare(),
  );
  return {
    table,
    fromRow,
    ...(misrepeated ? { misrepeated } : {}),
    insert: (db, { factId }, body) => {
      insertRow(db, table, { ...toRow(body), factId });
    },
    read: (db: Db, factId) => {
      const found = row(db).get({ factId });
      if (found === undefined) throw new Error(`${getTableName(table)} has no body of fact ${factId}`);
      return fromRow(found as InferSelectModel<Table>);
    },
    recount: (db, factId, counts) => {
      if (table.counts === undefined) return;
      db.update(table)
        .set({ counts } as never)
        .where(eq(table.factId, factId))
        .run();
    },
  };
};
