import { doneThereWords, workName } from '#core/bench/bench-words.ts';
import { careWords, playedWords, readInYear } from '#core/bench/year-words.ts';
import { bookItem } from '#core/book/book.ts';
import { eventWords, lastDayOf } from '#core/calendar/event.ts';
import { billSaid } from '#core/costs/cost-words.ts';
import { asSentence } from '#core/explain/format.ts';
import { bookSign, causeHere } from '#core/faults/faults-for.ts';
import { outcomeSaid } from '#core/faults/fault-words.ts';
import { kindName } from '#core/instruments/kind.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { MINUTES_PER_DAY } from '#core/plays/play.ts';
import { playedSince } from '#core/plays/play-columns.ts';
import { addDays, addMonths, dayNumber, type LocalDate } from '#core/time/local-date.ts';
import type { YearOfInstrument } from '#contract/bench.ts';
import { noInstrument, type Failure } from '#server/failure.ts';
import { costsPageOf } from '#server/views/costs-page.ts';
import type { Reading } from '#server/readings.ts';
import type { Services } from '#server/services.ts';

type Line = { readonly name: string; readonly text: string };

/** The stays of a year, and what was done in them. */
function staysOf({ facts, instrument }: Reading, from: LocalDate, { book, format }: Services): Line[] {
  return facts.events
    .filter(
      (event) => event.what === 'bench' && event.instrumentIds.includes(instrument.id) && lastDayOf(event) >= from,
    )
    .filter(({ stay }) => stay !== null)
    .map((event) => {
      const done = event.stay?.done.find(({ instrumentId }) => instrumentId === instrument.id);
      const items = (done?.itemIds ?? []).flatMap((id) => bookItem(book, id) ?? []);
      const works = (done?.works ?? []).map((id) => workName(book, id));
      const cost = event.stay?.cost;
      const paid = cost
        ? ` ${format.money(cost)}${event.instrumentIds.length > 1 ? ' for all that were there' : ''}.`
        : '';
      const name = `${asSentence(eventWords(event))}, ${format.date(lastDayOf(event))}`;
      return { name, text: `${doneThereWords(items, works)}${paid}` };
    });
}

/** What was wrong in a year, and what helped. */
function wrongIn(
  { facts }: Reading,
  here: Parameters<typeof causeHere>[0],
  from: LocalDate,
  { book, format }: Services,
): Line[] {
  return facts.faults.interviews
    .filter(({ on }) => on >= from)
    .map(({ on, noticed, outcomes }) => {
      const what = noticed.map((sign) => bookSign(book, sign)?.words ?? sign).join('; ');
      const helped = outcomes.find((one) => one.helped);
      const found = helped && outcomeSaid(causeHere(here, helped.cause)?.name, helped.cause, true);
      return { name: format.date(on), text: found ? `${what}. ${found}.` : `${what}.` };
    });
}

/** Twelve months of an instrument on one page, for whoever pays. */
export async function yearOf(
  services: Services,
  id: string,
  today: LocalDate,
): Promise<Outcome<YearOfInstrument, Failure>> {
  const reading = services.readings.of(id);
  if (!reading) return fail(noInstrument());
  const { instrument, player, facts } = reading;
  const { format, book } = services;
  const situation = reading.situation(today);
  const from = addDays(addMonths(today, -12), 1);
  const costs = await costsPageOf(services, player.id, today);
  if (!costs.ok) return costs;
  const own = costs.value.instruments.find(({ instrumentId }) => instrumentId === instrument.id);
  return succeed({
    instrumentId: instrument.id,
    from,
    today,
    instrument: instrument.name,
    kindName: kindName(situation.kind, instrument.build),
    player: player.name,
    serial: services.serials.of(instrument.id),
    sums: [
      playedWords(playedSince(facts.plays, dayNumber(from) * MINUTES_PER_DAY)),
      careWords(situation.care),
      ...(own ? [own.words] : []),
    ],
    stays: staysOf(reading, from, services),
    bills: services.costs
      .billsOf(instrument.id)
      .filter(({ on }) => on >= from)
      .map((bill) => ({ name: format.date(bill.on), text: billSaid(bill, book, format) })),
    readings: readInYear(situation.inspections, from, format),
    wrong: wrongIn(reading, situation.faults.here, from, services),
    coming: costs.value.coming
      .filter(({ instrumentId }) => instrumentId === instrument.id)
      .map((one) => ({ name: format.date(one.on), text: `${one.name}, ${one.isSaid ? '' : 'about '}${one.words}` })),
  });
}
