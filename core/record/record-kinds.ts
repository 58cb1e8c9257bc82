/** What stands in an instrument's record and can be taken back. */
export const RECORD_KINDS = ['play', 'run', 'care', 'sign', 'decision', 'school', 'condition'] as const;
export type RecordKind = (typeof RECORD_KINDS)[number];
