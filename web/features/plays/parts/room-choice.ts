import { ROOMS_FELT } from '#core/air/room.ts';

/** How a room felt; what a correction finds already said stands beside the three. */
export type Room = 'usual' | keyof typeof ROOMS_FELT;
export const ROOMS: readonly { readonly value: Room; readonly words: string }[] = [
  { value: 'cold', words: `Cold, ${ROOMS_FELT.cold} °C` },
  { value: 'usual', words: 'As usual' },
  { value: 'hot', words: `Hot, ${ROOMS_FELT.hot} °C` },
];

/** The room as it is logged, °C; null where nobody says more than "as usual". */
export const celsiusOf = (room: Room): number | null => (room === 'usual' ? null : ROOMS_FELT[room]);
