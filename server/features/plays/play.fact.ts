import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { playWords } from '#core/plays/play-words.ts';
import { oddPlays } from '#core/plays/odd-plays.ts';
import { checkPlay, type Play } from '#core/plays/play.ts';
import { ofInstrument } from '#core/record/fact.ts';
import { logPlayRequest, playPaths, type LogPlayRequest } from '#contract/plays.ts';
import { conflict, invalid, noInstrument, notFound, type Failure } from '#server/failure.ts';
import { playFromRow } from '#server/features/plays/plays.mapper.ts';
import { misrepeatedPlays, playsChanged, playWritten } from '#server/features/plays/plays.repository.ts';
import { plays } from '#server/features/plays/plays.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact, type Deciding, type ToWrite } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';
import { latestToday } from '#server/wall-clock.ts';

/** More plays than anybody has. */
const EVERY = 1_000_000;

export type PlayBody = Omit<Play, 'key'>;

/** A play may be written down where it fits the plays there are; a correction, where it fits all but the one it corrects. */
export function judgedPlay(
  request: Omit<LogPlayRequest, 'key' | 'now' | 'corrects'>,
  { now, corrects }: Deciding,
  { instruments, players, plays: played }: Services,
): Outcome<ToWrite<PlayBody>, Failure> {
  const instrument = instruments.find(request.instrumentId);
  if (!instrument) return fail(noInstrument());
  const player = players.find(request.playerId);
  if (!player) return fail(notFound('playerId', { code: 'no-such-player' }));
  const { endedAtMinute, minutes, roomCelsius } = request;
  const body = {
    instrumentId: instrument.id,
    playerId: player.id,
    endedOn: request.endedOn,
    endedAtMinute,
    minutes,
    roomCelsius,
  };
  if (corrects !== null && played.standing(corrects)?.instrumentId !== instrument.id)
    return fail(conflict('instrumentId', { code: 'played-on-another' }));
  const near = played.near(instrument.id, body.endedOn).filter(({ key }) => key !== corrects);
  const checked = checkPlay(body, now, instrument, near);
  if (checked.ok) return succeed({ body, on: body.endedOn, atMinute: endedAtMinute });
  const { field, ...fault } = checked.failure;
  return fail(
    fault.code === 'overlaps' || fault.code === 'day-is-full' ? conflict(field, fault) : invalid(field, fault),
  );
}

const rows = bodyTable<typeof plays, PlayBody>(plays, {
  misrepeated: misrepeatedPlays,
  toRow: (play) => play,
  fromRow: playFromRow,
});

/** One spell of playing. */
export const playFact = defineFact<Services>()<PlayBody, LogPlayRequest>({
  kind: 'play',
  store: {
    ...rows,
    insert: (db, place, play) => {
      rows.insert(db, place, play);
      playWritten(db, place.factId, play);
    },
    recount: (db, factId, counts) => {
      rows.recount(db, factId, counts);
      playsChanged(db);
    },
  },
  about: ({ instrumentId }) => [ofInstrument(instrumentId)],
  words: ({ body }, { format }) => playWords(body.minutes, body.roomCelsius, format),
  breaking: ({ instruments, plays: played, nowMs }) =>
    instruments.all().flatMap(({ id }) => {
      const instrument = instruments.find(id);
      const odd = instrument ? oddPlays(played.newest(id, EVERY).toReversed(), instrument, latestToday(nowMs())) : [];
      return odd.map(({ play, why }) => `play ${play.key} of ${id} on ${play.endedOn}: ${why}`);
    }),
  logged: {
    path: playPaths.log,
    request: logPlayRequest,
    correctable: true,
    decide: judgedPlay,
    answer: ({ key, body }) => ({ key, ...body }),
  },
});
