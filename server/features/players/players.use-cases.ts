import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { differences } from '#core/record/fact.ts';
import type { ListedPlayer } from '#core/players/profile.ts';
import type { AddPlayerRequest } from '#contract/players.ts';
import { conflict, type Failure, type Logged } from '#server/failure.ts';
import { playerDefinition } from '#server/features/players/player.fact.ts';
import { profileDefinition } from '#server/features/players/profile.fact.ts';
import { touchedBy } from '#server/record/log-fact.ts';
import type { Services } from '#server/services.ts';
import { stampNow } from '#server/wall-clock.ts';

export const listPlayers = ({ players }: Services): ListedPlayer[] => players.all();

const writePlayer = (services: Services, request: AddPlayerRequest): Outcome<{ created: boolean }, Failure> =>
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
        : succeed({ created: false });
    }
    const { id, ...profile } = request;
    const playerId = id;
    const common = { ...stampNow(nowMs()), corrects: null };
    record.append([
      { ...common, key, kind: playerDefinition.kind, belongsTo: null, body: { id: playerId } },
      { ...common, key: profileKey, kind: profileDefinition.kind, belongsTo: key, body: { playerId, ...profile } },
    ]);
    return succeed({ created: true });
  });

/** Adds a player under the client's id; the same request again is the same player. */
export function addPlayer(services: Services, request: AddPlayerRequest): Outcome<Logged<ListedPlayer>, Failure> {
  const written = writePlayer(services, request);
  if (!written.ok) return written;
  const view = { ...request, way: null, minderId: null };
  return succeed({ view, created: written.value.created, touched: touchedBy(services, `player/${request.id}`) });
}
