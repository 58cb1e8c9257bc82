import type { Found, Read } from '#core/reading/misread.ts';
import { sentencesOf, tellsWhat } from '#core/reading/sentences.ts';

/** A supply that nothing of the step takes, or that its words rule out. */
export function wrongSupplies({ step, lexicon }: Read): Found[] {
  const text = sentencesOf(step)
    .filter(tellsWhat)
    .map((one) => one.text)
    .join(' ');
  return (step.supplies ?? []).flatMap((supply): Found[] => {
    const wrong = (why: string): Found[] => [{ rule: 'wrong-supply', text: supply, why }];
    const known = lexicon.supplies[supply];
    if (known === undefined) return wrong('no list says what it is for');
    const noun = supply.split(' ').at(-1)?.replace(/e?s$/, '') ?? supply;
    if (new RegExp(`\\b(?:no|without) (?:\\w+ )?${noun}(?! with)`, 'i').test(text))
      return wrong('its words do without it');
    const isDone = known.deeds?.some((verb) => step.does.some((deed) => deed.do === verb)) ?? false;
    const isSaid = known.words !== undefined && new RegExp(known.words, 'i').test(text);
    return isDone || isSaid ? [] : wrong('nothing is done with it');
  });
}
