import { doneThereWords, workName } from '#core/bench/bench-words.ts';
import { bookItem, type Book } from '#core/book/book.ts';
import { itemIn } from '#core/book/practice.ts';
import { checkEvent, eventWords, type BenchStay, type EventOrigin } from '#core/calendar/event.ts';
import { duration } from '#core/explain/format.ts';
import { repeatsWords } from '#core/calendar/repeated-event.ts';
import { clockTime } from '#core/plays/play-words.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { eventFact } from '#contract/calendar.ts';
import { invalid, notFound, type Failure } from '#server/failure.ts';
import { events } from '#server/features/calendar/calendar.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact, type Deciding, type ToWrite } from '#server/record/define-fact.ts';
import { costRefusal } from '#server/record-currency.ts';
import type { Services } from '#server/services.ts';
import type { Kept, Sending } from '#contract/fact.ts';

type Content = Omit<Sending<typeof eventFact>, 'key' | 'now' | 'corrects' | 'insteadOf' | 'dropped'>;

/** Where the event came from: what it corrects keeps its place, and what stands instead of an imported one takes it. */
function originOf(
  { corrects, insteadOf, dropped }: Pick<Sending<typeof eventFact>, 'corrects' | 'insteadOf' | 'dropped'>,
  { calendar }: Services,
  playerId: PlayerId,
): Outcome<EventOrigin | null, Failure> {
  const key = corrects ?? insteadOf ?? null;
  if (key === null) return succeed(null);
  const origin = calendar.of(playerId).find((event) => event.key === key)?.origin ?? null;
  if (corrects == null && origin === null) return fail(notFound('insteadOf', { code: 'no-such-event' }));
  return succeed(origin && { ...origin, dropped: dropped === true });
}

/** What need not be said. */
const saidOf = ({ atMinute, minutesOf, repeats }: Pick<Content, 'atMinute' | 'minutesOf' | 'repeats'>) => ({
  atMinute: atMinute ?? null,
  minutesOf: minutesOf ?? [],
  repeats: repeats ?? null,
});

/** Was the work of a stay care that its instruments have? */
function unknownWork({ stay }: Content, { readings }: Services, today: LocalDate): boolean {
  return (stay?.done ?? []).some(({ instrumentId, itemIds }) => {
    const practice = readings.of(instrumentId)?.situation(today).methods.practice;
    return practice === undefined || itemIds.some((id) => itemIn(practice, id) === undefined);
  });
}

function decide(
  { key: _key, now: _now, corrects, insteadOf, dropped, ...content }: Sending<typeof eventFact>,
  { now }: Deciding,
  services: Services,
): Outcome<ToWrite<Kept<typeof eventFact>>, Failure> {
  const { players, instruments } = services;
  const player = players.find(content.playerId);
  if (!player) return fail(notFound('playerId', { code: 'no-such-player' }));
  const own = new Set(instruments.ofPlayer(player.id).map(({ id }) => id));
  const origin = originOf({ corrects, insteadOf, dropped }, services, content.playerId);
  if (!origin.ok) return origin;
  const whole = { ...content, ...saidOf(content), stay: content.stay ?? null, origin: origin.value };
  const checked = checkEvent(whole, now.on, own);
  if (!checked.ok) {
    const { field, ...refusal } = checked.failure;
    return fail(invalid(field, refusal));
  }
  if (unknownWork(content, services, now.on)) return fail(invalid('stay', { code: 'stay-work-unknown' }));
  const refusal = costRefusal(content.stay?.cost, services, { field: 'stay.cost', without: corrects ?? null });
  return refusal === null ? succeed({ body: checked.value, ...now }) : fail(refusal);
}

/** Work of a stay that is no care of the book. */
const namedWorks = ({ done }: BenchStay, book: Book): string[] =>
  [...new Set(done.flatMap(({ works = [] }) => works))].map((id) => workName(book, id));

/** The work of a stay; of an item that has left the book since, nothing is known any more. */
const workOf = ({ done }: BenchStay, book: Book) =>
  [...new Set(done.flatMap(({ itemIds }) => itemIds))].flatMap((id) => bookItem(book, id) ?? []);

/** A day of which more is known than its weekday; it moves whatever is foreseen for the instruments it names. */
export const eventDefinition = defineFact<Services>()(eventFact, {
  // Where somebody plays is their own; what was done at the bench is the instrument's.
  staysBehind: ({ what }) => what !== 'bench',
  store: bodyTable(events, {
    // What is empty is not kept: so it reads as what was written before it was asked.
    toRow: ({ minutesOf, ...event }) => ({ ...event, minutesOf: minutesOf.length === 0 ? null : minutesOf }),
    fromRow: ({ factId: _factId, minutesOf, ...event }) => ({ ...event, minutesOf: minutesOf ?? [] }),
  }),
  words: ({ body }, { format, book }) => {
    const { on, until, atMinute, minutes, repeats, stay, origin } = body;
    const days = until === null || until === on ? format.date(on) : `${format.date(on)} to ${format.date(until)}`;
    const came = stay === null ? '' : ` ${doneThereWords(workOf(stay, book), namedWorks(stay, book))}`;
    const cost = stay?.cost == null ? '' : ` It cost ${format.money(stay.cost)}.`;
    const dropped = origin?.dropped === true ? ' Left out of the calendar.' : '';
    const often = repeats === null ? '' : `, ${repeatsWords(repeats, format)}`;
    const at = atMinute === null ? '' : ` at ${clockTime(atMinute)}`;
    return `${days}${at}${often}: ${eventWords(body)}${minutes === null ? '' : `, ${duration(minutes)}`}.${came}${cost}${dropped}`;
  },
  decide,
});
