/** Said of a plan that time ended before its work was done. */
export const RAN_OUT = ' The computer was too busy to finish: planned again, it may come out better.';
