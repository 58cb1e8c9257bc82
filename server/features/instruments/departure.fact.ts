import type { InstrumentId } from '#core/instruments/instrument.ts';
import { departureWords } from '#core/instruments/instrument-words.ts';
import { fail, succeed } from '#core/kernel/outcome.ts';
import { ofInstrument } from '#core/record/fact.ts';
import { localDate, type LocalDate } from '#core/time/local-date.ts';
import { departureRequest, instrumentPaths, type DepartureRequest } from '#contract/instruments.ts';
import { conflict, invalid, notFound } from '#server/failure.ts';
import { departures } from '#server/features/instruments/instruments.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

export type Departure = { readonly instrumentId: InstrumentId; readonly leftOn: LocalDate | null };

/** An instrument leaves the shelf, or comes back to it. Its record stays either way. */
export const departureFact = defineFact<Services>()<Departure, DepartureRequest>({
  kind: 'departure',
  store: bodyTable(departures, {
    toRow: (departure) => departure,
    fromRow: ({ instrumentId, leftOn }) => ({
      instrumentId: instrumentId as InstrumentId,
      leftOn: leftOn === null ? null : localDate(leftOn),
    }),
  }),
  about: ({ instrumentId }) => [ofInstrument(instrumentId)],
  words: ({ body }, { format }) => departureWords(body.leftOn, format),
  logged: {
    path: instrumentPaths.departures,
    request: departureRequest,
    decide: (request, { now }, { instruments, plays, format }) => {
      const instrument = instruments.find(request.instrumentId);
      if (!instrument) return fail(notFound('instrumentId', 'No such instrument in the record.'));
      const leftOn = request.leftOn === null ? null : localDate(request.leftOn);
      if (leftOn !== null && (leftOn > now.on || leftOn < instrument.acquiredOn))
        return fail(invalid('leftOn', 'It left between the day it came and today.'));
      const last = plays.last(instrument.id);
      if (leftOn !== null && last && last.endedOn > leftOn)
        return fail(conflict('leftOn', `It was played after that, last on ${format.date(last.endedOn)}.`));
      return succeed({ body: { instrumentId: instrument.id, leftOn }, on: now.on, atMinute: null });
    },
  },
});
