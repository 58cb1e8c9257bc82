/** Why a choice of method cannot be made, given or taken over. */
export const METHOD_REFUSALS = {
  'not-asked': () => 'This question is not asked about an instrument of this kind and build.',
  'cannot-be-had': ({ why }: { why: string }) => `It cannot be had here: ${why}.`,
  'nothing-chosen': () => 'Nothing has been chosen on it yet; every question follows its default.',
  'changes-nothing': () => 'Nothing in this set would change this instrument.',
};
