import { hasVisibleText } from '#core/kernel/visible-text.ts';
import { fail, succeed } from '#core/kernel/outcome.ts';
import { profileFact } from '#contract/players.ts';
import { conflict, notFound } from '#server/failure.ts';
import { profiles } from '#server/features/players/players.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

/** What somebody is and does themselves, from now on. Runs planned before keep the plan they were begun with. */
export const profileDefinition = defineFact<Services>()(profileFact, {
  store: bodyTable(profiles, {
    toRow: (profile) => profile,
    fromRow: ({ playerId, name, standing, does }) => ({
      playerId: playerId,
      name,
      standing,
      does,
    }),
  }),
  keeps: ({ belongsTo }) => (belongsTo === null ? null : conflict('targetKey', { code: 'added-like-this' })),
  breaking: ({ players }) =>
    players
      .all()
      .flatMap(({ id, name }) => (hasVisibleText(name) ? [] : [`player ${id} has a name that cannot be seen`])),
  decide: ({ playerId, name, standing, does }, { now }, { players }) => {
    const player = players.find(playerId);
    if (!player) return fail(notFound('playerId', { code: 'no-such-player' }));
    return succeed({ body: { playerId: player.id, name, standing, does }, ...now });
  },
});
