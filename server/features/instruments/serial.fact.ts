import { serialWords } from '#core/instruments/instrument-words.ts';
import { fail, succeed } from '#core/kernel/outcome.ts';
import { serialFact } from '#contract/instruments.ts';
import { noInstrument } from '#server/failure.ts';
import { serials } from '#server/features/instruments/instruments.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

/** The number stamped on an instrument; the last word counts. */
export const serialDefinition = defineFact<Services>()(serialFact, {
  store: bodyTable(serials, {
    toRow: (said) => said,
    fromRow: ({ instrumentId, serial }) => ({ instrumentId, serial }),
  }),
  words: ({ body: { serial } }) => serialWords(serial),
  decide: ({ instrumentId, serial }, { now }, { instruments }) => {
    const instrument = instruments.find(instrumentId);
    return instrument ? succeed({ body: { instrumentId: instrument.id, serial }, ...now }) : fail(noInstrument());
  },
});
