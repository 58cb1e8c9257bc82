import { billRefusal } from '#core/costs/bill.ts';
import { billSaid } from '#core/costs/cost-words.ts';
import { fail, succeed } from '#core/kernel/outcome.ts';
import { billFact } from '#contract/costs.ts';
import { invalid, noInstrument } from '#server/failure.ts';
import { bills } from '#server/features/costs/costs.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact } from '#server/record/define-fact.ts';
import { costRefusal } from '#server/record-currency.ts';
import type { Services } from '#server/services.ts';

/** What was asked or paid for an instrument. */
export const billDefinition = defineFact<Services>()(billFact, {
  store: bodyTable(bills, {
    toRow: ({ cost, ...bill }) => ({ ...bill, costMinor: cost.minor, currency: cost.currency }),
    fromRow: ({ factId: _factId, costMinor, currency, works, ...bill }) => ({
      ...bill,
      works: [...works],
      cost: { minor: costMinor, currency },
    }),
  }),
  words: ({ body }, { book, format }) => billSaid(body, book, format),
  decide: ({ instrumentId, sort, works, what, cost, saidOn }, { now, corrects }, services) => {
    const instrument = services.instruments.find(instrumentId);
    if (!instrument) return fail(noInstrument());
    const refusal = billRefusal({ works, what, on: saidOn }, now.on);
    if (refusal) {
      const { field, ...said } = refusal;
      return fail(invalid(field === 'on' ? 'saidOn' : field, said));
    }
    const wrong = costRefusal(cost, services, { field: 'cost.currency', without: corrects });
    if (wrong) return fail(wrong);
    const body = { instrumentId: instrument.id, sort, works: [...new Set(works)], what, cost, saidOn };
    return succeed({ body, on: saidOn, atMinute: null });
  },
});
