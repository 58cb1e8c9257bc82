/** Why a reading cannot be written down so. */
export const INSPECTION_REFUSALS = {
  'inspection-in-future': () => 'Write it down once it has been read: today at the latest.',
  'inspection-too-old': () => 'What was read more than ten years ago says nothing of how it stands.',
  'inspection-before-it-came': () => 'The instrument had not come yet.',
  'nothing-read': () => 'Read at least one thing. What you leave out is not good, it is unknown.',
  'reading-of-nothing-here': () => 'This instrument, as it is built, has nothing there that is read so.',
  'reading-twice': () => 'One of them is there twice.',
  'reading-not-so': () => 'One of the numbers cannot be read so: too small, too large, or finer than it can be read.',
  'reading-not-alone': () => 'One of them is read by a teacher or the bench. Say who read it.',
};
