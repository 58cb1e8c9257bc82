import { eq } from 'drizzle-orm';
import type { Db } from '#server/db/connection.ts';
import { withdrawals, type WithdrawalRow } from '#server/features/record/record.table.ts';

export const createRecordRepository = (db: Db) => ({
  withdrawalOf: (targetKey: string): WithdrawalRow | undefined =>
    db.select().from(withdrawals).where(eq(withdrawals.targetKey, targetKey)).get(),

  keyTaken: (key: string): boolean => db.select().from(withdrawals).where(eq(withdrawals.key, key)).get() !== undefined,

  withdraw: (withdrawal: WithdrawalRow): void => {
    db.insert(withdrawals).values(withdrawal).run();
  },
});
