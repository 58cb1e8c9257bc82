import { itemIn, practiceFor } from '#core/care/practice-book.ts';
import type { CareItemId } from '#core/care/care-item.ts';
import { situationOf } from '#core/care/situation.ts';
import type { Format } from '#core/explain/format.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { usualPlayMinutes } from '#core/plays/usual-play.ts';
import { instantOfMs } from '#core/time/instant.ts';
import { localDate, type LocalDate } from '#core/time/local-date.ts';
import type { InstrumentPage, LogCareRequest } from '#contract/care.ts';
import { clockView, instrumentView, waterView } from '#server/features/care/care.views.ts';
import { conflict, invalid, notFound, saysTheSame, type Failure, type Logged } from '#server/failure.ts';
import type { Services } from '#server/repositories.ts';
import { stripView } from '#server/views/strip.ts';
import { playersClock } from '#server/wall-clock.ts';

const LAST_MINUTE_OF_DAY = 1439;

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
  const items = practiceFor(instrument.kind, instrument.build).items.map((item) => item.id);
  const plays = services.plays.columns(instrument.id);
  const situation = situationOf(instrument, { plays, lastDone: services.care.lastDone(id, items) }, {}, today);
  const last = services.plays.last(id);
  const water = waterView(situation, situation.awaitsPackUp ? (last?.minutes ?? 0) : 0);
  return succeed({
    instrument: instrumentView(instrument, situation),
    strip: stripView(situation.kind, water.grams),
    clocks: situation.clocks.map((clock) => clockView(clock, situation, { player, today, format })),
    calling: situation.calling.map(({ item }) => item.id),
    awaitsPackUp: situation.awaitsPackUp,
    openRunKey: services.packup.open(id)?.key ?? null,
    lastPlay: last
      ? { key: last.key, endedOn: last.endedOn, endedAtMinute: last.endedAtMinute, minutes: last.minutes }
      : null,
    week: {
      meanMinutes: [...situation.forecast.meanMinutes],
      daysSeen: situation.forecast.daysSeen,
      usualPlayMinutes: usualPlayMinutes(plays),
    },
    water,
    neverDos: situation.practice.neverDos.map(({ id: neverId, text, why }) => ({ id: neverId, text, why })),
  });
}

/** Records that something was done outside a run: at the bench, elsewhere, or before Ulu was asked. */
export function logCare(
  services: Services,
  request: LogCareRequest,
): Outcome<Logged<Omit<LogCareRequest, 'now'>>, Failure> {
  const { care, instruments, record, nowMs } = services;
  const { now, ...view } = request;
  const known = care.find(request.key);
  if (known) {
    if (record.withdrawalOf(known.key)) return fail(conflict('key', 'This entry was taken back. Log it anew.'));
    return saysTheSame(view, known)
      ? succeed({ view, created: false })
      : fail(conflict('key', 'Another entry has this key.'));
  }
  const clock = playersClock(now, nowMs());
  if (!clock.ok) return clock;
  const instrument = instruments.find(request.instrumentId);
  if (!instrument) return fail(notFound('instrumentId', 'No such instrument in the record.'));
  const item = itemIn(practiceFor(instrument.kind, instrument.build), request.itemId as CareItemId);
  if (!item) return fail(notFound('itemId', 'This instrument has no such care.'));
  const doneOn = localDate(request.doneOn);
  if (doneOn > clock.value.on) return fail(invalid('doneOn', 'That has not happened yet.'));
  if (doneOn < instrument.acquiredOn && instrument.cameNew)
    return fail(invalid('doneOn', 'It was new when it came; nothing was done to it before.'));
  // On an earlier day it was done some time that day, after the plays of that day as far as anybody knows.
  const doneAtMinute = doneOn === clock.value.on ? clock.value.atMinute : LAST_MINUTE_OF_DAY;
  care.add({ ...view, doneOn, doneAtMinute, sourceKey: null, loggedAt: instantOfMs(nowMs()) });
  return succeed({ view, created: true });
}
