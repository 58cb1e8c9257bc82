import { PLAYER_ALIAS } from '#core/data/player-alias.ts';
import { object } from 'yup';
import type { PlayerId } from '#core/instruments/instrument.ts';
import { ofPlayer } from '#core/record/fact.ts';
import { playerId } from '#contract/scalars.ts';
import { playerAliases } from '#server/features/players/players.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

/** A player of another record was found to be somebody of this one: what comes from there is theirs. */
export const aliasDefinition = defineFact<Services>()(
  {
    kind: PLAYER_ALIAS,
    about: ({ playerId: id }: { readonly otherId: string; readonly playerId: PlayerId }) => [ofPlayer(id)],
    kept: object({ otherId: playerId().required(), playerId: playerId().required() }).exact().required(),
  },
  {
    store: bodyTable(playerAliases, {
      toRow: (alias) => alias,
      fromRow: ({ otherId, playerId: id }) => ({ otherId, playerId: id }),
    }),
  },
);
