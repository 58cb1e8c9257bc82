import { fail, succeed } from '#core/kernel/outcome.ts';
import { minderFact } from '#contract/players.ts';
import { invalid, notFound } from '#server/failure.ts';
import { minders } from '#server/features/players/players.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

/** Who looks after a child's or a pupil's instruments with them from now on: they stand on that person's Today too. */
export const minderDefinition = defineFact<Services>()(minderFact, {
  store: bodyTable(minders, {
    toRow: (minded) => minded,
    fromRow: ({ playerId, minderId }) => ({ playerId, minderId }),
  }),
  decide: ({ playerId, minderId }, { now }, { players }) => {
    const player = players.find(playerId);
    if (!player) return fail(notFound('playerId', { code: 'no-such-player' }));
    if (minderId === null) return succeed({ body: { playerId, minderId }, ...now });
    if (minderId === playerId) return fail(invalid('minderId', { code: 'minds-themselves' }));
    if (player.standing === 'grown-up') return fail(invalid('playerId', { code: 'needs-no-minder' }));
    if (!players.find(minderId)) return fail(notFound('minderId', { code: 'no-such-player' }));
    return succeed({ body: { playerId, minderId }, ...now });
  },
});
