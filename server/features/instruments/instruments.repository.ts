import { asc, eq, isNull } from 'drizzle-orm';
import type { Build } from '#core/instruments/build.ts';
import type { Instrument } from '#core/instruments/instrument.ts';
import type { Db } from '#server/db/connection.ts';
import { instrumentFromRow, rowFromInstrument } from '#server/features/instruments/instruments.mapper.ts';
import { instruments } from '#server/features/instruments/instruments.table.ts';

export const createInstrumentsRepository = (db: Db) => ({
  onShelf: (): Instrument[] =>
    db
      .select()
      .from(instruments)
      .where(isNull(instruments.leftOn))
      .orderBy(asc(instruments.addedAt), asc(instruments.id))
      .all()
      .map(instrumentFromRow),

  find: (id: string): Instrument | undefined => {
    const row = db.select().from(instruments).where(eq(instruments.id, id)).get();
    return row && instrumentFromRow(row);
  },

  add: (instrument: Instrument, addedAt: string): void => {
    db.insert(instruments).values(rowFromInstrument(instrument, addedAt)).run();
  },

  setBuild: (id: string, build: Build): void => {
    db.update(instruments)
      .set({ build: JSON.stringify(build) })
      .where(eq(instruments.id, id))
      .run();
  },

  setLeftOn: (id: string, leftOn: string | null): void => {
    db.update(instruments).set({ leftOn }).where(eq(instruments.id, id)).run();
  },
});
