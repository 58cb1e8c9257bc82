/** Who did a piece of care. */
export const DONE_BY = ['player', 'bench'] as const;
export type DoneBy = (typeof DONE_BY)[number];
