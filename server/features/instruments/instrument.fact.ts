import type { Instrument, InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import { ofInstrument } from '#core/record/fact.ts';
import { localDate } from '#core/time/local-date.ts';
import { conflict } from '#server/failure.ts';
import { instruments } from '#server/features/instruments/instruments.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact, type Sent } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

export type Arrival = Omit<Instrument, 'build' | 'leftOn'>;

/** An instrument came. How it is built, and whether it has left again, are facts of their own. */
export const instrumentFact = defineFact<Services>()<Arrival, Sent>({
  kind: 'instrument',
  store: bodyTable(instruments, {
    toRow: (arrival) => arrival,
    fromRow: ({ id, name, kind, playerId, acquiredOn, cameNew }) => ({
      id: id as InstrumentId,
      name,
      kind,
      playerId: playerId as PlayerId,
      acquiredOn: localDate(acquiredOn),
      cameNew,
    }),
  }),
  about: ({ id }) => [ofInstrument(id)],
  keeps: ({ key, body }, { record }) =>
    record.saysMoreOf(ofInstrument(body.id), key)
      ? conflict('targetKey', 'It has a record of its own. Let it leave the shelf instead.')
      : null,
});
