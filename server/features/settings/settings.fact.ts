import { isCurrency } from '#core/money/money.ts';
import { fail, succeed } from '#core/kernel/outcome.ts';
import { settingsWords } from '#core/settings/settings-words.ts';
import { settingsFact } from '#contract/settings.ts';
import { conflict, invalid, notFound } from '#server/failure.ts';
import { playerSettings } from '#server/features/settings/settings.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact } from '#server/record/define-fact.ts';
import { pricedIn } from '#server/record-currency.ts';
import type { Services } from '#server/services.ts';

/** Somebody has settled something once for all; the last word counts. */
export const settingsDefinition = defineFact<Services>()(settingsFact, {
  store: bodyTable(playerSettings, {
    toRow: (settled) => settled,
    // What was settled before a wish for reeds could be said says nothing of it.
    fromRow: ({ factId: _factId, reedWish, ...settled }) => ({
      ...settled,
      ...(reedWish === null ? {} : { reedWish }),
    }),
  }),
  words: ({ body }, { format }) => settingsWords(body, format),
  staysBehind: () => true,
  decide: ({ playerId, roomCelsius, tuningHertz, currency, reedWish = null }, { now }, services) => {
    if (!services.players.find(playerId)) return fail(notFound('playerId', { code: 'no-such-player' }));
    if (currency !== null) {
      if (!isCurrency(currency)) return fail(invalid('currency', { code: 'no-currency', currency }));
      const priced = pricedIn(services);
      if (priced !== null && priced !== currency)
        return fail(conflict('currency', { code: 'another-currency', currency: priced }));
    }
    return succeed({
      body: { playerId, roomCelsius, tuningHertz, currency, ...(reedWish === null ? {} : { reedWish }) },
      ...now,
    });
  },
});
