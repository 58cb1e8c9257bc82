import { keptPlayer } from '#contract/players.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import { ofPlayer } from '#core/record/fact.ts';
import { conflict } from '#server/failure.ts';
import { players } from '#server/features/players/players.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

/** Somebody is in the record from now on. */
export const playerDefinition = defineFact<Services>()(
  { kind: 'player', about: ({ id }: { readonly id: PlayerId }) => [ofPlayer(id)], kept: keptPlayer },
  {
    store: bodyTable(players, { toRow: ({ id }) => ({ id }), fromRow: ({ id }) => ({ id: id }) }),
    keeps: ({ key, body }, { record, instruments }) =>
      record.saysMoreOf(ofPlayer(body.id), key) || instruments.all().some(({ playerId }) => playerId === body.id)
        ? conflict('targetKey', { code: 'player-has-a-record' })
        : null,
  },
);
