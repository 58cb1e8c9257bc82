import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { differences } from '#core/record/fact.ts';
import type { ListedPlayer } from '#core/players/profile.ts';
import type { AddPlayerRequest } from '#contract/players.ts';
import { conflict, type Failure, type Logged } from '#server/failure.ts';
import { playerFact } from '#server/features/players/player.fact.ts';
import { profileFact } from '#server/features/players/profile.fact.ts';
import type { Services } from '#server/services.ts';
import { stampNow } from '#server/wall-clock.ts';

export const listPlayers = ({ players }: Services): ListedPlayer[] => players.all();

/** Adds a player under the client's id; the same request again is the same player. */
export const addPlayer = (services: Services, request: AddPlayerRequest): Outcome<Logged<ListedPlayer>, Failure> =>
  services.atOnce(() => {
    const { record, nowMs } = services;
    const [key, profileKey] = [`player/${request.id}`, `profile/${request.id}`];
    const known = record.find(profileKey);
    if (known) {
      const { id: _id, ...profile } = request;
      const differing = differences(profile, known.body);
      if (record.withdrawalOf(key)) return fail(conflict('id', { code: 'player-taken-back' }));
      return differing.length > 0
        ? fail(conflict('id', { code: 'id-of-another-player', fields: differing }))
        : succeed({ view: { ...request, way: null, minderId: null }, created: false });
    }
    const { id, ...profile } = request;
    const playerId = id;
    const common = { ...stampNow(nowMs()), corrects: null };
    record.append([
      { ...common, key, kind: playerFact.kind, belongsTo: null, body: { id: playerId } },
      { ...common, key: profileKey, kind: profileFact.kind, belongsTo: key, body: { playerId, ...profile } },
    ]);
    return succeed({ view: { ...request, way: null, minderId: null }, created: true });
  });
