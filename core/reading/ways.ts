import type { Thing } from '#core/book/deed.ts';
import { thingsOfDeed } from '#core/book/deed-things.ts';
import { isOneOf } from '#core/kernel/typed.ts';
import { nounsIn } from '#core/reading/nouns.ts';
import type { Found, Read } from '#core/reading/misread.ts';
import { sentencesOf, tellsWhat } from '#core/reading/sentences.ts';

const BACK = /the way it went in|in and out the same way|comes? back out/i;
const THROUGH = /\b(?:(?<!blow it )through(?! and)|right out at|on past)\b/i;
const IN_AT = /\b(?:in|into) at (?:its|the) ([a-z -]+)/i;
const OUT_AT = /\bout (?:at|of) (?:its|the) ([a-z -]+?)(?: by itself)?(?=[.,;]|$| and\b)/i;

/** In, out and through: a cloth goes the way its deed says. */
export function wrongWays(read: Read): Found[] {
  const { step, practice, lexicon } = read;
  const wrong = (text: string, why: string): Found => ({ rule: 'wrong-way', text, why });
  const draws = step.does.filter((deed) => deed.do === 'draw');
  const returns = step.does.filter((deed) => deed.do === 'to-and-fro');
  if (draws.length + returns.length === 0) return [];
  const path: readonly Thing[] = (draws[0] ?? returns[0])?.through ?? [];
  const ends = draws.length > 0 ? [path[0], path.at(-1)] : [path[0], path[0]];
  const [first, last] = step.thread ? [step.thread.in, step.thread.out] : ends;
  const known = new Set<Thing>([...step.does.flatMap((deed) => thingsOfDeed(practice, deed)), 'bell', 'neck']);
  return sentencesOf(step)
    .filter(tellsWhat)
    .flatMap(({ text }): Found[] => {
      const found: Found[] = [];
      if (returns.length === 0 && BACK.test(text)) found.push(wrong(text, 'the cloth is drawn through'));
      if (draws.length === 0 && THROUGH.test(text)) found.push(wrong(text, 'it comes out the way it went in'));
      for (const [at, end] of [
        [IN_AT, first],
        [OUT_AT, last],
      ] as const) {
        const place = at.exec(text)?.[1];
        const named = place === undefined ? [] : nounsIn(lexicon.nouns, place).flatMap(({ noun }) => noun.names ?? []);
        const ofPath = named.filter((one) => known.has(one));
        if (end !== undefined && ofPath.length > 0 && !isOneOf(ofPath, end)) found.push(wrong(text, `it is ${end}`));
      }
      return found;
    });
}
