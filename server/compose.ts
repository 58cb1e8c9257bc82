import type { Book } from '#core/book/book.ts';
import { PLAIN_FORMAT, type Format } from '#core/explain/format.ts';
import type { OpenDatabase } from '#server/db/connection.ts';
import { FACTS } from '#server/facts.ts';
import { createAirRepository } from '#server/features/air/air.repository.ts';
import { createHandoversRepository } from '#server/features/bench/handovers.repository.ts';
import { createCalendarRepository } from '#server/features/calendar/calendar.repository.ts';
import { createCareRepository } from '#server/features/care/care.repository.ts';
import { createFaultsRepository } from '#server/features/faults/faults.repository.ts';
import { createConditionsRepository } from '#server/features/conditions/conditions.repository.ts';
import { createCostsRepository } from '#server/features/costs/costs.repository.ts';
import { createInspectionsRepository } from '#server/features/inspections/inspections.repository.ts';
import { createSerials } from '#server/features/instruments/serials.repository.ts';
import { createInstrumentsRepository } from '#server/features/instruments/instruments.repository.ts';
import { createMethodsRepository } from '#server/features/methods/methods.repository.ts';
import { createPackupRepository } from '#server/features/packup/packup.repository.ts';
import { createPlayersRepository } from '#server/features/players/players.repository.ts';
import { createPlaysRepository } from '#server/features/plays/plays.repository.ts';
import { createDoubleReedsRepository } from '#server/features/doublereeds/doublereeds.repository.ts';
import { createReedsRepository } from '#server/features/reeds/reeds.repository.ts';
import { createSettingsRepository } from '#server/features/settings/settings.repository.ts';
import { beside, onFirstUse } from '#server/on-first-use.ts';
import { everybodyMay, type May } from '#server/may.ts';
import { reachOf } from '#server/reach.ts';
import { createReadings } from '#server/readings.ts';
import type { AnyFact } from '#server/record/define-fact.ts';
import { createRemembered } from '#server/remembered.ts';
import { createRecord } from '#server/record/record.repository.ts';
import { createDesk, type Desk } from '#server/work/desk.ts';
import { AT_THIS_MACHINE, type Caller } from '#server/caller.ts';
import { type Services } from '#server/services.ts';

export type Composing = {
  readonly book: Book;
  readonly nowMs: () => number;
  /** The kinds of fact the record knows. */
  readonly kinds?: readonly AnyFact<Services>[];
  /** Who may see and say what; everybody, unless it is said otherwise. */
  readonly may?: May;
  /** Where long work is handed in; one of its own unless somebody closes it. */
  readonly desk?: Desk;
};

/** Everything that is read of the record, a room each; its statements are put together when it is first come to. */
const repositoriesOf = (db: OpenDatabase['db'], book: Book) =>
  onFirstUse({
    players: () => createPlayersRepository(db),
    instruments: () => createInstrumentsRepository(db, book),
    plays: () => createPlaysRepository(db),
    reeds: () => createReedsRepository(db),
    doubleReeds: () => createDoubleReedsRepository(db),
    care: () => createCareRepository(db),
    packup: () => createPackupRepository(db),
    methods: () => createMethodsRepository(db),
    conditions: () => createConditionsRepository(db),
    faults: () => createFaultsRepository(db),
    inspections: () => createInspectionsRepository(db),
    handovers: () => createHandoversRepository(db),
    costs: () => createCostsRepository(db),
    serials: () => createSerials(db),
    calendar: () => createCalendarRepository(db),
    air: () => createAirRepository(db),
    settings: () => createSettingsRepository(db),
  });

/**
 * Plugs the server together on one open database.
 *
 * @returns the services of a request, by who asks and how they write dates
 */
export function compose(
  { db, watch }: Pick<OpenDatabase, 'db' | 'watch'>,
  { book, nowMs, kinds = FACTS, desk = createDesk(), may = everybodyMay }: Composing,
): (caller?: Caller, format?: Format) => Services {
  const record = createRecord<Services>(db, kinds);
  const repositories = repositoriesOf(db, book);
  const readings = createReadings(book, record, repositories);
  const remembered = createRemembered(record.revision);
  const atOnce = <Result>(work: () => Result): Result => {
    watch.beforeWriting();
    let hasBegun = false;
    const begin = (): Result => {
      hasBegun = true;
      return work();
    };
    try {
      const result = db.transaction(begin, { behavior: 'immediate' });
      watch.written();
      return result;
    } catch (error) {
      watch.noticed(error);
      // What was read in between stands under revisions that were never written; of a held record nothing was.
      if (hasBegun) {
        readings.forget();
        remembered.forget();
        repositories.calendar.forget();
      }
      throw error;
    }
  };
  return (caller = AT_THIS_MACHINE, format = PLAIN_FORMAT) => {
    const asked: Omit<Services, keyof typeof repositories> = {
      book,
      caller,
      format,
      nowMs,
      atOnce,
      record,
      may: (ofWhom) => may(caller, ofWhom),
      reachOf: (subjects) => reachOf(repositories, subjects),
      readings,
      remembered,
      desk: {
        ask: (name, input, asking) => desk.ask(name, input, { device: caller.device, signal: caller.left, ...asking }),
      },
    };
    return beside(repositories, asked);
  };
}
