import { benchDeed, benchHeadline, benchWhy, windowsWords } from '#core/bench/bench-words.ts';
import { benchWindow } from '#core/bench/bench-window.ts';
import { benchWork, unknownBenchWork, type BenchWork } from '#core/bench/bench-work.ts';
import type { BenchTerms } from '#core/bench/bench-terms.ts';
import { eventWords, lastDayOf, type CalendarEvent } from '#core/calendar/event.ts';
import type { ItemClock } from '#core/care/care-clock.ts';
import { asSentence } from '#core/explain/format.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { handsFor } from '#core/players/player.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';
import type { BenchView, ForTheBenchView, OpenStayView } from '#contract/bench.ts';
import { notFound, type Failure } from '#server/failure.ts';
import type { Reading } from '#server/readings.ts';
import { publicHolidays } from '#server/public-holidays.ts';
import { currencyOfRecord } from '#server/record-currency.ts';
import type { Services } from '#server/services.ts';

type Has = {
  readonly own: readonly Reading[];
  readonly events: readonly CalendarEvent[];
  readonly terms: BenchTerms;
  /** Public holidays where the bench is. */
  readonly shut: ReadonlyMap<number, string>;
  readonly today: LocalDate;
  readonly services: Services;
};

/** An instrument with work for the bench, and when it should go, beside the stays that are planned or proposed already. */
function windowView({ reading, work }: { reading: Reading; work: BenchWork }, asked: Has): ForTheBenchView {
  const { own, events, terms, shut, today } = asked;
  const isPupil = reading.player.standing !== 'grown-up';
  const { format } = asked.services;
  const { instrument, situation } = reading;
  const kin = own.filter(({ instrument: other }) => other.kind === instrument.kind && other.id !== instrument.id);
  const answer = benchWindow({
    today,
    instrumentId: instrument.id,
    due: work.due,
    from: work.from,
    until: work.until,
    terms,
    shut,
    isAwayOnHolidays: !isPupil,
    events,
    kin: kin.map(({ instrument: other }) => other.id),
    minutesOn: situation(today).plays.forecast.minutesOn,
  });
  const { best, windows, isLate } = answer;
  return {
    instrumentId: instrument.id,
    name: instrument.name,
    items: work.clocks.map(({ item }) => ({ itemId: item.id, name: item.name })),
    isLate,
    best: best && { on: best.on, back: best.back, ready: best.ready },
    windows: windows.map((one) => ({ ...one })),
    headline: benchHeadline(answer, format),
    words: windowsWords(answer, work, format),
    because: benchWhy(work, answer, { terms, shut, today, isPupil, format }),
  };
}

/** Days after which nobody is asked any more what came of a stay. */
const ASKED_FOR = 60;
/**
 * Care that a bench may have done, the likeliest first: what calls for it, what it does by the calendar, what it sees to
 * where a sign was seen, then what is done at home.
 */
function itemsOf({ situation, player }: Reading, today: LocalDate) {
  const isBenchs = ({ item }: ItemClock): boolean => item.place === 'bench' || handsFor(item.skill, player) === 'bench';
  const rank = (clock: ItemClock): number => {
    if (!isBenchs(clock)) return 3;
    if (clock.state === 'due' || clock.state === 'overdue') return 0;
    return clock.item.trigger.kind === 'when-noticed' ? 2 : 1;
  };
  return situation(today)
    .care.clocks.filter(({ item }) => item.trigger.kind !== 'every-play')
    .toSorted((a, b) => rank(a) - rank(b))
    .map(({ item }) => ({ itemId: item.id, name: benchDeed(item) }));
}

function stayViews({ own, events, today }: Has): OpenStayView[] {
  return events
    .filter(({ what, on, stay }) => what === 'bench' && stay === null && on <= today)
    .filter((event) => lastDayOf(event) >= addDays(today, -ASKED_FOR))
    .map((event) => {
      return {
        key: event.key,
        on: event.on,
        until: lastDayOf(event),
        name: event.name,
        words: asSentence(eventWords(event)),
        instruments: own
          .filter(({ instrument }) => event.instrumentIds.includes(instrument.id))
          .map((reading) => ({
            instrumentId: reading.instrument.id,
            name: reading.instrument.name,
            items: itemsOf(reading, today),
          })),
      };
    });
}

/** Is it at the bench, has a day to go there, or has been and nobody has said yet what came of it? */
const hasAStay = (events: readonly CalendarEvent[], id: string, today: LocalDate): boolean =>
  events.some(
    (event) =>
      event.what === 'bench' &&
      event.stay === null &&
      lastDayOf(event) >= addDays(today, -ASKED_FOR) &&
      event.instrumentIds.some((one) => one === id),
  );

/**
 * When the instruments of a player should go to the bench. The most pressing chooses its days first, and what is proposed
 * for one keeps another of its kind at home.
 */
function proposals(asked: Has): ForTheBenchView[] {
  const { own, today } = asked;
  const waiting = own
    .filter(({ instrument }) => !hasAStay(asked.events, instrument.id, today))
    .flatMap((reading) => {
      const work = benchWork(reading.situation(today), reading.player);
      return work === null ? [] : [{ reading, work }];
    })
    .toSorted((a, b) => (a.work.due < b.work.due ? -1 : 1));
  let { events } = asked;
  return waiting.map((one) => {
    const view = windowView(one, { ...asked, events });
    if (view.best) events = [...events, proposedStay(one.reading, view.best)];
    return view;
  });
}

const proposedStay = ({ instrument }: Reading, { on, back }: { on: LocalDate; back: LocalDate }): CalendarEvent => ({
  key: `proposed ${instrument.id}`,
  playerId: instrument.playerId,
  what: 'bench',
  on,
  until: back,
  atMinute: null,
  minutes: null,
  minutesOf: [],
  repeats: null,
  name: `the stay proposed for ${instrument.name}`,
  instrumentIds: [instrument.id],
  stay: null,
  origin: null,
});

/** When a player's instruments should go to the bench, and what is there now. */
export function benchPageOf(services: Services, playerId: PlayerId, today: LocalDate): Outcome<BenchView, Failure> {
  const { players, instruments, readings, calendar } = services;
  if (!players.find(playerId)) return fail(notFound('playerId', { code: 'no-such-player' }));
  const own = instruments
    .all()
    .filter((one) => one.playerId === playerId)
    .flatMap(({ id }) => readings.of(id) ?? [])
    .filter(({ instrument }) => instrument.leftOn === null);
  const { said, ...terms } = calendar.benchOf(playerId);
  const shut = publicHolidays(terms.region, Number(today.slice(0, 4)));
  const asked = { own, events: calendar.of(playerId), terms, shut, today, services };
  return succeed({
    playerId,
    today,
    terms: { ...terms, said },
    currency: currencyOfRecord(services),
    stays: stayViews(asked),
    instruments: proposals(asked),
    unknown: own
      .filter(({ situation, player }) => unknownBenchWork(situation(today), player).length > 0)
      .map(({ instrument: { id, name } }) => ({ instrumentId: id, name })),
  });
}
