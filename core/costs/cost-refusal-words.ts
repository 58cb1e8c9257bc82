/** Why money cannot be written down so. */
export const COST_REFUSALS = {
  'bill-in-future': () => 'Write it down once it has been said or paid: today at the latest.',
  'bill-too-old': () => 'What was paid more than ten years ago is not counted any more.',
  'bill-of-nothing': () => 'Say what it is for: work at the bench, or what was bought.',
};
