import type { Found, Read } from '#core/reading/misread.ts';
import { hasAny } from '#core/reading/has.ts';
import { sentencesOf, wordsIn } from '#core/reading/sentences.ts';

const NUMBERS: Readonly<Record<string, number>> = {
  both: 2,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  ten: 10,
};
const COUNTED =
  /\b(both|two|three|four|five|six|ten|\d+(?:–\d+)?) (?:of the |of your |the |small |inner |outer )?([a-z-]+(?: [a-z-]+)?|%)/gi;

const valueOf = (word: string): number => NUMBERS[word.toLowerCase()] ?? Number(word.split('–').at(-1));

/** A number of things that there are not so many of. A noun that no list counts is refused, so that somebody says how many. */
export function wrongCounts({ step, practice, lexicon }: Read): Found[] {
  return sentencesOf(step)
    .filter(({ place }) => place !== 'supply')
    .flatMap(({ text }) =>
      [...text.matchAll(COUNTED)].flatMap(([phrase, number = '', noun = '']): Found[] => {
        const mine = lexicon.counts.filter(
          ({ says, has }) => wordsIn(`${says}`).test(noun) && (has === undefined || hasAny(practice, has)),
        );
        const refused = (why: string): Found[] => [{ rule: 'wrong-count', text, why: `“${phrase}”: ${why}` }];
        if (mine.length === 0)
          return /^(?:both|two)$/i.test(number) &&
            /^(?:down|together|in|on|of|of you|with|alone|hang|by|by their)\b/.test(noun)
            ? []
            : refused('no list counts it');
        return mine.some(({ counts }) => counts.includes(valueOf(number))) ? [] : refused('it is another number');
      }),
    );
}
