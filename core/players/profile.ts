import type { RunWay } from '#core/players/run-way.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import type { PlayerAbilities } from '#core/players/player.ts';

/** Who somebody is and what they do themselves. The latest profile counts. */
export type Player = PlayerAbilities & { readonly id: PlayerId; readonly name: string };

/** Somebody as the record has them, with what has been said about them since. */
export type ListedPlayer = Player & {
  /** How they have chosen to go through a run; null where they have not. */
  readonly way: RunWay | null;
  /** Who looks after their instruments with them: a child's or a pupil's. */
  readonly minderId: PlayerId | null;
};
