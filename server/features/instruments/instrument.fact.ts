import { keptArrival } from '#contract/instruments.ts';
import type { Instrument } from '#core/instruments/instrument.ts';
import { ofInstrument } from '#core/record/fact.ts';
import { conflict } from '#server/failure.ts';
import { instruments } from '#server/features/instruments/instruments.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

export type Arrival = Omit<Instrument, 'build' | 'leftOn'>;

/** An instrument came. How it is built, and whether it has left again, are facts of their own. */
export const instrumentDefinition = defineFact<Services>()(
  { kind: 'instrument', about: ({ id }: Arrival) => [ofInstrument(id)], kept: keptArrival },
  {
    store: bodyTable(instruments, {
      toRow: (arrival) => arrival,
      fromRow: ({ id, name, kind, playerId, acquiredOn, cameNew }) => ({
        id: id,
        name,
        kind,
        playerId: playerId,
        acquiredOn,
        cameNew,
      }),
    }),
    keeps: ({ key, body }, { record }) =>
      record.saysMoreOf(ofInstrument(body.id), key) ? conflict('targetKey', { code: 'has-a-record' }) : null,
  },
);
