import { inspectionRefusal } from '#core/inspections/inspection.ts';
import { inspectionSaid } from '#core/inspections/inspection-words.ts';
import { measuresFor } from '#core/inspections/measures-for.ts';
import { fail, succeed } from '#core/kernel/outcome.ts';
import { inspectionFact } from '#contract/inspections.ts';
import { conflict, invalid, noInstrument } from '#server/failure.ts';
import { inspections } from '#server/features/inspections/inspections.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

/** An instrument was looked over with numbers. */
export const inspectionDefinition = defineFact<Services>()(inspectionFact, {
  store: bodyTable(inspections, {
    toRow: (inspection) => inspection,
    fromRow: ({ instrumentId, readOn, by, readings }) => ({ instrumentId, readOn, by, readings: [...readings] }),
  }),
  words: ({ body: { readings, by } }) => inspectionSaid(readings.length, by),
  decide: ({ instrumentId, readOn, by, readings }, { now }, { instruments, players, book }) => {
    const instrument = instruments.find(instrumentId);
    const player = instrument && players.find(instrument.playerId);
    if (!instrument || !player) return fail(noInstrument());
    if (instrument.leftOn !== null) return fail(conflict('instrumentId', { code: 'not-on-shelf' }));
    const here = measuresFor(book, instrument.kind, instrument.build);
    const refusal = inspectionRefusal({ on: readOn, by, readings }, here, {
      today: now.on,
      cameOn: instrument.acquiredOn,
      standing: player.standing,
    });
    if (refusal) {
      const { field, ...said } = refusal;
      return fail(invalid(field === 'on' ? 'readOn' : field, said));
    }
    const atMinute = readOn === now.on ? now.atMinute : null;
    return succeed({ body: { instrumentId: instrument.id, readOn, by, readings }, on: readOn, atMinute });
  },
});
