import { unknownBenchWork } from '#core/bench/bench-jobs.ts';
import { benchDeed, benchHeadline, benchWhy, dayWhy, dayWords, jobName, workName } from '#core/bench/bench-words.ts';
import { eventWords, lastDayOf } from '#core/calendar/event.ts';
import type { ItemClock } from '#core/care/care-clock.ts';
import { asSentence } from '#core/explain/format.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { handsFor } from '#core/players/player.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';
import type { BenchView, ForTheBenchView, OpenStayView } from '#contract/bench.ts';
import { notFound, type Failure } from '#server/failure.ts';
import type { Reading } from '#server/readings.ts';
import { currencyOfRecord } from '#server/record-currency.ts';
import type { Services } from '#server/services.ts';
import {
  ASKED_FOR_DAYS,
  benchAsked,
  proposals,
  workFor,
  type BenchAskedOf,
  type Proposed,
} from '#server/views/bench-asked.ts';

/** An instrument with work for the bench, and when it should go. */
function forTheBench(
  { reading, work, away, answer, hasSpare }: Proposed,
  { terms, shut, today, services: { book, format } }: BenchAskedOf,
): ForTheBenchView {
  const { instrument, player } = reading;
  const isPupil = player.standing !== 'grown-up';
  return {
    instrumentId: instrument.id,
    name: instrument.name,
    jobs: work.jobs.map((job) => ({ name: jobName(job, book), work: job.work, workName: workName(book, job.work) })),
    isDue: work.due <= today,
    days: answer.days.map((day) => ({
      on: day.on,
      back: day.back,
      ready: day.ready,
      minutes: day.sum,
      words: dayWords(day),
      because: dayWhy(day, { hasSpare, format }),
    })),
    headline: benchHeadline(answer, work, today, format),
    because: benchWhy(work, answer, { terms, away, shut, isPupil, format }),
  };
}

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
function worksAsked(asked: BenchAskedOf, reading: Reading) {
  const ids = (workFor(asked, reading)?.jobs ?? []).filter(({ reason }) => !('clock' in reason)).map((job) => job.work);
  return [...new Set(ids)].map((id) => ({ work: id, name: workName(asked.services.book, id) }));
}

function stayViews(asked: BenchAskedOf): OpenStayView[] {
  const { own, events, today } = asked;
  return events
    .filter(({ what, on, stay }) => what === 'bench' && stay === null && on <= today)
    .filter((event) => lastDayOf(event) >= addDays(today, -ASKED_FOR_DAYS))
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

/** When a player's instruments should go to the bench, and what is there now. */
export async function benchPageOf(
  services: Services,
  playerId: PlayerId,
  today: LocalDate,
): Promise<Outcome<BenchView, Failure>> {
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
    instruments: (await proposals(asked)).map((one) => forTheBench(one, asked)),
    unknown: own
      .filter(({ situation, player }) => unknownBenchWork(situation(today), player).length > 0)
      .map(({ instrument: { id, name } }) => ({ instrumentId: id, name })),
  });
}
