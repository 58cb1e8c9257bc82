import type { PlayerId } from '#core/instruments/instrument.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { instantOfMs } from '#core/time/instant.ts';
import type { AddPlayerRequest, PlayerView, RevisePlayerRequest } from '#contract/players.ts';
import { conflict, notFound, saysTheSame, type Failure, type Logged } from '#server/failure.ts';
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

/** Changes what a player is and does. Runs planned before keep the plan they were begun with. */
export function revisePlayer(
  { players }: Services,
  id: string,
  request: RevisePlayerRequest,
): Outcome<PlayerView, Failure> {
  const known = players.find(id);
  if (!known) return fail(notFound('id', 'No such player in the record.'));
  players.revise({ ...known, ...request });
  return succeed({ id, ...request });
}
