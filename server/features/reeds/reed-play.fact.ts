import type { PlayerId } from '#core/instruments/instrument.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { ofPlayer } from '#core/record/fact.ts';
import type { HighShare, ReedId } from '#core/reeds/reed.ts';
import type { Play } from '#core/plays/play.ts';
import { reedPaths, reedPlayRequest, type ReedPlayRequest } from '#contract/reeds.ts';
import { conflict, invalid, notFound, type Failure } from '#server/failure.ts';
import { aliveOn, boxOfReed } from '#server/features/reeds/reed-told.ts';
import { reedPlays } from '#server/features/reeds/reeds.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact, type Deciding, type ToWrite } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

export type ReedPlayBody = {
  readonly playerId: PlayerId;
  readonly playKey: string;
  readonly ofMinutes: number;
  readonly high: HighShare;
  readonly shares: readonly { readonly reedId: ReedId; readonly minutes: number }[];
};

/** Every reed is one of this player and kind, was there and alive on the day, and together they fit the play. */
function fits(play: Play, { shares }: ReedPlayRequest, { reeds, instruments }: Services): Failure | null {
  const record = reeds.record(play.playerId);
  const kind = instruments.find(play.instrumentId)?.kind;
  for (const [index, { reedId }] of shares.entries()) {
    const field = `shares[${index}].reedId`;
    const box = boxOfReed(reedId, field, record);
    if (!box.ok) return box.failure;
    if (box.value.kind !== kind) return invalid(field, { code: 'reed-of-another-kind' });
    const alive = aliveOn(reedId, play.endedOn, box.value, record);
    if (!alive.ok) return { ...alive.failure, field };
    if (shares.findIndex((one) => one.reedId === reedId) !== index) return invalid(field, { code: 'reed-named-twice' });
  }
  const all = shares.reduce((sum, { minutes }) => sum + minutes, 0);
  return all > play.minutes
    ? invalid('shares', { code: 'more-than-the-play', reeds: all, minutes: play.minutes })
    : null;
}

function decide(
  request: ReedPlayRequest,
  { corrects }: Deciding,
  services: Services,
): Outcome<ToWrite<ReedPlayBody>, Failure> {
  const play = services.plays.standing(request.playKey);
  if (!play) return fail(notFound('playKey', { code: 'no-such-play' }));
  if (corrects === null && services.reeds.ofPlay(play.key)) return fail(conflict('playKey', { code: 'reed-is-said' }));
  const fault = fits(play, request, services);
  if (fault) return fail(fault);
  const { high, shares } = request;
  const body = { playerId: play.playerId, playKey: play.key, ofMinutes: play.minutes, high, shares };
  return succeed({ body, on: play.endedOn, atMinute: play.endedAtMinute, belongsTo: play.key });
}

/** Which reeds a play was on; it stands or falls with the play and follows its minutes. */
export const reedPlayFact = defineFact<Services>()<ReedPlayBody, ReedPlayRequest>({
  kind: 'reed-play',
  store: bodyTable(reedPlays, { toRow: (body) => body, fromRow: ({ factId: _factId, ...body }) => body }),
  about: ({ playerId }) => [ofPlayer(playerId)],
  logged: { path: reedPaths.plays, request: reedPlayRequest, correctable: true, decide },
});
