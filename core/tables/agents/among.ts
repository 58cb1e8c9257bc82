import type { Among } from '#core/book/agent.ts';
import { BRASS, WIDE_SAXOPHONES, WOODWIND } from '#core/tables/instruments/kind-groups.ts';

/** The instruments a verdict may be confined to. */
export const WOODWINDS: Among = { words: 'woodwind', kinds: WOODWIND };
export const BRASS_WIND: Among = { words: 'brass instruments', kinds: BRASS };
export const WIDE_SAXES: Among = { words: 'alto, tenor and baritone saxophone', kinds: WIDE_SAXOPHONES };
export const OBOES: Among = { words: 'oboe and cor anglais', kinds: ['oboe', 'cor-anglais'] };
export const BASSOON: Among = { words: 'bassoon', kinds: ['bassoon'] };
export const PIPES: Among = { words: 'bagpipe', kinds: ['highland-pipes'] };
