import { ROOMS_FELT } from '#core/air/room.ts';
import { FORMAT } from '#web/clock/format.ts';

/** How a room felt; what a correction finds already said stands beside the three. */
export type Room = 'usual' | keyof typeof ROOMS_FELT;
export const ROOMS: readonly { readonly value: Room; readonly words: string }[] = [
  { value: 'cold', words: `Cold, ${FORMAT.celsius(ROOMS_FELT.cold)}` },
  { value: 'usual', words: 'As usual' },
  { value: 'hot', words: `Hot, ${FORMAT.celsius(ROOMS_FELT.hot)}` },
];

/** The room as it is logged, °C; null where nobody says more than "as usual". */
export const celsiusOf = (room: Room): number | null => (room === 'usual' ? null : ROOMS_FELT[room]);
