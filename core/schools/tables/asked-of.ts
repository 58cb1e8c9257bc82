import type { School } from '#core/schools/school.ts';

/** The instruments a question is asked about, by the names the trade uses for them together. */
export const CLARINETS = ['clarinet', 'bass-clarinet'] as const;
export const SAXOPHONES = ['soprano-saxophone', 'alto-saxophone', 'tenor-saxophone', 'baritone-saxophone'] as const;
export const SINGLE_REEDS = [...CLARINETS, ...SAXOPHONES] as const;
export const DOUBLE_REEDS = ['oboe', 'cor-anglais', 'bassoon'] as const;
export const KEYED = [...SINGLE_REEDS, ...DOUBLE_REEDS, 'flute', 'piccolo'] as const;
export const SWABBED = [...KEYED, 'bamboo-flute'] as const;
export const ALWAYS_PISTONS = ['trumpet', 'cornet', 'flugelhorn', 'baritone', 'euphonium', 'sousaphone'] as const;
export const BRASS = [...ALWAYS_PISTONS, 'tuba', 'horn', 'trombone'] as const;
export const IN_WOOD = ['clarinet', 'bass-clarinet', 'oboe', 'cor-anglais', 'piccolo'] as const;

type AskedOf = School['askedOf'];

export const all = (...kinds: AskedOf[number]['kinds']): AskedOf => [{ kinds }];
export const pistons: AskedOf = [{ kinds: ALWAYS_PISTONS }, { kinds: ['tuba'], build: { valves: ['piston'] } }];
/** The other pads than skin: on skin paper is only ever pressed and released. */
export const tougherPads: AskedOf = [{ kinds: KEYED, build: { pads: ['leather', 'cork', 'synthetic'] } }];
export const corked: AskedOf = [{ kinds: KEYED, build: { tenons: ['cork'] } }, { kinds: SAXOPHONES }];

/** A default that depends on nothing. */
export const always = (choice: string, why: string): School['usual'] => ({ cases: [], otherwise: choice, why });
