import type Database from 'better-sqlite3';
import type { Book } from '#core/book/book.ts';
import { contradictsItselfWords, unreadableWords } from '#core/data/document-words.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import { asError } from '#core/kernel/as-error.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { heldIn, type Held } from '#server/backup/look-into.ts';
import type { Aliases } from '#server/features/data/aliases.ts';
import { DocumentRefusal, importDocument, type Imported } from '#server/features/data/import-document.ts';
import { inACopy, servicesOn } from '#server/features/data/in-a-copy.ts';
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

const nextTurn = (): Promise<void> => new Promise((resolve) => setImmediate(resolve));

/**
 * Reads every instrument as its page would.
 *
 * @throws DocumentRefusal naming the first that cannot be read: it would be so in the record from then on
 */
async function refuseUnreadable(services: Services, { today, stop }: Looking): Promise<void> {
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

/** Who plays, and what is there, by id. */
const present = ({ players, instruments }: Services) => ({
  players: new Set(players.all().map(({ id }) => id)),
  instruments: new Set(instruments.all().map(({ id }) => id)),
});

/**
 * What would become of a record: the document is taken into a copy of it, and every page of the copy is read.
 *
 * @param scratch where the copy lies meanwhile
 * @throws DocumentRefusal with what is wrong with it
 */
export const lookAtDocument = (
  file: string,
  record: Database.Database,
  scratch: string,
  looking: Looking,
): Promise<LookedAt> =>
  inACopy(record, scratch, async ({ client, db }) => {
    const services = servicesOn({ db }, looking.book, () => 0);
    const [before, there] = [heldIn(client), present(services)];
    client.exec('begin');
    const wrongBefore = new Set(repeatedWrongly(db, looking.definitions));
    const imported = await importDocument(file, { db }, looking);
    client.exec('commit');
    const [wrong] = repeatedWrongly(db, looking.definitions).filter((one) => !wrongBefore.has(one));
    if (wrong !== undefined) throw new DocumentRefusal([{ at: null, words: contradictsItselfWords(wrong) }]);
    services.readings.forget();
    const { players, instruments } = services;
    const newPlayers = players.all().filter(({ id }) => !there.players.has(id));
    const newInstruments = instruments.all().filter(({ id }) => !there.instruments.has(id));
    await refuseUnreadable(services, looking);
    return {
      imported,
      before,
      after: heldIn(client),
      players: newPlayers.map(({ id, name }) => ({ playerId: id, name })),
      instruments: newInstruments.map(({ id }) => instruments.nameOf(id) ?? id),
    };
  });
