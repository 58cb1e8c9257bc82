import { bookItem } from '#core/book/book.ts';
import { itemIn } from '#core/book/practice.ts';
import { daysOf } from '#core/calendar/event.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { checkMove } from '#core/sittings/sitting-pin.ts';
import { dayNumber } from '#core/time/local-date.ts';
import { sittingMoveFact } from '#contract/sittings.ts';
import { invalid, notFound, type Failure } from '#server/failure.ts';
import { sittingMoves } from '#server/features/calendar/calendar.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact, type Deciding, type ToWrite } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';
import type { SittingMoved } from '#core/sittings/sitting-pin.ts';
import type { Sending } from '#contract/fact.ts';

function decide(
  { playerId, times, on }: Sending<typeof sittingMoveFact>,
  { now }: Deciding,
  { players, readings, calendar }: Services,
): Outcome<ToWrite<SittingMoved>, Failure> {
  if (!players.find(playerId)) return fail(notFound('playerId', { code: 'no-such-player' }));
  for (const [at, { instrumentId, itemId }] of times.entries()) {
    const reading = readings.of(instrumentId);
    const isKnown =
      reading?.instrument.playerId === playerId &&
      itemIn(reading.situation(now.on).methods.practice, itemId) !== undefined;
    if (!isKnown) return fail(notFound(`times[${at}]`, { code: 'no-such-sitting' }));
  }
  const stays = calendar.of(playerId).filter(({ what }) => what === 'bench');
  const isAway = (id: InstrumentId, day: typeof now.on): boolean =>
    stays.some((stay) => stay.instrumentIds.includes(id) && daysOf(stay).includes(dayNumber(day)));
  const checked = checkMove(times, on, { today: now.on, isAway });
  return checked.ok
    ? succeed({ body: { playerId, pins: checked.value }, ...now })
    : fail(invalid(checked.failure.code === 'named-twice' ? 'times' : 'on', checked.failure));
}

/** Instruments by their names, each looked up once. */
function instrumentNamer({ instruments }: Services): (id: InstrumentId) => string {
  const names = new Map<InstrumentId, string>();
  return (id) => {
    const name = names.get(id) ?? instruments.nameOf(id) ?? 'an instrument';
    names.set(id, name);
    return name;
  };
}

function moveWords(
  { pins }: SittingMoved,
  nameOf: (id: InstrumentId) => string,
  { book, format }: Pick<Services, 'book' | 'format'>,
): string {
  const [first] = pins;
  const names = pins.map(({ instrumentId, itemId }) => {
    const item = bookItem(book, itemId)?.name.toLowerCase() ?? itemId;
    return `${nameOf(instrumentId)}, ${item}`;
  });
  const where = first?.on == null ? 'is left to the plan again' : `is set for ${format.weekdayDate(first.on)}`;
  return `A sitting ${where}: ${names.join('; ')}.`;
}

/** A sitting, or part of one, on a day the player has set: it stays there, and the rest is planned round it. */
export const sittingMoveDefinition = defineFact<Services>()(sittingMoveFact, {
  store: bodyTable(sittingMoves, { toRow: (move) => move, fromRow: ({ factId: _factId, ...move }) => move }),
  words: ({ body }, told) => moveWords(body, instrumentNamer(told), told),
  wordsOfAll: (facts, told) => {
    const nameOf = instrumentNamer(told);
    return facts.map(({ body }) => moveWords(body, nameOf, told));
  },
  decide,
  sent: ({ body: { playerId, pins } }) => ({
    playerId,
    times: pins.map(({ on: _on, ...time }) => time),
    on: pins[0]?.on ?? null,
  }),
});
