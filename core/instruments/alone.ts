import { isOneOf } from '#core/kernel/typed.ts';

/**
 * Parts that are played by themselves: a beginner's mouthpiece and neck, a head joint, a reed that is crowed. Ids are
 * stable: never renamed or reused.
 */
export const ALONE_IDS = [
  'mouthpiece',
  'mouthpiece-and-barrel',
  'mouthpiece-and-neck',
  'reed',
  'reed-and-bocal',
  'head-joint',
] as const;
export type AloneId = (typeof ALONE_IDS)[number];

export const isAloneId = (text: string): text is AloneId => isOneOf(ALONE_IDS, text);

/** Parts in the trade's words, which their ids are: "mouthpiece and barrel". */
export const aloneWords = (alone: AloneId): string => alone.replaceAll('-and-', ' and ').replaceAll('-', ' ');
