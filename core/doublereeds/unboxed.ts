/** What a reed is called that somebody brings along and of which nobody knows the box. */
export const UNBOXED_NAME = 'A reed without a box';
