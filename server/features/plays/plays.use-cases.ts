import type { Format } from '#core/explain/format.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { playFaultWords } from '#core/plays/play-words.ts';
import { checkPlay } from '#core/plays/play.ts';
import { instantOfMs } from '#core/time/instant.ts';
import { localDate } from '#core/time/local-date.ts';
import type { LogPlayRequest, PlayView } from '#contract/plays.ts';
import { conflict, notFound, saysTheSame, type Failure, type Logged } from '#server/failure.ts';
import type { Play } from '#server/features/plays/plays.repository.ts';
import type { Services } from '#server/repositories.ts';
import { playersClock } from '#server/wall-clock.ts';

/** Writes a play down once, however often the same entry is sent. */
export function logPlay(
  services: Services,
  request: LogPlayRequest,
  format: Format,
): Outcome<Logged<PlayView>, Failure> {
  const { plays, instruments, players, record, nowMs } = services;
  const { now, ...view } = request;
  const known = plays.find(request.key);
  if (known) {
    if (record.withdrawalOf(known.key)) return fail(conflict('key', 'This entry was taken back. Log it anew.'));
    return saysTheSame(view, known)
      ? succeed({ view, created: false })
      : fail(conflict('key', 'Another play has this key.'));
  }
  const clock = playersClock(now, nowMs());
  if (!clock.ok) return clock;
  const instrument = instruments.find(request.instrumentId);
  if (!instrument) return fail(notFound('instrumentId', 'No such instrument in the record.'));
  if (!players.find(request.playerId)) return fail(notFound('playerId', 'No such player in the record.'));
  const play: Play = {
    ...view,
    instrumentId: view.instrumentId as InstrumentId,
    playerId: view.playerId as PlayerId,
    endedOn: localDate(view.endedOn),
  };
  const checked = checkPlay(play, clock.value, instrument, plays.near(instrument.id, play.endedOn));
  if (!checked.ok)
    return fail(
      conflictOrInvalid(checked.failure.code, checked.failure.field, playFaultWords(checked.failure, format)),
    );
  plays.add(play, instantOfMs(nowMs()));
  return succeed({ view, created: true });
}

const conflictOrInvalid = (code: string, field: string, message: string): Failure =>
  code === 'overlaps' || code === 'day-is-full'
    ? conflict(field, message)
    : { code: 'invalid-request', field, message };
