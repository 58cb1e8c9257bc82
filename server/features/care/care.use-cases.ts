import type { CareItemId } from '#core/care/care-ids.ts';
import { signOf, type CareItem } from '#core/care/care-item.ts';
import { bookItem, itemIn, practiceFor } from '#core/care/practice-book.ts';
import { signParts } from '#core/care/sign-parts.ts';
import type { Situation } from '#core/care/situation.ts';
import type { Format } from '#core/explain/format.ts';
import type { Instrument } from '#core/instruments/instrument.ts';
import { kindOf } from '#core/instruments/kinds.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import type { WallClock } from '#core/plays/play.ts';
import { instantOfMs } from '#core/time/instant.ts';
import { schoolsInForce } from '#core/schools/chosen-school.ts';
import { addDays, localDate, type LocalDate } from '#core/time/local-date.ts';
import type {
  CareOverview,
  InstrumentPage,
  LogCareRequest,
  LogDecisionRequest,
  LogSignRequest,
  ResetWetnessRequest,
} from '#contract/care.ts';
import { clockView, instrumentView, waterView, wetnessView } from '#server/features/care/care.views.ts';
import { conflict, invalid, notFound, saysTheSame, type Failure, type Logged } from '#server/failure.ts';
import type { Services } from '#server/repositories.ts';
import { wetnessIn } from '#server/wetness.ts';
import { situationIn } from '#server/situations.ts';
import { stripView } from '#server/views/strip.ts';
import { playersClock } from '#server/wall-clock.ts';

const LAST_MINUTE_OF_DAY = 1439;

/** Items with a history that this build does not have any more: an edited build closes them, the history stays. */
function closedItems({ care }: Services, { practice, kind }: Situation, id: string): InstrumentPage['closed'] {
  return care.itemsLogged(id).flatMap((itemId) => {
    if (itemIn(practice, itemId as CareItemId)) return [];
    const name = bookItem(itemId as CareItemId)?.name ?? itemId;
    return [
      {
        itemId,
        name,
        why: `This ${kind.name.toLowerCase()} as it is built now has no such care. What was logged stays.`,
      },
    ];
  });
}

/** Everything the page of one instrument shows, computed from its facts. */
export function instrumentPageOf(
  services: Services,
  id: string,
  today: LocalDate,
  format: Format,
): Outcome<InstrumentPage, Failure> {
  const instrument = services.instruments.find(id);
  const player = instrument && services.players.find(instrument.playerId);
  if (!instrument || !player) return fail(notFound('id', 'No such instrument in the record.'));
  const situation = situationIn(services, instrument, today);
  const last = services.plays.last(id);
  const wetness = wetnessIn(services, id, situation);
  const water = waterView(situation, situation.awaitsPackUp ? (last ?? null) : null, wetness);
  return succeed({
    instrument: instrumentView(instrument, situation),
    strip: stripView(situation.kind, instrument.build, water.grams),
    clocks: situation.clocks.map((clock) => clockView(clock, situation, { player, today, format })),
    calling: situation.calling.map(({ item }) => item.id),
    awaitsPackUp: situation.awaitsPackUp,
    leftForLater: situation.leftForLater.map(({ item }) => ({ itemId: item.id, name: item.name })),
    openRunKey: services.packup.open(id)?.key ?? null,
    lastPlay: last
      ? { key: last.key, endedOn: last.endedOn, endedAtMinute: last.endedAtMinute, minutes: last.minutes }
      : null,
    week: {
      meanMinutes: [...situation.forecast.meanMinutes],
      daysSeen: situation.forecast.daysSeen,
      usualPlayMinutes: situation.usualPlayMinutes,
    },
    closed: closedItems(services, situation, id),
    water,
    wetness: wetnessView(situation, wetness),
    habits: schoolsInForce(situation.choices, situation.context).flatMap(({ effects }) => effects.advice ?? []),
    neverDos: situation.practice.neverDos.map(({ id: neverId, text, why }) => ({ id: neverId, text, why })),
  });
}

/** What calls for attention on every instrument of the shelf, most pressing first within each. */
export const careOverviewOf = (services: Services, today: LocalDate, format: Format): CareOverview =>
  services.instruments.onShelf().flatMap((instrument) => {
    const player = services.players.find(instrument.playerId);
    if (!player) return [];
    const situation = situationIn(services, instrument, today);
    const { name, kind, kindName, playerId } = instrumentView(instrument, situation);
    const calling = situation.calling.map((clock) => clockView(clock, situation, { player, today, format }));
    return [{ instrumentId: instrument.id, name, kind, kindName, playerId, calling }];
  });

type Entry = { readonly instrumentId: string; readonly itemId: string; readonly now: { on: string; atMinute: number } };
type Logging = { readonly instrument: Instrument; readonly item: CareItem; readonly now: WallClock };

/** What an entry is about, or what in it is not known. */
function loggingOf({ instruments, nowMs }: Services, entry: Entry): Outcome<Logging, Failure> {
  const clock = playersClock(entry.now, nowMs());
  if (!clock.ok) return clock;
  const instrument = instruments.find(entry.instrumentId);
  if (!instrument) return fail(notFound('instrumentId', 'No such instrument in the record.'));
  const item = itemIn(practiceFor(instrument.kind, instrument.build), entry.itemId as CareItemId);
  if (!item) return fail(notFound('itemId', 'This instrument has no such care.'));
  return succeed({ instrument, item, now: clock.value });
}

/** An entry under a key the record knows already: the same again, another one, or one taken back. */
function knownEntry<View extends { readonly key: string }>(
  { record }: Services,
  view: View,
  stored: { readonly [K in keyof View]: unknown },
): Outcome<Logged<View>, Failure> {
  if (record.withdrawalOf(view.key)) return fail(conflict('key', 'This entry was taken back. Log it anew.'));
  return saysTheSame(view, stored)
    ? succeed({ view, created: false })
    : fail(conflict('key', 'Another entry has this key.'));
}

/** Records that something was done outside a run: at the bench, elsewhere, or before Ulu was asked. */
export function logCare(
  services: Services,
  request: LogCareRequest,
): Outcome<Logged<Omit<LogCareRequest, 'now'>>, Failure> {
  const { now: _now, ...view } = request;
  const known = services.care.find(request.key);
  if (known) return knownEntry(services, view, known);
  const logging = loggingOf(services, request);
  if (!logging.ok) return logging;
  const { instrument, now } = logging.value;
  const doneOn = localDate(request.doneOn);
  if (doneOn > now.on) return fail(invalid('doneOn', 'That has not happened yet.'));
  if (doneOn < instrument.acquiredOn && instrument.cameNew)
    return fail(invalid('doneOn', 'It was new when it came; nothing was done to it before.'));
  // On an earlier day it was done some time that day, after the plays of that day as far as anybody knows.
  const doneAtMinute = doneOn === now.on ? now.atMinute : LAST_MINUTE_OF_DAY;
  services.care.add({ ...view, doneOn, doneAtMinute, sourceKey: null, loggedAt: instantOfMs(services.nowMs()) });
  return succeed({ view, created: true });
}

/** Records that a sign was noticed: what it calls for is due from now on. */
export function logSign(services: Services, request: LogSignRequest): Outcome<Logged<{ key: string }>, Failure> {
  const { now: _now, ...sign } = request;
  const known = services.care.findSign(request.key);
  const view = { key: request.key };
  if (known) {
    const same = knownEntry(services, sign, known);
    return same.ok ? succeed({ view, created: false }) : same;
  }
  const logging = loggingOf(services, request);
  if (!logging.ok) return logging;
  const { instrument, item, now } = logging.value;
  const seen = signOf(item);
  if (seen === undefined) return fail(invalid('itemId', `${item.name} goes by its clock, not by a sign.`));
  if (!signParts(item, kindOf(instrument.kind), instrument.build).includes(request.part))
    return fail(invalid('part', `This instrument has no such part for "${seen}".`));
  services.care.addSign({
    ...sign,
    noticedOn: now.on,
    noticedAtMinute: now.atMinute,
    sourceKey: null,
    loggedAt: instantOfMs(services.nowMs()),
  });
  return succeed({ view, created: true });
}

const LATEST_POSTPONEMENT_DAYS = 365;

/** Records a decision about an item: let it wait, do not do it, take it up again. */
export function logDecision(
  services: Services,
  request: LogDecisionRequest,
): Outcome<Logged<{ key: string }>, Failure> {
  const { now: _now, ...decision } = request;
  const known = services.care.findDecision(request.key);
  const view = { key: request.key };
  if (known) {
    const same = knownEntry(services, decision, known);
    return same.ok ? succeed({ view, created: false }) : same;
  }
  const logging = loggingOf(services, request);
  if (!logging.ok) return logging;
  const { item, now } = logging.value;
  if (item.trigger.kind === 'every-play')
    return fail(invalid('itemId', `${item.name} belongs to every play; leave it out in the run, with a reason.`));
  if ((request.kind === 'postponed') !== (request.until !== null))
    return fail(invalid('until', 'A day goes with letting wait, and with nothing else.'));
  if (request.until !== null && (request.until <= now.on || request.until > addDays(now.on, LATEST_POSTPONEMENT_DAYS)))
    return fail(invalid('until', 'Let it wait until a day after today, within a year.'));
  services.care.addDecision({ ...decision, decidedOn: now.on, loggedAt: instantOfMs(services.nowMs()) });
  return succeed({ view, created: true });
}

/** Forgets what was learned of how wet its player blows it; taking the reset back brings it back. */
export function resetWetness(
  services: Services,
  request: ResetWetnessRequest,
): Outcome<Logged<{ key: string }>, Failure> {
  const { care, instruments, nowMs } = services;
  const { key, instrumentId } = request;
  const known = care.findReset(key);
  if (known) {
    const same = knownEntry(services, { key, instrumentId }, known);
    return same.ok ? succeed({ view: { key }, created: false }) : same;
  }
  const clock = playersClock(request.now, nowMs());
  if (!clock.ok) return clock;
  if (!instruments.find(instrumentId)) return fail(notFound('instrumentId', 'No such instrument in the record.'));
  care.addReset({ key, instrumentId, at: instantOfMs(nowMs()) });
  return succeed({ view: { key }, created: true });
}
