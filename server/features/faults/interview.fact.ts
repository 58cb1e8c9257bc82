import { bookSign, faultsFor, signHere } from '#core/faults/faults-for.ts';
import { interviewSaid } from '#core/faults/fault-words.ts';
import { fail, succeed } from '#core/kernel/outcome.ts';
import { interviewFact } from '#contract/faults.ts';
import { conflict, invalid, noInstrument } from '#server/failure.ts';
import { interviews } from '#server/features/faults/faults.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

/** Something is wrong: what was noticed, from which the questions go on. */
export const interviewDefinition = defineFact<Services>()(interviewFact, {
  store: bodyTable(interviews, {
    toRow: (begun) => begun,
    fromRow: ({ instrumentId, noticed }) => ({ instrumentId, noticed }),
  }),
  words: ({ body }, { book }) => interviewSaid(body.noticed.map((id) => bookSign(book, id)?.words ?? id)),
  decide: ({ instrumentId, noticed }, { now }, { instruments, book }) => {
    const instrument = instruments.find(instrumentId);
    if (!instrument) return fail(noInstrument());
    if (instrument.leftOn !== null) return fail(conflict('instrumentId', { code: 'not-on-shelf' }));
    const here = faultsFor(book, instrument.kind, instrument.build);
    if (noticed.some((id) => signHere(here, id) === undefined))
      return fail(invalid('noticed', { code: 'no-such-sign' }));
    return succeed({ body: { instrumentId: instrument.id, noticed: [...new Set(noticed)] }, ...now });
  },
});
