import type { PlayerId } from '#core/instruments/instrument.ts';
import type { PlayerAbilities } from '#core/players/player.ts';

/** Who somebody is and what they do themselves. The latest profile counts. */
export type Player = PlayerAbilities & { readonly id: PlayerId; readonly name: string };
