import type { PlayerId } from '#core/instruments/instrument.ts';
import { ofPlayer } from '#core/record/fact.ts';
import { conflict } from '#server/failure.ts';
import { players } from '#server/features/players/players.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact, type Sent } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

/** Somebody is in the record from now on. */
export const playerFact = defineFact<Services>()<{ readonly id: PlayerId }, Sent>({
  kind: 'player',
  store: bodyTable(players, { toRow: ({ id }) => ({ id }), fromRow: ({ id }) => ({ id: id }) }),
  about: ({ id }) => [ofPlayer(id)],
  keeps: ({ key, body }, { record, instruments }) =>
    record.saysMoreOf(ofPlayer(body.id), key) || instruments.all().some(({ playerId }) => playerId === body.id)
      ? conflict('targetKey', { code: 'player-has-a-record' })
      : null,
});
