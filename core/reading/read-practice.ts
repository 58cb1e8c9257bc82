import type { Book } from '#core/book/book.ts';
import { signOf } from '#core/book/care-item.ts';
import type { Practice } from '#core/book/practice.ts';
import { hasAny } from '#core/reading/has.ts';
import { nounsIn } from '#core/reading/nouns.ts';
import { denies } from '#core/reading/sentences.ts';

/** Something an item or a never-do says that this instrument, as built, has not got. */
export type MisreadItem = { readonly of: string; readonly text: string; readonly why: string };

/**
 * Reads what is said of care and of what is never done, apart from any run: a part, place or material the instrument has
 * not got is a fault of the book.
 */
export function readPractice(book: Book, practice: Practice): MisreadItem[] {
  const said = [
    ...practice.items.flatMap((item) =>
      [item.name, item.why, signOf(item) ?? ''].map((text) => ({ of: item.id, text })),
    ),
    ...practice.neverDos.flatMap(({ id, text, why }) => [text, why].map((one) => ({ of: id, text: one }))),
  ];
  return said.flatMap(({ of, text }) =>
    text
      .split(/(?<=[.?!])\s+/)
      .flatMap((sentence) =>
        nounsIn(book.lexicon.nouns, sentence).flatMap(({ noun, word }): MisreadItem[] =>
          hasAny(practice, noun.has) || (noun.material === true && denies(sentence))
            ? []
            : [{ of, text: sentence, why: `there is no ${word} on it` }],
        ),
      ),
  );
}
