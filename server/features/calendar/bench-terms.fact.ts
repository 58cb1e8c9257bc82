import { counted } from '#core/explain/format.ts';
import { fail, succeed } from '#core/kernel/outcome.ts';
import { benchTermsFact } from '#contract/bench.ts';
import { invalid, notFound } from '#server/failure.ts';
import { benchTerms } from '#server/features/calendar/calendar.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact } from '#server/record/define-fact.ts';
import { isRegion } from '#server/public-holidays.ts';
import type { Services } from '#server/services.ts';

/** The bench a player goes to; the last word counts. */
export const benchTermsDefinition = defineFact<Services>()(benchTermsFact, {
  store: bodyTable(benchTerms, {
    toRow: ({ playerId, region = null, noShippingMonths, ...terms }) => ({
      playerId,
      // What is empty is not kept: so it reads as what was written before it was asked.
      terms: { ...terms, region, ...(noShippingMonths && noShippingMonths.length > 0 ? { noShippingMonths } : {}) },
    }),
    fromRow: ({ playerId, terms: { noShippingMonths, ...terms } }) => ({
      playerId,
      ...terms,
      ...(noShippingMonths && { noShippingMonths: [...noShippingMonths] }),
    }),
  }),
  words: ({ body: { name, workingDays } }) =>
    `The bench: ${name ?? 'no name'}, about ${counted(workingDays, 'working day')}.`,
  decide: ({ key: _key, now: _now, corrects: _corrects, region = null, ...terms }, { now }, { players }) => {
    if (!players.find(terms.playerId)) return fail(notFound('playerId', { code: 'no-such-player' }));
    if (region !== null && !isRegion(region)) return fail(invalid('region', { code: 'no-such-region' }));
    return succeed({ body: { ...terms, region }, ...now });
  },
});
