import type { Book } from '#core/book/book.ts';
import { bookItem } from '#core/book/book.ts';
import type { CareItem } from '#core/book/care-item.ts';
import { itemIn } from '#core/book/practice.ts';
import { doneWords } from '#core/care/record-words.ts';
import type { Instrument } from '#core/instruments/instrument.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { practiceFor } from '#core/methods/practice-for.ts';
import { wallMinute, type WallClock } from '#core/plays/play.ts';
import { careFact } from '#contract/care.ts';
import { invalid, noInstrument, notFound, type Failure } from '#server/failure.ts';
import { misrepeatedCare } from '#server/features/care/care.repository.ts';
import { careDone } from '#server/features/care/care.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact, type ToWrite } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';
import type { CareDone } from '#core/care/done-by.ts';
import type { Sending } from '#contract/fact.ts';

const LAST_MINUTE_OF_DAY = 1439;

/** What an entry about an item is about, or what in it is not known. */
export function itemOf(
  { instruments, book }: { readonly instruments: Services['instruments']; readonly book: Book },
  { instrumentId, itemId }: { readonly instrumentId: string; readonly itemId: string },
): Outcome<{ readonly instrument: Instrument; readonly item: CareItem }, Failure> {
  const instrument = instruments.find(instrumentId);
  if (!instrument) return fail(noInstrument());
  const item = itemIn(practiceFor(book, instrument.kind, instrument.build), itemId);
  if (!item) return fail(notFound('itemId', { code: 'no-such-care' }));
  return succeed({ instrument, item });
}

type Done = Pick<Sending<typeof careFact>, 'instrumentId' | 'itemId' | 'doneOn' | 'by'>;

/** Care of an instrument that was done by now, as it is written down. */
export function doneBefore(services: Services, request: Done, now: WallClock): Outcome<ToWrite<CareDone>, Failure> {
  const about = itemOf(services, request);
  if (!about.ok) return about;
  const { instrument } = about.value;
  const doneOn = request.doneOn;
  if (doneOn > now.on) return fail(invalid('doneOn', { code: 'not-done-yet' }));
  if (doneOn < instrument.acquiredOn && instrument.cameNew) return fail(invalid('doneOn', { code: 'was-new' }));
  // On an earlier day it was done some time that day, after the plays of that day as far as anybody knows.
  const atMinute = doneOn === now.on ? now.atMinute : LAST_MINUTE_OF_DAY;
  const { itemId, by } = request;
  return succeed({
    body: { instrumentId: instrument.id, itemId, by, wallMinute: wallMinute(doneOn, atMinute) },
    on: doneOn,
    atMinute: null,
  });
}

/** Something was done: by a run that was finished, or outside one, at the bench, elsewhere, before Ulu was asked. */
export const careDefinition = defineFact<Services>()(careFact, {
  store: bodyTable(careDone, {
    misrepeated: misrepeatedCare,
    toRow: (done) => done,
    fromRow: ({ instrumentId, itemId, by, wallMinute: at }) => ({
      instrumentId: instrumentId,
      itemId,
      by,
      wallMinute: at,
    }),
  }),
  words: ({ body }, { book }) => doneWords(bookItem(book, body.itemId), body.itemId, body.by),
  decide: (request, { now }, services) => doneBefore(services, request, now),
  sent: ({ on, body }) => ({ ...body, doneOn: on }),
  answer: ({ key, on, body: { instrumentId, itemId, by } }) => ({ key, instrumentId, itemId, doneOn: on, by }),
});
