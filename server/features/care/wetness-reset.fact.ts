import type { InstrumentId } from '#core/instruments/instrument.ts';
import { fail, succeed } from '#core/kernel/outcome.ts';
import { ofInstrument } from '#core/record/fact.ts';
import { carePaths, resetWetnessRequest, type ResetWetnessRequest } from '#contract/care.ts';
import { noInstrument } from '#server/failure.ts';
import { wetnessResets } from '#server/features/care/care.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

/** What was learned before of how wet its player blows it is forgotten; taking the reset back brings it back. */
export const wetnessResetFact = defineFact<Services>()<{ readonly instrumentId: InstrumentId }, ResetWetnessRequest>({
  kind: 'wetness-reset',
  store: bodyTable(wetnessResets, {
    toRow: (reset) => reset,
    fromRow: ({ instrumentId }) => ({ instrumentId: instrumentId }),
  }),
  about: ({ instrumentId }) => [ofInstrument(instrumentId)],
  logged: {
    path: carePaths.wetnessResets,
    request: resetWetnessRequest,
    decide: ({ instrumentId }, { now }, { instruments }) => {
      const instrument = instruments.find(instrumentId);
      if (!instrument) return fail(noInstrument());
      return succeed({ body: { instrumentId: instrument.id }, ...now });
    },
  },
});
