import type { PlayerId } from '#core/instruments/instrument.ts';
import type { PlayerAbilities, Skill } from '#core/players/player.ts';
import type { PlayerRow } from '#server/features/players/players.table.ts';

export type Player = PlayerAbilities & { readonly id: PlayerId; readonly name: string };

/** The only place where a row becomes a player. */
export const playerFromRow = (row: PlayerRow): Player => ({
  id: row.id as PlayerId,
  name: row.name,
  standing: row.standing,
  does: JSON.parse(row.does) as Skill[],
});

export const rowFromPlayer = (player: Player, addedAt: string): PlayerRow => ({
  id: player.id,
  name: player.name,
  standing: player.standing,
  does: JSON.stringify(player.does),
  addedAt,
});
