import { fail, succeed } from '#core/kernel/outcome.ts';
import { runWayFact } from '#contract/players.ts';
import { notFound } from '#server/failure.ts';
import { runWays } from '#server/features/players/players.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

/** How somebody wants to go through a run from now on. */
export const runWayDefinition = defineFact<Services>()(runWayFact, {
  store: bodyTable(runWays, {
    toRow: (chosen) => chosen,
    fromRow: ({ playerId, way }) => ({ playerId, way }),
  }),
  decide: ({ playerId, way }, { now }, { players }) => {
    const player = players.find(playerId);
    if (!player) return fail(notFound('playerId', { code: 'no-such-player' }));
    return succeed({ body: { playerId: player.id, way }, ...now });
  },
});
