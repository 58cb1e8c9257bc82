/** Kinds together, by the names the trade uses for them. */
const CLARINETS = ['clarinet', 'bass-clarinet'] as const;
export const SAXOPHONES = ['soprano-saxophone', 'alto-saxophone', 'tenor-saxophone', 'baritone-saxophone'] as const;
/** Saxophones big enough for a swab with a core through their body. */
export const WIDE_SAXOPHONES = ['alto-saxophone', 'tenor-saxophone', 'baritone-saxophone'] as const;
export const SINGLE_REEDS = [...CLARINETS, ...SAXOPHONES] as const;
export const DOUBLE_REEDS = ['oboe', 'cor-anglais', 'bassoon'] as const;
export const KEYED = [...SINGLE_REEDS, ...DOUBLE_REEDS, 'flute', 'piccolo'] as const;
export const WOODWIND = [...KEYED, 'bamboo-flute', 'recorder', 'highland-pipes'] as const;
export const SWABBED = [...KEYED, 'bamboo-flute', 'recorder'] as const;
export const ALWAYS_PISTONS = ['trumpet', 'cornet', 'flugelhorn', 'baritone', 'euphonium', 'sousaphone'] as const;
export const BRASS = [...ALWAYS_PISTONS, 'tuba', 'horn', 'trombone'] as const;
export const IN_WOOD = ['clarinet', 'bass-clarinet', 'oboe', 'cor-anglais', 'piccolo', 'recorder'] as const;
/** Kinds of which parts are played by themselves, however they are built. */
export const PLAYED_IN_PARTS = [
  ...CLARINETS,
  ...WIDE_SAXOPHONES,
  ...DOUBLE_REEDS,
  'flute',
  'piccolo',
  'recorder',
  ...BRASS,
] as const;
