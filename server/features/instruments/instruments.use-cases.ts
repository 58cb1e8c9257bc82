import { isLaidBy } from '#core/faults/faults-standing.ts';
import { KIND_IDS, kindName } from '#core/instruments/kind.ts';
import { goesToday } from '#core/calendar/handover.ts';
import { standingWords } from '#core/care/care-words.ts';
import { lastPlayedOn } from '#core/plays/play-columns.ts';
import { worstClock } from '#core/care/what-matters.ts';
import { reedFamilyOf } from '#core/reeds/reed.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { differences } from '#core/record/fact.ts';
import { instantOfMs } from '#core/time/instant.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import type { AddInstrumentRequest, KindView, ShelfPlace } from '#contract/instruments.ts';
import { conflict, invalid, noInstrument, notFound, type Failure, type Logged } from '#server/failure.ts';
import { buildDefinition, buildOf } from '#server/features/instruments/build.fact.ts';
import { instrumentDefinition } from '#server/features/instruments/instrument.fact.ts';
import type { Reading } from '#server/readings.ts';
import { touchedBy } from '#server/record/log-fact.ts';
import type { Services } from '#server/services.ts';
import { inTurns } from '#server/turns.ts';
import { playersClock } from '#server/wall-clock.ts';

/** What each kind asks of somebody adding one. */
export const listKinds = ({ book }: Services): KindView[] =>
  KIND_IDS.map((id) => {
    const { name, family, fields } = book.kinds[id];
    return {
      id,
      name,
      family,
      fields: fields.map((field) => ({ ...field, options: field.options.map((option) => ({ ...option })) })),
    };
  });

function shelfPlace(reading: Reading, today: LocalDate): ShelfPlace {
  const { instrument, facts } = reading;
  const { kind, care, calendar, faults, handover } = reading.situation(today);
  const worst = worstClock(care.clocks);
  return {
    id: instrument.id,
    name: instrument.name,
    kind: instrument.kind,
    kindName: kindName(kind, instrument.build),
    playerId: instrument.playerId,
    gauge: worst && {
      state: worst.state,
      load: worst.load,
      words: standingWords(worst, today),
      itemName: worst.item.name,
    },
    calling: care.calling.length,
    awaitsPackUp: care.awaitsPackUp,
    isCasedDamp: care.dampSince !== null,
    awayUntil: calendar.awayUntil,
    goesToday: goesToday(handover, today),
    openRunKey: facts.openRunKey,
    lastPlayedOn: lastPlayedOn(facts.plays),
    faults: isLaidBy(faults) ? 'stopped' : faults.open || faults.stopped ? 'open' : 'none',
    hasReeds: reedFamilyOf(kind) !== null,
  };
}

/** The shelf: every instrument that is there, with its most pressing clock. */
export const listShelf = ({ readings }: Services, today: LocalDate): Promise<ShelfPlace[]> =>
  inTurns(readings.onShelf(), (read) => {
    const reading = read();
    return reading === undefined || reading.instrument.leftOn !== null ? [] : [shelfPlace(reading, today)];
  });

type Added = Omit<AddInstrumentRequest, 'today'>;

/** An instrument under an id the record knows already: the same again, or another one. */
function knownInstrument({ record, instruments }: Services, { id, build, ...arrival }: Added): Outcome<null, Failure> {
  const known = record.find(`instrument/${id}`);
  const first = record.find(`build/${id}`);
  const differing = [...differences(arrival, known?.body), ...differences({ build }, first?.body)];
  if (instruments.find(id) === undefined) return fail(conflict('id', { code: 'instrument-taken-back' }));
  return differing.length > 0
    ? fail(conflict('id', { code: 'id-of-another-instrument', fields: differing }))
    : succeed(null);
}

/** Checks a new instrument and writes down that it came, and how it is built. */
function writeInstrument(services: Services, request: AddInstrumentRequest): Outcome<{ created: boolean }, Failure> {
  const { players, record, nowMs, book } = services;
  const { today: todayText, ...added } = request;
  if (record.find(`instrument/${request.id}`)) {
    const known = knownInstrument(services, added);
    return known.ok ? succeed({ created: false }) : known;
  }
  const clock = playersClock({ on: todayText, atMinute: 0 }, nowMs());
  if (!clock.ok) return fail(invalid('today', clock.failure.refusal));
  const { on } = clock.value;
  const build = buildOf(book, request.kind, request.build);
  if (!build.ok) return build;
  if (!players.find(request.playerId)) return fail(notFound('playerId', { code: 'no-such-player' }));
  const acquiredOn = request.acquiredOn;
  if (acquiredOn > on) return fail(invalid('acquiredOn', { code: 'comes-later' }));
  const id = request.id;
  const { kind, name, cameNew } = request;
  const arrival = { id, kind, name, playerId: request.playerId, acquiredOn, cameNew };
  const common = { on, atMinute: null, loggedAt: instantOfMs(nowMs()), corrects: null };
  const key = `instrument/${id}`;
  record.append([
    { ...common, key, kind: instrumentDefinition.kind, belongsTo: null, body: arrival },
    {
      ...common,
      key: `build/${id}`,
      kind: buildDefinition.kind,
      belongsTo: key,
      body: { instrumentId: id, build: build.value },
    },
  ]);
  return succeed({ created: true });
}

/** Puts an instrument on the shelf; the same request again is the same instrument. */
export function addInstrument(services: Services, request: AddInstrumentRequest): Outcome<Logged<ShelfPlace>, Failure> {
  const written = services.atOnce(() => writeInstrument(services, request));
  if (!written.ok) return written;
  const reading = services.readings.of(request.id);
  if (!reading) return fail(noInstrument('id'));
  const touched = touchedBy(services, `instrument/${request.id}`);
  return succeed({ view: shelfPlace(reading, request.today), created: written.value.created, touched });
}
