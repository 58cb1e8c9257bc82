import { checkBuild } from '#core/instruments/check-build.ts';
import type { Instrument, InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import type { Build } from '#core/instruments/build.ts';
import { KIND_IDS, kindName, type KindId } from '#core/instruments/kind.ts';
import { kindOf } from '#core/instruments/kinds.ts';
import { standingWords } from '#core/care/care-words.ts';
import { worstClock } from '#core/care/what-matters.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { instantOfMs } from '#core/time/instant.ts';
import { localDate, type LocalDate } from '#core/time/local-date.ts';
import type {
  AddInstrumentRequest,
  DepartureRequest,
  KindView,
  ReviseBuildRequest,
  ShelfPlace,
} from '#contract/instruments.ts';
import { conflict, invalid, notFound, type Failure, type Logged } from '#server/failure.ts';
import type { Services } from '#server/repositories.ts';
import { situationIn } from '#server/situations.ts';
import { playersClock } from '#server/wall-clock.ts';

/** What each kind asks of somebody adding one. */
export const listKinds = (): KindView[] =>
  KIND_IDS.map((id) => {
    const { name, family, fields } = kindOf(id);
    return {
      id,
      name,
      family,
      fields: fields.map((field) => ({ ...field, options: field.options.map((option) => ({ ...option })) })),
    };
  });

function shelfPlace(services: Services, instrument: Instrument, today: LocalDate): ShelfPlace {
  const { plays, packup } = services;
  const situation = situationIn(services, instrument, today);
  const worst = worstClock(situation.clocks);
  return {
    id: instrument.id,
    name: instrument.name,
    kind: instrument.kind,
    kindName: kindName(situation.kind, instrument.build),
    playerId: instrument.playerId,
    gauge: worst && {
      state: worst.state,
      load: worst.load,
      words: standingWords(worst, today),
      itemName: worst.item.name,
    },
    calling: situation.calling.length,
    awaitsPackUp: situation.awaitsPackUp,
    openRunKey: packup.open(instrument.id)?.key ?? null,
    lastPlayedOn: plays.last(instrument.id)?.endedOn ?? null,
  };
}

/** The shelf: every instrument that is there, with its most pressing clock. */
export const listShelf = (services: Services, today: LocalDate): ShelfPlace[] =>
  services.instruments.onShelf().map((instrument) => shelfPlace(services, instrument, today));

function buildOf(kind: KindId, given: Readonly<Record<string, string>>): Outcome<Build, Failure> {
  const checked = checkBuild(kindOf(kind), given);
  if (checked.ok) return checked;
  const { field, allowed } = checked.failure;
  return fail(invalid(`build.${field}`, `A ${kind} takes here: ${allowed.join(', ')}.`));
}

/** Puts an instrument on the shelf; the same request again is the same instrument. */
export function addInstrument(services: Services, request: AddInstrumentRequest): Outcome<Logged<ShelfPlace>, Failure> {
  const { instruments, players, nowMs } = services;
  const clock = playersClock({ on: request.today, atMinute: 0 }, nowMs());
  if (!clock.ok) return fail(invalid('today', clock.failure.message));
  const { on: today } = clock.value;
  const checked = buildOf(request.kind, request.build);
  if (!checked.ok) return checked;
  if (!players.find(request.playerId)) return fail(notFound('playerId', 'No such player in the record.'));
  const acquiredOn = localDate(request.acquiredOn);
  if (acquiredOn > today) return fail(invalid('acquiredOn', 'It cannot have come to you later than today.'));
  const known = instruments.find(request.id);
  if (known && known.name !== request.name) return fail(conflict('id', 'This id belongs to another instrument.'));
  const instrument: Instrument = {
    id: request.id as InstrumentId,
    kind: request.kind,
    name: request.name,
    build: checked.value,
    playerId: request.playerId as PlayerId,
    acquiredOn,
    cameNew: request.cameNew,
    leftOn: null,
  };
  if (!known) instruments.add(instrument, instantOfMs(nowMs()));
  return succeed({ view: shelfPlace(services, known ?? instrument, today), created: !known });
}

/** Takes an instrument off the shelf, or puts it back. Its record stays either way. */
export function setDeparture(services: Services, id: string, request: DepartureRequest): Outcome<ShelfPlace, Failure> {
  const instrument = services.instruments.find(id);
  if (!instrument) return fail(notFound('id', 'No such instrument in the record.'));
  const clock = playersClock({ on: request.today, atMinute: 0 }, services.nowMs());
  if (!clock.ok) return fail(invalid('today', clock.failure.message));
  const leftOn = request.leftOn === null ? null : localDate(request.leftOn);
  if (leftOn !== null && (leftOn > clock.value.on || leftOn < instrument.acquiredOn))
    return fail(invalid('leftOn', 'It left between the day it came and today.'));
  services.instruments.setLeftOn(id, leftOn);
  return succeed(shelfPlace(services, { ...instrument, leftOn }, clock.value.on));
}

/** Records how an instrument is built now. Its history stays; what no longer applies is shown as closed. */
export function reviseBuild(services: Services, id: string, request: ReviseBuildRequest): Outcome<ShelfPlace, Failure> {
  const instrument = services.instruments.find(id);
  if (!instrument) return fail(notFound('id', 'No such instrument in the record.'));
  const clock = playersClock({ on: request.today, atMinute: 0 }, services.nowMs());
  if (!clock.ok) return fail(invalid('today', clock.failure.message));
  const build = buildOf(instrument.kind, request.build);
  if (!build.ok) return build;
  services.instruments.setBuild(id, build.value);
  return succeed(shelfPlace(services, { ...instrument, build: build.value }, clock.value.on));
}
