import { mishapSaid } from '#core/faults/fault-words.ts';
import { boreStrip, partName } from '#core/instruments/bore-strip.ts';
import { fail, succeed } from '#core/kernel/outcome.ts';
import { mishapFact } from '#contract/faults.ts';
import { conflict, invalid, noInstrument } from '#server/failure.ts';
import { mishaps } from '#server/features/faults/faults.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

/** Something happened to an instrument. */
export const mishapDefinition = defineFact<Services>()(mishapFact, {
  store: bodyTable(mishaps, {
    toRow: (mishap) => mishap,
    fromRow: ({ instrumentId, mishap, part, happenedOn }) => ({ instrumentId, mishap, part, happenedOn }),
  }),
  words: ({ body }, { instruments, book }) => {
    const kind = instruments.find(body.instrumentId)?.kind;
    const where = body.part !== null && kind ? `: ${partName(book.kinds[kind], body.part).toLowerCase()}` : '';
    return `${mishapSaid(body.mishap)}${where}`;
  },
  decide: ({ instrumentId, mishap, part, happenedOn }, { now }, { instruments, book }) => {
    const instrument = instruments.find(instrumentId);
    if (!instrument) return fail(noInstrument());
    if (instrument.leftOn !== null) return fail(conflict('instrumentId', { code: 'not-on-shelf' }));
    if (happenedOn > now.on) return fail(invalid('happenedOn', { code: 'mishap-in-future' }));
    if (happenedOn < instrument.acquiredOn) return fail(invalid('happenedOn', { code: 'mishap-before-it-came' }));
    const kind = book.kinds[instrument.kind];
    const parts = [...boreStrip(kind, instrument.build, 0), ...kind.loose];
    if (part !== null && !parts.some(({ id }) => id === part)) return fail(invalid('part', { code: 'no-such-part' }));
    const atMinute = happenedOn === now.on ? now.atMinute : null;
    return succeed({ body: { instrumentId: instrument.id, mishap, part, happenedOn }, on: happenedOn, atMinute });
  },
});
