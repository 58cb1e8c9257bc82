/** Cautions several steps carry, worded once. Common practice, after the practice book. */
export const IF_IT_BINDS =
  'If it binds, stop and ease it back the way it came. If it stays stuck, it goes to the bench.';
export const NEVER_YANK = 'Never yank. A swinging weight chips the tip, and a chipped tip ends the mouthpiece.';
export const NO_FULL_TURN = 'Never turn it right round. That drives keys under their neighbours.';
export const NO_STEM_SPIN = 'Never spin a valve by its stem. It unscrews.';
export const PLAIN_PAPER_ONLY = 'Use plain paper only. Powdered or coated paper leaves a film.';
export const HOLD_THE_LEG = 'Hold the leg you are brushing, and never squeeze the two legs together.';
export const DRY_OILY_CLOTHS = 'Dry oily cloths flat outdoors before you bin them.';
export const BLADES_CRACK = 'Never squeeze, twist or clip a dry reed. It cracks at once.';
export const CORK_ONLY = 'Grease the cork only. On the metal neck tenon grease collects grit.';
/** A trombone's legs are also what its slide is wrongly lifted by. */
export const LEG_NO_HANDLE = 'Hold the leg you are brushing. Never squeeze the two legs or use one as a handle.';
