import { fail, succeed } from '#core/kernel/outcome.ts';
import { wetnessResetFact } from '#contract/care.ts';
import { noInstrument } from '#server/failure.ts';
import { wetnessResets } from '#server/features/care/care.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

/** What was learned before of how wet its player blows it is forgotten; taking the reset back brings it back. */
export const wetnessResetDefinition = defineFact<Services>()(wetnessResetFact, {
  store: bodyTable(wetnessResets, {
    toRow: (reset) => reset,
    fromRow: ({ instrumentId }) => ({ instrumentId: instrumentId }),
  }),
  decide: ({ instrumentId }, { now }, { instruments }) => {
    const instrument = instruments.find(instrumentId);
    if (!instrument) return fail(noInstrument());
    return succeed({ body: { instrumentId: instrument.id }, ...now });
  },
});
