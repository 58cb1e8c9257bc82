/** Why nothing can be said of a liquid, grease or tool. */
export const AGENT_REFUSALS = {
  'not-in-the-book': () => 'Not in the book: ask the maker or the bench.',
};
