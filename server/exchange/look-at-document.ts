import Database from 'better-sqlite3';
import { rmSync } from 'node:fs';
import type { Book } from '#core/book/book.ts';
import { asError } from '#core/kernel/as-error.ts';
import { contradictsItselfWords, unreadableWords } from '#core/record/document-words.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { heldIn, type Held } from '#server/backup/look-into.ts';
import { dbOn } from '#server/db/connection.ts';
import { compose } from '#server/compose.ts';
import { DocumentRefusal, importDocument, type Imported } from '#server/exchange/import-document.ts';
import type { Aliases } from '#server/exchange/aliases.ts';
import { repeatedWrongly } from '#server/record/check-record.repository.ts';
import type { AnyFact } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

/** A player who is not in the record yet. */
export type NewPlayer = { readonly playerId: PlayerId; readonly name: string };
/** What a record would be with the facts of a document. */
export type LookedAt = {
  readonly imported: Imported;
  readonly before: Held;
  readonly after: Held;
  readonly players: readonly NewPlayer[];
  readonly instruments: readonly string[];
};

type Looking = {
  readonly book: Book;
  readonly definitions: readonly AnyFact<Services>[];
  readonly aliases: Aliases;
  readonly today: LocalDate;
  readonly stop: AbortSignal;
  readonly report: (progress: number) => void;
};

const UNWATCHED = {
  state: () => 'ok' as const,
  beforeWriting: () => undefined,
  noticed: () => undefined,
  written: () => undefined,
};
const nextTurn = (): Promise<void> => new Promise((resolve) => setImmediate(resolve));

/**
 * Reads every instrument as its page would.
 *
 * @throws DocumentRefusal naming the first that cannot be read: it would be so in the record from then on
 */
async function refuseUnreadable(services: Services, { today, stop }: Looking): Promise<void> {
  services.players.all();
  for (const { id } of services.instruments.all()) {
    try {
      services.readings.of(id)?.situation(today);
    } catch (error) {
      throw new DocumentRefusal([{ at: null, words: unreadableWords(id, asError(error).message) }]);
    }
    await nextTurn();
    stop.throwIfAborted();
  }
}

/** What is left of a copy that was looked at. */
export const clearScratch = (scratch: string): void =>
  ['', '-wal', '-shm', '-journal'].forEach((end) => rmSync(`${scratch}${end}`, { force: true }));

/**
 * What would become of a record: the document is taken into a copy of it, and every page of the copy is read. The record
 * itself is untouched, and nobody waits.
 *
 * @param scratch where the copy lies meanwhile
 * @throws DocumentRefusal with what is wrong with it
 */
export async function lookAtDocument(
  file: string,
  record: Database.Database,
  scratch: string,
  looking: Looking,
): Promise<LookedAt> {
  clearScratch(scratch);
  await record.backup(scratch, { progress: () => 500 });
  const client = new Database(scratch);
  try {
    client.pragma('journal_mode = MEMORY');
    client.pragma('synchronous = OFF');
    client.pragma('foreign_keys = ON');
    const db = dbOn(client);
    const services = compose({ db, watch: UNWATCHED }, { book: looking.book, nowMs: () => 0 })();
    const [before, playersBefore] = [heldIn(client), new Set(services.players.all().map(({ id }) => id))];
    const instrumentsBefore = new Set(services.instruments.all().map(({ id }) => id));
    client.exec('begin');
    const wrongBefore = new Set(repeatedWrongly(db, looking.definitions));
    const imported = await importDocument(file, { db }, looking);
    client.exec('commit');
    const [wrong] = repeatedWrongly(db, looking.definitions).filter((one) => !wrongBefore.has(one));
    if (wrong !== undefined) throw new DocumentRefusal([{ at: null, words: contradictsItselfWords(wrong) }]);
    services.readings.forget();
    await refuseUnreadable(services, looking);
    return {
      imported,
      before,
      after: heldIn(client),
      players: services.players
        .all()
        .filter(({ id }) => !playersBefore.has(id))
        .map(({ id, name }) => ({ playerId: id, name })),
      instruments: services.instruments
        .all()
        .filter(({ id }) => !instrumentsBefore.has(id))
        .map(({ id }) => services.instruments.nameOf(id) ?? id),
    };
  } finally {
    client.close();
    clearScratch(scratch);
  }
}
