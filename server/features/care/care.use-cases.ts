import { bookSign } from '#core/faults/faults-for.ts';
import { interviewSaid } from '#core/faults/fault-words.ts';
import { isLaidBy } from '#core/faults/faults-standing.ts';
import { stopSaid } from '#core/faults/stop-words.ts';
import type { Situation } from '#core/situation/situation.ts';
import { reedFamilyOf } from '#core/reeds/reed.ts';
import { bookItem } from '#core/book/book.ts';
import { itemIn } from '#core/book/practice.ts';
import { succeed, fail, type Outcome } from '#core/kernel/outcome.ts';
import { methodsInForce } from '#core/methods/chosen-method.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import type { CareOverview, InstrumentPage } from '#contract/care.ts';
import { benchAsks } from '#server/features/care/bench-asks.ts';
import { clockView, instrumentView, waterView, wetnessView } from '#server/features/care/care.views.ts';
import { noInstrument, type Failure } from '#server/failure.ts';
import type { Reading } from '#server/readings.ts';
import type { Services } from '#server/services.ts';
import { inTurns } from '#server/turns.ts';
import { goesToday } from '#core/calendar/handover.ts';
import { firstNoteReasons, firstNoteWords } from '#core/care/first-note-words.ts';
import { dampCost } from '#core/situation/damp-words.ts';
import { aloneView } from '#server/views/alone.ts';
import { partsLeftWet, practicePlayed } from '#core/situation/alone-standing.ts';
import { stripView } from '#server/views/strip.ts';

/** Items with a history that this build does not have any more: an edited build closes them, the history stays. */
function closedItems({ book }: Services, { facts, situation }: Reading, today: LocalDate) {
  const { methods, kind } = situation(today);
  return facts.itemsLogged.flatMap((itemId): InstrumentPage['closed'] => {
    if (itemIn(methods.practice, itemId)) return [];
    const name = bookItem(book, itemId)?.name ?? itemId;
    return [
      {
        itemId,
        name,
        why: `This ${kind.name.toLowerCase()} as it is built now has no such care. What was logged stays.`,
      },
    ];
  });
}

/** What calls for attention at home: nothing while it is at the bench, or laid by. */
const atHand = ({ calendar, care, faults }: Situation) =>
  calendar.awayUntil === null && !isLaidBy(faults) ? care.calling : [];

/** Everything the page of one instrument shows, computed from its facts. */
export function instrumentPageOf(services: Services, id: string, today: LocalDate): Outcome<InstrumentPage, Failure> {
  const reading = services.readings.of(id);
  if (!reading) return fail(noInstrument('id'));
  const { instrument, player, facts } = reading;
  const situation = reading.situation(today);
  const { kind, care, methods, plays } = situation;
  const lastPlay = facts.lastPlay();
  const wet = care.awaitsPackUp && lastPlay ? partsLeftWet(situation, lastPlay.alone) : null;
  const water = waterView(situation, care.awaitsPackUp ? lastPlay : null, reading.wetness(), services.format);
  const reader = { player, today, format: services.format };
  return succeed({
    instrument: instrumentView(instrument, kind),
    onReeds: reedFamilyOf(kind) !== null,
    strip: stripView(practicePlayed(methods, wet).kind, instrument.build, water.grams),
    clocks: care.clocks.map((clock) => clockView(clock, situation, reader)),
    calling: atHand(situation).map(({ item }) => item.id),
    awaitsPackUp: care.awaitsPackUp,
    damp:
      care.dampSince === null ? null : { sinceWallMinute: care.dampSince, because: [...dampCost(instrument.build)] },
    firstNote: care.firstNote && {
      words: firstNoteWords(care.firstNote),
      because: firstNoteReasons(care.firstNote, instrument.build, instrument.cameNew),
      itemIds: [...care.firstNote.itemIds],
    },
    awayUntil: situation.calendar.awayUntil,
    goesToday: goesToday(situation.handover, today),
    benchAsks: benchAsks(reading, today, services.format),
    stopped: situation.faults.stopped && stopSaid(situation.faults.stopped, player),
    wrong: situation.faults.open && {
      key: situation.faults.open.key,
      words: interviewSaid(situation.faults.open.noticed.map((sign) => bookSign(services.book, sign)?.words ?? sign)),
    },
    leftForLater: care.leftForLater.map(({ item }) => ({ itemId: item.id, name: item.name })),
    openRunKey: facts.openRunKey,
    lastPlay: lastPlay && {
      key: lastPlay.key,
      endedOn: lastPlay.endedOn,
      endedAtMinute: lastPlay.endedAtMinute,
      minutes: lastPlay.minutes,
    },
    alone: aloneView(situation.alone, wet),
    week: {
      meanMinutes: [...plays.forecast.week.meanMinutes],
      daysSeen: plays.forecast.week.daysSeen,
      usualPlayMinutes: plays.usualMinutes,
    },
    closed: closedItems(services, reading, today),
    water,
    wetness: wetnessView(methods, reading.wetness()),
    habits: methodsInForce(methods.choices, methods.context).flatMap(({ effects }) => effects.advice ?? []),
    neverDos: methods.practice.neverDos.map(({ id: neverId, text, why }) => ({ id: neverId, text, why })),
  });
}

/** What calls for attention on every instrument of the shelf, most pressing first within each. */
export const careOverviewOf = ({ readings, format }: Services, today: LocalDate): Promise<CareOverview> =>
  inTurns(readings.onShelf(), (read) => {
    const reading = read();
    if (reading === undefined || reading.instrument.leftOn !== null) return [];
    const { instrument, player } = reading;
    const situation = reading.situation(today);
    const { name, kind, kindName, playerId } = instrumentView(instrument, situation.kind);
    const calling = atHand(situation).map((clock) => clockView(clock, situation, { player, today, format }));
    return [{ instrumentId: instrument.id, name, kind, kindName, playerId, calling }];
  });
