import { benchDays, type BenchAnswer } from '#core/bench/bench-days.ts';
import { benchWork, type BenchFault, type BenchWork } from '#core/bench/bench-jobs.ts';
import type { BenchTerms } from '#core/bench/bench-terms.ts';
import type { AwayFor, ShutDays } from '#core/bench/stay.ts';
import { lastDayOf, type CalendarEvent } from '#core/calendar/event.ts';
import { backFromBench } from '#core/faults/faults-standing.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import { ofInstrument, ofPlayer } from '#core/record/fact.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';
import { publicHolidays } from '#server/public-holidays.ts';
import type { Reading } from '#server/readings.ts';
import type { Services } from '#server/services.ts';
import { inTurns } from '#server/turns.ts';
import { standsOf } from '#server/views/interview-stands.ts';
import { lookAt } from '#server/views/looked-at.ts';

/** A player’s instruments, and what is known of the bench they go to. */
export type BenchAskedOf = {
  readonly playerId: PlayerId;
  readonly own: readonly Reading[];
  readonly events: readonly CalendarEvent[];
  readonly terms: BenchTerms & { readonly said: boolean };
  /** Public holidays where the bench is. */
  readonly shut: ShutDays;
  readonly today: LocalDate;
  readonly services: Services;
};

/** Days after which nobody is asked any more what came of a stay. */
export const ASKED_FOR_DAYS = 60;

/** What is asked for a player's instruments on a day; undefined where nobody is known by that name. */
export function benchAsked(services: Services, playerId: PlayerId, today: LocalDate): BenchAskedOf | undefined {
  const { players, instruments, readings, calendar } = services;
  if (!players.find(playerId)) return undefined;
  const own = instruments
    .all()
    .filter((one) => one.playerId === playerId)
    .flatMap(({ id }) => readings.of(id) ?? [])
    .filter(({ instrument }) => instrument.leftOn === null);
  const terms = calendar.benchOf(playerId);
  const shut = publicHolidays(terms.region, Number(today.slice(0, 4)));
  return { playerId, own, events: calendar.of(playerId), terms, shut, today, services };
}

/** What is likely to be wrong by what has been answered so far, where that is work for the bench. */
function likelyFaults(services: Services, { instrument }: Reading, today: LocalDate): BenchFault[] {
  const looked = lookAt(services, instrument.id, today);
  const open = looked?.faults.open;
  if (!looked || !open) return [];
  const [first] = standsOf(open, 'sure', looked).suspected;
  const isForIt = first?.cause.remedy.hand === 'bench' && first.word !== 'possible';
  return first && isForIt ? [{ cause: first.cause, word: first.word, since: open.on }] : [];
}

/** What an instrument has for the bench, by everything that asks for it. */
export const workFor = (asked: BenchAskedOf, reading: Reading): BenchWork | null =>
  onceOf(works, reading, asked.today, () => workAsked(asked, reading));

/**
 * What was worked out of a reading, by what it was asked with. It goes when the reading does: with the next fact of the
 * instrument or its player. A keeper of hundreds pushes out nothing that others have worked out.
 */
type Kept<Value> = WeakMap<Reading, { readonly asked: string; readonly value: Value }>;
const works: Kept<BenchWork | null> = new WeakMap();
const answers: Kept<BenchAnswer> = new WeakMap();

function onceOf<Value>(kept: Kept<Value>, reading: Reading, asked: string, make: () => Value): Value {
  const known = kept.get(reading);
  if (known?.asked === asked) return known.value;
  const value = make();
  kept.set(reading, { asked, value });
  return value;
}

function workAsked({ services, today, events }: BenchAskedOf, reading: Reading): BenchWork | null {
  const situation = reading.situation(today);
  // What the bench has had since it was stopped waits for a word of whoever has it, not for the bench again.
  const back = backFromBench(events, reading.instrument.id, today);
  const stops = situation.faults.stops.filter(({ since }) => back === null || since > back);
  const asked = { ...situation, faults: { ...situation.faults, stops } };
  return benchWork(services.book, asked, reading.player, likelyFaults(services, reading, today));
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

/** An instrument with work for the bench, how long it would be away, and the days that are best for it. */
export type Proposed = {
  readonly reading: Reading;
  readonly work: BenchWork;
  readonly away: AwayFor;
  readonly answer: BenchAnswer;
  /** Another of its kind stays at home. */
  readonly hasSpare: boolean;
};

/** When one instrument should go, beside the stays that are planned or proposed already. */
function proposedFor(
  asked: BenchAskedOf,
  { reading, work }: Pick<Proposed, 'reading' | 'work'>,
  events: readonly CalendarEvent[],
): Proposed {
  const { own, terms, shut, today, services } = asked;
  const { instrument, situation, player } = reading;
  const kin = own.filter(({ instrument: other }) => other.kind === instrument.kind && other.id !== instrument.id);
  const away = awayFor(work, terms, services);
  const jobs = work.jobs.map(({ due, from, severity }) => ({ due, from, severity }));
  // A new word of one instrument moves no day of the others, but by the stay that is proposed for it.
  const others = kin.map(({ instrument: other }) => other.id);
  const question = JSON.stringify([today, jobs, away, others, events.slice(asked.events.length)]);
  const answer = onceOf(answers, reading, question, () =>
    benchDays({
      ...{ today, instrumentId: instrument.id, jobs, away, shut, events, kin: others },
      noShippingMonths: terms.noShippingMonths,
      isAwayOnHolidays: player.standing === 'grown-up',
      minutesOn: situation(today).plays.forecast.minutesOn,
    }),
  );
  return { reading, work, away, answer, hasSpare: kin.length > 0 };
}

/** Is it at the bench, has a day to go there, or has been and nobody has said yet what came of it? */
const stayOf = (
  { events, today }: BenchAskedOf,
  id: InstrumentId,
  since: LocalDate = today,
): CalendarEvent | undefined =>
  events.find(
    (event) =>
      event.what === 'bench' && event.stay === null && lastDayOf(event) >= since && event.instrumentIds.includes(id),
  );

const asEvent = ({ instrument }: Reading, { on, back }: { on: LocalDate; back: LocalDate }): CalendarEvent => ({
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

async function proposedOf(asked: BenchAskedOf): Promise<readonly Proposed[]> {
  const since = addDays(asked.today, -ASKED_FOR_DAYS);
  const waiting = await inTurns(asked.own, (reading) => {
    const work = stayOf(asked, reading.instrument.id, since) === undefined ? workFor(asked, reading) : null;
    return work === null ? [] : [{ reading, work }];
  });
  let { events } = asked;
  return inTurns(
    waiting.toSorted((a, b) => (a.work.due < b.work.due ? -1 : 1)),
    (one) => {
      const proposed = proposedFor(asked, one, events);
      const [best] = proposed.answer.days;
      if (best) events = [...events, asEvent(one.reading, best)];
      return [proposed];
    },
  );
}

/**
 * When the instruments of a player should go to the bench. The most pressing chooses its days first, and what is proposed
 * for one keeps the last of its kind at home. Worked out in turns, and kept until something is said of one of them.
 */
export function proposals(asked: BenchAskedOf): Promise<readonly Proposed[]> {
  const { services, playerId, own, today } = asked;
  const subjects = [ofPlayer(playerId), ...own.map(({ instrument }) => ofInstrument(instrument.id))];
  return services.remembered.of({ name: `bench ${playerId}`, subjects, day: today }, (drop) => {
    const made = proposedOf(asked);
    made.catch(drop);
    return made;
  });
}

/**
 * The next stay of each instrument that has work there, and the day it is back: as it stands in the calendar, else as it
 * is proposed.
 */
export async function nextStays(
  asked: BenchAskedOf,
): Promise<{ readonly reading: Reading; readonly work: BenchWork; readonly back: LocalDate }[]> {
  const planned = asked.own.flatMap((reading) => {
    const stay = stayOf(asked, reading.instrument.id);
    const work = stay && workFor(asked, reading);
    return stay && work ? [{ reading, work, back: lastDayOf(stay) }] : [];
  });
  const proposed = (await proposals(asked)).flatMap(({ reading, work, answer }) => {
    const [best] = answer.days;
    return best ? [{ reading, work, back: best.back }] : [];
  });
  return [...planned, ...proposed];
}
