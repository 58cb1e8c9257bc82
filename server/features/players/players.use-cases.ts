import type { PlayerId } from '#core/instruments/instrument.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { differences } from '#core/record/fact.ts';
import type { AddPlayerRequest, PlayerView } from '#contract/players.ts';
import { conflict, type Failure, type Logged } from '#server/failure.ts';
import { playerFact } from '#server/features/players/player.fact.ts';
import { profileFact } from '#server/features/players/profile.fact.ts';
import type { Services } from '#server/services.ts';
import { stampNow } from '#server/wall-clock.ts';

export const listPlayers = ({ players }: Services): PlayerView[] =>
  players.all().map(({ id, name, standing, does }) => ({ id, name, standing, does: [...does] }));

/** Adds a player under the client's id; the same request again is the same player. */
export const addPlayer = (services: Services, request: AddPlayerRequest): Outcome<Logged<PlayerView>, Failure> =>
  services.atOnce(() => {
    const { record, nowMs } = services;
    const [key, profileKey] = [`player/${request.id}`, `profile/${request.id}`];
    const known = record.find(profileKey);
    if (known) {
      const { id: _id, ...profile } = request;
      const differing = differences(profile, known.body as object as Record<string, unknown>);
      if (record.withdrawalOf(key))
        return fail(conflict('id', 'This player was taken back. Add them under another id.'));
      return differing.length > 0
        ? fail(conflict('id', `This id belongs to another player: ${differing.join(', ')} differ.`))
        : succeed({ view: request, created: false });
    }
    const { id, ...profile } = request;
    const playerId = id as PlayerId;
    const common = { ...stampNow(nowMs()), corrects: null };
    record.append([
      { ...common, key, kind: playerFact.kind, belongsTo: null, body: { id: playerId } },
      { ...common, key: profileKey, kind: profileFact.kind, belongsTo: key, body: { playerId, ...profile } },
    ]);
    return succeed({ view: request, created: true });
  });
