/** Why a run cannot be begun, or something cannot be said of it. */
export const RUN_REFUSALS = {
  'no-such-run': () => 'No such run in the record.',
  'unreadable-plan': () => 'The plan of this run cannot be read any more. Take the run back and begin it anew.',
  'nothing-to-do': () => 'Name at least one thing to be done.',
  'twice-in-the-run': () => 'An instrument is in a run once.',
  'already-finished': () => 'This run is finished. Undo its end to go on with it.',
  'not-cased-damp': () => 'It does not lie cased damp. What was to be dried is dry.',
  'damp-by-itself': () => 'What lies cased damp is laid out and dried first, by itself.',
  'on-the-spot-by-itself': ({ item }: { item: string }) =>
    `${item}: that is done while you play, by itself. Begin it from what is wrong.`,
  'nothing-waits': () => 'Nothing in this run can wait until you are at home.',
  'no-such-step': (_: { stepKey: string }) => 'This run has no such step.',
  'no-such-answer': ({ allowed }: { allowed: readonly string[] }) =>
    `This look may find: ${allowed.join(', ') || 'nothing, it is no look'}.`,
  'answer-wanted': ({ question }: { question: string }) => `This step is a look: ${question}`,
  'no-look': () => 'This step is no look: there is nothing to be seen in it.',
  'no-passes': (_: { stepKey: string }) => 'This step has no passes to be tuned.',
  'must-steps-open': ({ headings }: { headings: readonly string[] }) =>
    `Still to be done or skipped with a reason: ${headings.join('; ')}.`,
};
