import type { Lexicon, Standing } from '#core/book/lexicon.ts';
import type { World } from '#core/handling/world.ts';
import type { Step } from '#core/book/step.ts';
import type { Found } from '#core/reading/misread.ts';
import { sentencesOf, wordsIn } from '#core/reading/sentences.ts';

type Is = Standing['is'];

/** Is it so in this world? What the instrument has not got is not judged here. */
function isSo(world: World, is: Is): boolean {
  if ('hangs' in is) return world.hands.hanging.size > 0;
  if ('done' in is) return [...world.did.keys()].some((one) => one.startsWith(`${is.done} `));
  if ('held' in is) return world.hands.held.size === 0;
  if ('laid' in is) return world.hands.hanging.size === 0 && world.hands.held.size === 0;
  if ('joined' in is) return world.with(is.joined[0]).has(is.joined[1]);
  if ('apart' in is) return !world.with(is.apart[0]).has(is.apart[1]);
  if ('open' in is) return world.open.has(is.open);
  if ('shut' in is) return !world.open.has(is.shut);
  return !world.wet.has(is.dry);
}

/** Sentences of a step that say how things stand. */
export function standingsIn(lexicon: Lexicon, step: Step): { readonly text: string; readonly standing: Standing }[] {
  return sentencesOf(step)
    .filter(({ place }) => place !== 'supply' && place !== 'only-if' && place !== 'look')
    .flatMap(({ text }) =>
      lexicon.standings.filter(({ says }) => wordsIn(says).test(text)).map((standing) => ({ text, standing })),
    );
}

/** What is said to stand so, and does not. */
export const notSo = (said: ReturnType<typeof standingsIn>, world: World, when: Standing['when']): Found[] =>
  said
    .filter(({ standing }) => standing.when === when && !isSo(world, standing.is))
    .map(({ text, standing }) => ({
      rule: 'not-so',
      text,
      why: `it is not so ${when} it: ${JSON.stringify(standing.is)}`,
    }));
