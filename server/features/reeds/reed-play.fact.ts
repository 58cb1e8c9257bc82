import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { checkReedsInPlay } from '#core/reeds/reeds-in-play.ts';
import { reedPlayFact } from '#contract/reeds.ts';
import { conflict, notFound, type Failure } from '#server/failure.ts';
import { reedFailure } from '#server/reed-failure.ts';
import { reedPlays } from '#server/features/reeds/reeds.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact, type Deciding, type ToWrite } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';
import type { ReedsOfPlay } from '#core/reeds/reed.ts';
import type { Sending } from '#contract/fact.ts';

function decide(
  request: Sending<typeof reedPlayFact>,
  { corrects }: Deciding,
  services: Services,
): Outcome<ToWrite<ReedsOfPlay>, Failure> {
  const play = services.plays.standing(request.playKey);
  if (!play) return fail(notFound('playKey', { code: 'no-such-play' }));
  if (corrects === null && services.reeds.ofPlay(play.key)) return fail(conflict('playKey', { code: 'reed-is-said' }));
  const { high, shares } = request;
  const kind = services.instruments.find(play.instrumentId)?.kind;
  const checked = checkReedsInPlay(
    shares,
    { ...play, kind },
    services.reeds.record(play.playerId),
    services.reeds.atOneHour(play, play.key),
  );
  if (!checked.ok) {
    const { field, ...refusal } = checked.failure;
    return fail(reedFailure(field, refusal));
  }
  const body = { playerId: play.playerId, playKey: play.key, ofMinutes: play.minutes, high, shares };
  return succeed({ body, on: play.endedOn, atMinute: play.endedAtMinute, belongsTo: play.key });
}

/** Which reeds a play was on; it stands or falls with the play and follows its minutes. */
export const reedPlayDefinition = defineFact<Services>()(reedPlayFact, {
  store: bodyTable(reedPlays, { toRow: (body) => body, fromRow: ({ factId: _factId, ...body }) => body }),
  decide,
});
