/** The pages of the practice book. A kind's practice is the sum of its pages, common ones first. */
const PAGE_IDS = [
  'wind',
  'on-the-way',
  'swab',
  'keyed',
  'tenons',
  'wooden-bore',
  'single-reed',
  'double-reed',
  'clarinet',
  'bass-clarinet',
  'saxophone',
  'baritone-saxophone',
  'oboe',
  'cor-anglais',
  'bassoon',
  'flute',
  'piccolo',
  'bamboo-flute',
  'recorder',
  'highland-pipes',
  'brass',
  'piston-brass',
  'low-brass',
  'tuba',
  'rotary-brass',
  'rotary-tuba',
  'sousaphone',
  'horn',
  'trombone',
] as const;
export type PageId = (typeof PAGE_IDS)[number];

/** `page/words`. Ids stand in players' histories: once shipped they are never renamed or reused. */
export type CareItemId = `${PageId}/${string}`;
export type StepId = `${PageId}/${string}`;

/**
 * What stands cased damp, packed up on the way, and is to be laid out: found in its case as it was put there, so nothing
 * else is done in the same run.
 */
export const CASED_DAMP: CareItemId = 'on-the-way/cased-damp';

/** The look over every instrument begins its first note with: before anything is soaked, oiled or taken apart for it. */
export const LOOK_OVER: CareItemId = 'wind/look-over';

/** Has it the shape of a step's id? Whether the book knows it, the book says. */
export const isStepId = (text: string): text is StepId => /^[a-z-]+\/.+$/.test(text);
