import { METHOD_SET_FORMAT, METHOD_SET_VERSION, type MethodSet } from '#core/methods/method-set-format.ts';
import { barredChoice, chosenMethod, isAsked, methodOf } from '#core/methods/chosen-method.ts';
import { isMethodId, METHOD_IDS, type MethodId } from '#core/book/method-ids.ts';
import type { MethodChoices, MethodSetting } from '#core/book/method-setting.ts';

/** What taking one choice of a set would do to an instrument. */
export type SetLine = {
  readonly method: string;
  readonly choice: string;
  readonly question: string | null;
  readonly words: string | null;
  /** `new`: it would be another choice · `same` · the rest is left out, with the reason. */
  readonly verdict: 'new' | 'same' | 'not-asked' | 'barred' | 'unknown';
  readonly why: string | null;
};

/** The player's own choices as a set; defaults are left to be worked out for whoever takes it. */
export function methodSetOf(name: string, setting: MethodSetting): MethodSet {
  const { book, kind, build } = setting.context;
  const own = METHOD_IDS.filter((id) => isAsked(book, id, kind, build))
    .map((id) => chosenMethod(id, setting.choices, setting.context))
    .filter(({ byPlayer }) => byPlayer);
  return {
    format: METHOD_SET_FORMAT,
    version: METHOD_SET_VERSION,
    name,
    kind,
    choices: Object.fromEntries(own.map(({ method, choice }) => [method, choice])),
  };
}

type Fate = Omit<SetLine, 'method' | 'choice'>;

function knownFate(id: MethodId, choice: string, taken: MethodChoices, setting: MethodSetting): Fate {
  const { book, kind, build } = setting.context;
  const { question, choices } = methodOf(book, id);
  const words = Object.hasOwn(choices, choice) ? (choices[choice]?.words ?? null) : null;
  const left = (verdict: 'not-asked' | 'barred' | 'unknown', why: string): Fate => ({ question, words, verdict, why });
  if (words === null) return left('unknown', 'This version of the book has no such choice.');
  if (!isAsked(book, id, kind, build))
    return left('not-asked', 'Not asked about an instrument of this kind and build.');
  const barred = barredChoice(id, choice, taken, setting.context);
  if (barred !== null) return left('barred', `${barred[0]?.toUpperCase()}${barred.slice(1)}.`);
  const now = chosenMethod(id, setting.choices, setting.context);
  const isSame = now.byPlayer && now.choice === choice;
  return { question, words, verdict: isSame ? 'same' : 'new', why: null };
}

/**
 * What a set would do to an instrument, line by line: what would change, what is so already, and what is left out
 * because it is not asked here, cannot be had here, or is not in this version of the book.
 */
export function readSet({ choices }: Pick<MethodSet, 'choices'>, setting: MethodSetting): SetLine[] {
  // A choice is tried beside those of the set, which will be in force together with it.
  const known = Object.entries(choices).filter(([method]) => isMethodId(method));
  const taken: MethodChoices = { ...setting.choices, ...Object.fromEntries(known) };
  return Object.entries(choices).map(([method, choice]) => {
    const fate: Fate = isMethodId(method)
      ? knownFate(method, choice, taken, setting)
      : { question: null, words: null, verdict: 'unknown', why: 'This version of the book has no such question.' };
    return { method, choice, ...fate };
  });
}
