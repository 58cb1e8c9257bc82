/** How a sign is known: as the book says it, and as people say it. */
type Known = { readonly words: string; readonly also?: readonly string[] };

const plain = (text: string): string =>
  text
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[^a-z0-9 ]+/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();

/** Words of the same root count as one: "squeaking" and "squeaks". */
const stem = (word: string): string => word.replace(/(ing|ed|es|s|ly|y)$/, '');

const FILLERS = new Set(
  'a an the it is its on in of and or to my i with when not no so very one some like does do at by'.split(' '),
);
const stems = (text: string): string[] =>
  plain(text)
    .split(' ')
    .filter((word) => word !== '' && !FILLERS.has(word))
    .map(stem);

/**
 * The signs somebody may mean by what they type, best first: each word they use that stands in the sign or among its
 * everyday words counts, a whole everyday phrase counts most. Nothing is guessed from no match.
 */
export function findSigns<Sign extends Known>(signs: readonly Sign[], typed: string): Sign[] {
  const wanted = stems(typed);
  const phrase = plain(typed);
  if (wanted.length === 0) return [];
  const scored = signs.map((sign) => {
    const said = [sign.words, ...(sign.also ?? [])];
    const known = new Set(said.flatMap(stems));
    const hits = wanted.filter(
      (word) => known.has(word) || (word.length > 2 && [...known].some((one) => one.startsWith(word))),
    );
    const whole = said.some((one) => plain(one) === phrase)
      ? 2
      : said.some((one) => phrase.includes(plain(one)))
        ? 1
        : 0;
    return { sign, score: hits.length / wanted.length + whole };
  });
  return scored
    .filter(({ score }) => score > 0)
    .sort((a, b) => b.score - a.score)
    .map(({ sign }) => sign);
}
