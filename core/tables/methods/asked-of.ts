import type { Method } from '#core/book/method.ts';
import { ALWAYS_PISTONS, KEYED, SAXOPHONES, WIDE_SAXOPHONES } from '#core/tables/instruments/kind-groups.ts';

type AskedOf = Method['askedOf'];

export const all = (...kinds: AskedOf[number]['kinds']): AskedOf => [{ kinds }];
export const pistons: AskedOf = [{ kinds: ALWAYS_PISTONS }, { kinds: ['tuba'], build: { valves: ['piston'] } }];
/** The other pads than skin: on skin paper is only ever pressed and released. */
export const tougherPads: AskedOf = [{ kinds: KEYED, build: { pads: ['leather', 'cork', 'synthetic'] } }];
export const corked: AskedOf = [{ kinds: [...KEYED, 'recorder'], build: { tenons: ['cork'] } }, { kinds: SAXOPHONES }];

/** A soprano in one piece has no neck to take off. */
export const neckComesOff: AskedOf = [
  { kinds: WIDE_SAXOPHONES },
  { kinds: ['soprano-saxophone'], build: { pieces: ['two-piece'] } },
];

/** A default that depends on nothing. */
export const always = (choice: string, why: string): Method['usual'] => ({ cases: [], otherwise: choice, why });
