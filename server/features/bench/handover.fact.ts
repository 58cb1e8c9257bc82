import { handoverLines, handoverRefusal, handoverSaid } from '#core/calendar/handover.ts';
import { fail, succeed } from '#core/kernel/outcome.ts';
import { handoverFact } from '#contract/bench.ts';
import { conflict, invalid, noInstrument } from '#server/failure.ts';
import { handovers } from '#server/features/bench/handovers.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

/** An instrument was packed for the bench, or looked at when it was fetched. */
export const handoverDefinition = defineFact<Services>()(handoverFact, {
  store: bodyTable(handovers, {
    toRow: (handover) => handover,
    fromRow: ({ instrumentId, list, lines }) => ({ instrumentId, list, lines: [...lines] }),
  }),
  words: ({ body: { list, lines } }) => handoverSaid(list, lines),
  decide: ({ instrumentId, list, lines }, { now }, { instruments, book }) => {
    const instrument = instruments.find(instrumentId);
    if (!instrument) return fail(noInstrument());
    if (instrument.leftOn !== null) return fail(conflict('instrumentId', { code: 'not-on-shelf' }));
    // What is carried there today may have been packed to be sent.
    const refusal = handoverRefusal(lines, handoverLines(book.packing, list, { ...instrument, isSent: true }));
    if (refusal) {
      const { field, ...said } = refusal;
      return fail(invalid(field, said));
    }
    return succeed({ body: { instrumentId: instrument.id, list, lines }, on: now.on, atMinute: now.atMinute });
  },
});
