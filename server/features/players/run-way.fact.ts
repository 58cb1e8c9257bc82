import type { PlayerId } from '#core/instruments/instrument.ts';
import { fail, succeed } from '#core/kernel/outcome.ts';
import type { RunWay } from '#core/players/run-way.ts';
import { ofPlayer } from '#core/record/fact.ts';
import { playerPaths, runWayRequest, type RunWayRequest } from '#contract/players.ts';
import { notFound } from '#server/failure.ts';
import { runWays } from '#server/features/players/players.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

export type ChosenWay = { readonly playerId: PlayerId; readonly way: RunWay };

/** How somebody wants to go through a run from now on. */
export const runWayFact = defineFact<Services>()<ChosenWay, RunWayRequest>({
  kind: 'run-way',
  store: bodyTable(runWays, {
    toRow: (chosen) => chosen,
    fromRow: ({ playerId, way }) => ({ playerId, way }),
  }),
  about: ({ playerId }) => [ofPlayer(playerId)],
  logged: {
    path: playerPaths.runWays,
    request: runWayRequest,
    decide: ({ playerId, way }, { now }, { players }) => {
      const player = players.find(playerId);
      if (!player) return fail(notFound('playerId', { code: 'no-such-player' }));
      return succeed({ body: { playerId: player.id, way }, ...now });
    },
  },
});
