import { departureWords } from '#core/instruments/instrument-words.ts';
import { fail, succeed } from '#core/kernel/outcome.ts';
import { departureFact } from '#contract/instruments.ts';
import { conflict, invalid, noInstrument } from '#server/failure.ts';
import { departures } from '#server/features/instruments/instruments.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

/** An instrument leaves the shelf, or comes back to it. Its record stays either way. */
export const departureDefinition = defineFact<Services>()(departureFact, {
  store: bodyTable(departures, {
    toRow: (departure) => departure,
    fromRow: ({ instrumentId, leftOn }) => ({
      instrumentId: instrumentId,
      leftOn,
    }),
  }),
  words: ({ body }, { format }) => departureWords(body.leftOn, format),
  decide: (request, { now }, { instruments, plays }) => {
    const instrument = instruments.find(request.instrumentId);
    if (!instrument) return fail(noInstrument());
    const leftOn = request.leftOn;
    if (leftOn !== null && (leftOn > now.on || leftOn < instrument.acquiredOn))
      return fail(invalid('leftOn', { code: 'left-outside-its-time' }));
    const last = plays.last(instrument.id);
    if (leftOn !== null && last && last.endedOn > leftOn)
      return fail(conflict('leftOn', { code: 'played-after-it-left', on: last.endedOn }));
    return succeed({ body: { instrumentId: instrument.id, leftOn }, on: now.on, atMinute: null });
  },
});
