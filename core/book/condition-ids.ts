/** Circumstances that change what is due for a while. Ids are stable: never renamed or reused. */
export const CONDITION_IDS = ['ill', 'new-cork', 'new-wood', 'dry-air', 'wet-tour', 'long-rest', 'in-parts'] as const;
export type ConditionId = (typeof CONDITION_IDS)[number];
