import { benchDays, type BenchAnswer } from '#core/bench/bench-days.ts';
import { benchWork, unknownBenchWork, type BenchFault, type BenchWork } from '#core/bench/bench-jobs.ts';
import type { BenchTerms } from '#core/bench/bench-terms.ts';
import { benchDeed, benchHeadline, benchWhy, dayWhy, dayWords, jobName, workName } from '#core/bench/bench-words.ts';
import type { AwayFor } from '#core/bench/stay.ts';
import { eventWords, lastDayOf, type CalendarEvent } from '#core/calendar/event.ts';
import type { ItemClock } from '#core/care/care-clock.ts';
import { asSentence } from '#core/explain/format.ts';
import { saidIn, triedIn } from '#core/faults/faults-standing.ts';
import { interview } from '#core/faults/interview.ts';
import { signHere } from '#core/faults/faults-for.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { handsFor } from '#core/players/player.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';
import type { BenchView, ForTheBenchView, OpenStayView } from '#contract/bench.ts';
import { notFound, type Failure } from '#server/failure.ts';
import { lookAt } from '#server/features/faults/looked-at.ts';
import type { Reading } from '#server/readings.ts';
import { publicHolidays } from '#server/public-holidays.ts';
import { currencyOfRecord } from '#server/record-currency.ts';
import type { Services } from '#server/services.ts';

/** A player’s instruments, and what is known of the bench they go to. */
export type Has = {
  readonly own: readonly Reading[];
  readonly events: readonly CalendarEvent[];
  readonly terms: BenchTerms & { readonly said: boolean };
  /** Public holidays where the bench is. */
  readonly shut: ReadonlyMap<number, string>;
  readonly today: LocalDate;
  readonly services: Services;
};

/** What is likely to be wrong by what has been answered so far, where that is work for the bench. */
function likelyFaults(services: Services, { instrument, player }: Reading, today: LocalDate): BenchFault[] {
  const looked = lookAt(services, instrument.id, today);
  const open = looked?.faults.open;
  if (!looked || !open) return [];
  const { suspected } = interview({
    here: looked.here,
    beforehand: { risks: new Set(looked.risks.map(({ risk }) => risk)), outcomes: looked.faults.outcomes },
    player,
    way: 'sure',
    said: saidIn(open).filter(({ sign }) => signHere(looked.here, sign) !== undefined),
    tried: triedIn(open),
  });
  const [first] = suspected;
  const isForIt = first?.cause.remedy.hand === 'bench' && first.word !== 'possible';
  return first && isForIt ? [{ cause: first.cause, word: first.word, since: open.on }] : [];
}

/**
 * How long it is away: as the longest piece of work takes. How long a service takes and how long one gets used to it is
 * what the player says of their bench.
 */
function awayFor({ jobs }: BenchWork, terms: BenchTerms, { book }: Services): AwayFor {
  const most = (of: (work: BenchWork['jobs'][number]['work']) => number): number =>
    Math.max(...jobs.map(({ work }) => of(work)));
  const { works } = book.benchWorks;
  return {
    shippingDays: terms.shippingDays,
    workingDays: most((id) => (id === 'service' ? terms.workingDays : works[id].workingDays.most.value)),
    settlingDays: most((id) => (id === 'service' ? terms.settlingDays : works[id].settlingDays.value)),
  };
}

/** An instrument with work for the bench, and when it should go, beside the stays that are planned or proposed already. */
function forTheBench({ reading, work }: Waiting, asked: Has): { view: ForTheBenchView; answer: BenchAnswer } {
  const { own, events, terms, shut, today, services } = asked;
  const { format } = services;
  const isPupil = reading.player.standing !== 'grown-up';
  const { instrument, situation } = reading;
  const kin = own.filter(({ instrument: other }) => other.kind === instrument.kind && other.id !== instrument.id);
  const away = awayFor(work, terms, services);
  const answer = benchDays({
    today,
    instrumentId: instrument.id,
    jobs: work.jobs,
    away,
    shut,
    noShippingMonths: terms.noShippingMonths,
    isAwayOnHolidays: !isPupil,
    events,
    kin: kin.map(({ instrument: other }) => other.id),
    minutesOn: situation(today).plays.forecast.minutesOn,
  });
  const view: ForTheBenchView = {
    instrumentId: instrument.id,
    name: instrument.name,
    jobs: work.jobs.map((job) => ({
      name: jobName(job, services.book),
      work: job.work,
      workName: workName(services.book, job.work),
    })),
    isDue: work.due <= today,
    days: answer.days.map((day) => ({
      on: day.on,
      back: day.back,
      ready: day.ready,
      minutes: day.sum,
      words: dayWords(day),
      because: dayWhy(day, { hasSpare: kin.length > 0, format }),
    })),
    headline: benchHeadline(answer, work, today, format),
    because: benchWhy(work, answer, { terms, away, shut, isPupil, format }),
  };
  return { view, answer };
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

/** Work that was asked for by a number or by what was wrong: by its own name, whatever care it may be as well. */
function worksAsked(asked: Has, reading: Reading) {
  const ids = (workFor(asked, reading)?.jobs ?? []).filter(({ reason }) => !('clock' in reason)).map((job) => job.work);
  return [...new Set(ids)].map((id) => ({ work: id, name: workName(asked.services.book, id) }));
}

function stayViews(asked: Has): OpenStayView[] {
  const { own, events, today } = asked;
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
            works: worksAsked(asked, reading),
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

export type Waiting = { readonly reading: Reading; readonly work: BenchWork };

type Proposed = Waiting & { readonly view: ForTheBenchView; readonly answer: BenchAnswer };

/**
 * When the instruments of a player should go to the bench. The most pressing chooses its days first, and what is proposed
 * for one keeps the last of its kind at home.
 */
function proposals(asked: Has): Proposed[] {
  const { own, today } = asked;
  const waiting = own
    .filter(({ instrument }) => !hasAStay(asked.events, instrument.id, today))
    .flatMap((reading): Waiting[] => {
      const work = workFor(asked, reading);
      return work === null ? [] : [{ reading, work }];
    })
    .toSorted((a, b) => (a.work.due < b.work.due ? -1 : 1));
  let { events } = asked;
  return waiting.map((one) => {
    const { view, answer } = forTheBench(one, { ...asked, events });
    const [best] = answer.days;
    if (best) events = [...events, proposedStay(one.reading, best)];
    return { ...one, view, answer };
  });
}

/** What an instrument has for the bench, by everything that asks for it. */
export const workFor = ({ services, today }: Has, reading: Reading): BenchWork | null =>
  benchWork(services.book, reading.situation(today), reading.player, likelyFaults(services, reading, today));

/** The next stay of each instrument that has work there, and the day it is back: as it stands in the calendar, else as it is proposed. */
export function nextStays(asked: Has): (Waiting & { readonly back: LocalDate })[] {
  const { own, events, today } = asked;
  const planned = own.flatMap((reading) => {
    const stay = events.find(
      (event) =>
        event.what === 'bench' &&
        event.stay === null &&
        lastDayOf(event) >= today &&
        event.instrumentIds.includes(reading.instrument.id),
    );
    const work = stay && workFor(asked, reading);
    return stay && work ? [{ reading, work, back: lastDayOf(stay) }] : [];
  });
  const proposed = proposals(asked).flatMap(({ reading, work, answer }) => {
    const [best] = answer.days;
    return best ? [{ reading, work, back: best.back }] : [];
  });
  return [...planned, ...proposed];
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

/** What is asked for a player's instruments on a day; undefined where nobody is known by that name. */
export function benchAsked(services: Services, playerId: PlayerId, today: LocalDate): Has | undefined {
  const { players, instruments, readings, calendar } = services;
  if (!players.find(playerId)) return undefined;
  const own = instruments
    .all()
    .filter((one) => one.playerId === playerId)
    .flatMap(({ id }) => readings.of(id) ?? [])
    .filter(({ instrument }) => instrument.leftOn === null);
  const terms = calendar.benchOf(playerId);
  const shut = publicHolidays(terms.region, Number(today.slice(0, 4)));
  return { own, events: calendar.of(playerId), terms, shut, today, services };
}

/** When a player's instruments should go to the bench, and what is there now. */
export function benchPageOf(services: Services, playerId: PlayerId, today: LocalDate): Outcome<BenchView, Failure> {
  const asked = benchAsked(services, playerId, today);
  if (!asked) return fail(notFound('playerId', { code: 'no-such-player' }));
  const { own, terms } = asked;
  const { name, phone, workingDays, shippingDays, settlingDays, region, said } = terms;
  return succeed({
    playerId,
    today,
    terms: {
      name,
      phone,
      workingDays,
      shippingDays,
      settlingDays,
      region,
      noShippingMonths: [...terms.noShippingMonths],
      said,
    },
    currency: currencyOfRecord(services),
    stays: stayViews(asked),
    instruments: proposals(asked).map(({ view }) => view),
    unknown: own
      .filter(({ situation, player }) => unknownBenchWork(situation(today), player).length > 0)
      .map(({ instrument: { id, name } }) => ({ instrumentId: id, name })),
  });
}
