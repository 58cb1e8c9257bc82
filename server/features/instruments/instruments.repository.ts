import { and, asc, desc, eq, sql, type SQL } from 'drizzle-orm';
import type { Book } from '#core/book/book.ts';
import type { Build } from '#core/instruments/build.ts';
import type { Instrument, InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import type { KindId } from '#core/instruments/kind.ts';
import type { Db } from '#server/db/connection.ts';
import { storedBuild } from '#server/features/instruments/instruments.mapper.ts';
import { builds, departures, instruments } from '#server/features/instruments/instruments.table.ts';
import { facts } from '#server/record/record.table.ts';

const mine = eq(instruments.id, sql.placeholder('id'));
const counting = (factId: SQL) => and(eq(facts.id, factId), eq(facts.counts, true));

export function createInstrumentsRepository(db: Db, book: Book) {
  const shelf = db
    .select({ id: instruments.id, playerId: instruments.playerId })
    .from(instruments)
    // Read from the left: SQLite would begin with every fact there is.
    .crossJoin(facts)
    .where(counting(sql`${instruments.factId}`))
    .orderBy(asc(instruments.factId))
    .prepare();
  const arrival = db
    .select()
    .from(instruments)
    .innerJoin(facts, counting(sql`${instruments.factId}`))
    .where(mine)
    .prepare();
  // The latest of both counts: the last row of each.
  const built = db
    .select({ build: builds.build })
    .from(builds)
    .innerJoin(facts, counting(sql`${builds.factId}`))
    .where(eq(builds.instrumentId, sql.placeholder('id')))
    .orderBy(asc(builds.factId))
    .prepare();
  const left = db
    .select({ leftOn: departures.leftOn })
    .from(departures)
    .innerJoin(facts, counting(sql`${departures.factId}`))
    .where(eq(departures.instrumentId, sql.placeholder('id')))
    .orderBy(asc(departures.factId))
    .prepare();
  const owner = db
    .select({ playerId: instruments.playerId, name: instruments.name })
    .from(instruments)
    .innerJoin(facts, counting(sql`${instruments.factId}`))
    .where(mine)
    .prepare();
  /** The newest build that counts, beside what it is a build of. */
  const newestBuild = db
    .select({ kind: instruments.kind, build: builds.build })
    .from(builds)
    .innerJoin(facts, counting(sql`${builds.factId}`))
    .innerJoin(instruments, eq(instruments.id, builds.instrumentId))
    .where(eq(builds.instrumentId, sql.placeholder('id')))
    .orderBy(desc(builds.factId))
    .limit(1)
    .prepare();
  const all = (): { readonly id: InstrumentId; readonly playerId: PlayerId }[] => shelf.all();
  return {
    /** What an instrument is and how it is built now; undefined where there is none. */
    builtAs: (id: string): { readonly kind: KindId; readonly build: Build } | undefined => {
      const row = newestBuild.get({ id });
      return row && { kind: row.kind, build: storedBuild(book, id, row.kind, row.build) };
    },

    /** Whose an instrument is; undefined where there is none. */
    playerOf: (id: string): string | undefined => owner.get({ id })?.playerId,

    /** What an instrument is called; undefined where there is none. */
    nameOf: (id: string): string | undefined => owner.get({ id })?.name,

    /** Every instrument that ever came, in the order they were added, with whose it is. */
    all,

    /** Every instrument that ever came to a player, in the order they were added. */
    ofPlayer: (playerId: string) => all().filter((one) => one.playerId === playerId),

    find: (id: string): Instrument | undefined => {
      const row = arrival.get({ id })?.instruments;
      const build = row && built.all({ id }).at(-1)?.build;
      if (row === undefined || build === undefined) return undefined;
      const leftOn = left.all({ id }).at(-1)?.leftOn ?? null;
      return {
        id: row.id,
        kind: row.kind,
        name: row.name,
        build: storedBuild(book, row.id, row.kind, build),
        playerId: row.playerId,
        acquiredOn: row.acquiredOn,
        cameNew: row.cameNew,
        leftOn,
      };
    },
  };
}
export type InstrumentsRepository = ReturnType<typeof createInstrumentsRepository>;
