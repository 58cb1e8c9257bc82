import type { PlayerId } from '#core/instruments/instrument.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { instantOfMs } from '#core/time/instant.ts';
import type { AddPlayerRequest, PlayerView } from '#contract/players.ts';
import { conflict, saysTheSame, type Failure, type Logged } from '#server/failure.ts';
import type { Services } from '#server/repositories.ts';

export const listPlayers = ({ players }: Services): PlayerView[] =>
  players.all().map(({ id, name, standing, does }) => ({ id, name, standing, does: [...does] }));

/** Adds a player under the client's id; the same request again is the same player. */
export function addPlayer(
  { players, nowMs }: Services,
  request: AddPlayerRequest,
): Outcome<Logged<PlayerView>, Failure> {
  const known = players.find(request.id);
  if (known && !saysTheSame(request, known)) return fail(conflict('id', 'This id belongs to another player.'));
  if (!known) players.add({ ...request, id: request.id as PlayerId }, instantOfMs(nowMs()));
  return succeed({ view: request, created: !known });
}
