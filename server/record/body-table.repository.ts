import { eq, getTableName, type InferInsertModel, type InferSelectModel } from 'drizzle-orm';
import type { Db } from '#server/db/connection.ts';
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
): BodyStore<Body> => ({
  table,
  fromRow,
  ...(misrepeated ? { misrepeated } : {}),
  insert: (db, { factId }, body) => {
    insertRow(db, table, { ...toRow(body), factId });
  },
  read: (db: Db, factId) => {
    const row = db.select().from(table).where(eq(table.factId, factId)).get();
    if (row === undefined) throw new Error(`${getTableName(table)} has no body of fact ${factId}`);
    return fromRow(row as InferSelectModel<Table>);
  },
  recount: (db, factId, counts) => {
    if (table.counts === undefined) return;
    db.update(table)
      .set({ counts } as never)
      .where(eq(table.factId, factId))
      .run();
  },
});
