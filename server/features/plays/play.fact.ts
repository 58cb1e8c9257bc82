import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { aloneNamed } from '#core/methods/practice-alone.ts';
import { practiceFor } from '#core/methods/practice-for.ts';
import { playWords } from '#core/plays/play-words.ts';
import { oddPlays } from '#core/plays/odd-plays.ts';
import { checkPlay } from '#core/plays/play.ts';
import { fieldOf } from '#core/record/fact.ts';
import type { ReedsOfPlay } from '#core/reeds/reed.ts';
import { checkReedsInPlay } from '#core/reeds/reeds-in-play.ts';
import { playFact } from '#contract/plays.ts';
import { reedPlayFact } from '#contract/reeds.ts';
import { conflict, invalid, noInstrument, notFound, type Failure } from '#server/failure.ts';
import { reedFailure } from '#server/reed-failure.ts';
import { playFromRow } from '#server/features/plays/plays.mapper.ts';
import { misrepeatedPlays, playsChanged, playWritten } from '#server/features/plays/plays.repository.ts';
import { plays } from '#server/features/plays/plays.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact, type Deciding, type ToWrite } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';
import { latestToday } from '#server/wall-clock.ts';
import type { Kept, Said, Sending } from '#contract/fact.ts';

type InPlay = Pick<ReedsOfPlay, 'shares' | 'high'>;

/** More plays than anybody has. */
const EVERY = 1_000_000;

/** A play may be written down where it fits the plays there are; a correction, where it fits all but the one it corrects. */
export function judgedPlay(
  request: Omit<Said<typeof playFact>, 'reeds'>,
  { now, corrects }: Deciding,
  { instruments, players, plays: played, book }: Services,
): Outcome<ToWrite<Kept<typeof playFact>>, Failure> {
  const instrument = instruments.find(request.instrumentId);
  if (!instrument) return fail(noInstrument());
  const player = players.find(request.playerId);
  if (!player) return fail(notFound('playerId', { code: 'no-such-player' }));
  const { endedAtMinute, minutes, roomCelsius, alone = null } = request;
  if (alone !== null && !aloneNamed(practiceFor(book, instrument.kind, instrument.build), alone))
    return fail(invalid('alone', { code: 'not-played-so' }));
  const body = {
    instrumentId: instrument.id,
    playerId: player.id,
    endedOn: request.endedOn,
    endedAtMinute,
    minutes,
    roomCelsius,
    alone,
  };
  if (corrects !== null && played.standing(corrects)?.instrumentId !== instrument.id)
    return fail(conflict('instrumentId', { code: 'played-on-another' }));
  const near = played.near(instrument.id, body.endedOn).filter(({ key }) => key !== corrects);
  const checked = checkPlay(body, now, instrument, near);
  if (checked.ok) return succeed({ body, on: body.endedOn, atMinute: endedAtMinute });
  const { field, ...refusal } = checked.failure;
  return fail(
    refusal.code === 'overlaps' || refusal.code === 'day-is-full' ? conflict(field, refusal) : invalid(field, refusal),
  );
}

const keyOfReeds = (playKey: string): string => `${playKey}/reeds`;

/** A play on these reeds: they come with it and are taken back with it. */
function onReeds(
  play: ToWrite<Kept<typeof playFact>>,
  { key, corrects, said }: { readonly key: string; readonly corrects: string | null; readonly said: InPlay },
  { reeds, instruments }: Services,
): Outcome<ToWrite<Kept<typeof playFact>>, Failure> {
  const { body, on, atMinute } = play;
  const { instrumentId, playerId, minutes: ofMinutes } = body;
  if (corrects !== null && reeds.ofPlay(corrects)) return fail(conflict('reeds', { code: 'reed-is-said' }));
  const kind = instruments.find(instrumentId)?.kind;
  const checked = checkReedsInPlay(
    said.shares,
    { ...body, kind },
    reeds.record(playerId),
    reeds.atOneHour(body, corrects ?? key),
  );
  if (!checked.ok) {
    const { field, ...refusal } = checked.failure;
    return fail(reedFailure(`reeds.${field}`, refusal));
  }
  const told: ReedsOfPlay = { playerId, playKey: corrects ?? key, ofMinutes, ...said };
  return succeed({ ...play, with: [{ kind: reedPlayFact.kind, key: keyOfReeds(key), body: told, on, atMinute }] });
}

function decide(
  { reeds: said, key, ...played }: Sending<typeof playFact>,
  deciding: Deciding,
  services: Services,
): Outcome<ToWrite<Kept<typeof playFact>>, Failure> {
  const judged = judgedPlay(played, deciding, services);
  if (!judged.ok || said == null) return judged;
  return onReeds(judged.value, { key, corrects: deciding.corrects, said }, services);
}

/** On which reeds a play was said to be when it was logged. */
function reedsSaid(playKey: string, { record }: Services): unknown {
  const told = record.find(keyOfReeds(playKey))?.body;
  return told === undefined ? null : { shares: fieldOf(told, 'shares'), high: fieldOf(told, 'high') };
}

const rows = bodyTable<typeof plays, Kept<typeof playFact>>(plays, {
  misrepeated: misrepeatedPlays,
  toRow: (play) => play,
  fromRow: playFromRow,
});

/** One spell of playing. */
export const playDefinition = defineFact<Services>()(playFact, {
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
  words: ({ body }, { format }) => playWords(body, format),
  breaking: ({ instruments, plays: played, nowMs }) =>
    instruments.all().flatMap(({ id }) => {
      const instrument = instruments.find(id);
      const odd = instrument ? oddPlays(played.newest(id, EVERY).toReversed(), instrument, latestToday(nowMs())) : [];
      return odd.map(({ play, why }) => `play ${play.key} of ${id} on ${play.endedOn}: ${why}`);
    }),
  decide,
  sent: ({ key, body }, told) => ({ ...body, reeds: reedsSaid(key, told) }),
  answer: ({ key, body }) => ({ key, ...body }),
});
