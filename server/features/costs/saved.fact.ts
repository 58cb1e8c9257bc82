import { savedSaid } from '#core/costs/cost-words.ts';
import { fail, succeed } from '#core/kernel/outcome.ts';
import { savedFact } from '#contract/costs.ts';
import { notFound } from '#server/failure.ts';
import { savings } from '#server/features/costs/costs.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact } from '#server/record/define-fact.ts';
import { costRefusal } from '#server/record-currency.ts';
import type { Services } from '#server/services.ts';

/** What a player has put aside so far; the last word counts. */
export const savedDefinition = defineFact<Services>()(savedFact, {
  store: bodyTable(savings, {
    toRow: ({ playerId, amount }) => ({ playerId, amountMinor: amount.minor, currency: amount.currency }),
    fromRow: ({ playerId, amountMinor, currency }) => ({ playerId, amount: { minor: amountMinor, currency } }),
  }),
  words: ({ body: { amount } }, { format }) => savedSaid(amount, format),
  staysBehind: () => true,
  decide: ({ playerId, amount }, { now }, services) => {
    if (!services.players.find(playerId)) return fail(notFound('playerId', { code: 'no-such-player' }));
    const wrong = costRefusal(amount, services, { field: 'amount.currency', without: null });
    return wrong ? fail(wrong) : succeed({ body: { playerId, amount }, ...now });
  },
});
