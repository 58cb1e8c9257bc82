import type { Book } from '#core/book/book.ts';
import { isMethodId } from '#core/book/method-ids.ts';
import type { ChosenMethod } from '#core/book/method-setting.ts';
import type { WhyLine } from '#core/explain/explained.ts';
import { methodOf } from '#core/methods/chosen-method.ts';

/** A method in force, and why: the reason a step is done this way. */
export const wayWords = ({ method, question, words, why, mark }: ChosenMethod): WhyLine => ({
  rule: method,
  text: `${question} ${words} (${why}).`,
  mark,
});

/** A choice where practice differs; null went back to the default. */
export function choiceWords(book: Book, id: string, choice: string | null): string {
  if (!isMethodId(id)) return `${id}: ${choice ?? 'back to the default'}`;
  const { question, choices } = methodOf(book, id);
  const words = choice === null ? 'back to the default' : (choices[choice]?.words ?? choice);
  return `${question} ${words}`;
}

export const setWords = (name: string): string => `Choices taken from “${name}”`;
