import { CONDITION_IDS } from '#core/book/condition-ids.ts';
import type { Book } from '#core/book/book.ts';
import { METHOD_IDS } from '#core/book/method-ids.ts';
import type { MethodChoices } from '#core/book/method-setting.ts';
import type { Build } from '#core/instruments/build.ts';
import type { KindId } from '#core/instruments/kind.ts';
import type { AnyInstrument } from '#core/testing/any-run.ts';
import { pairwise } from '#core/testing/pairwise.ts';

const NONE = 'none';
const ALL_CONDITIONS = 'all';

/** Options of every question about a build of this kind. */
export const buildDials = (book: Book, kind: KindId): Record<string, string[]> =>
  Object.fromEntries(
    book.kinds[kind].fields.map(({ field, options }) => [field, options.map(({ id }) => id as string)]),
  );

const made = new WeakMap<Book, Map<KindId, readonly AnyInstrument[]>>();

/**
 * Instruments of a kind as somebody might have them, in which every pair of options of every two dials occurs: the
 * build's fields, every question the kind may be asked, and the condition in force. The usual one comes first. A
 * question the build is not asked, or a choice it cannot have, falls back to the default, as in the program.
 */
export function casesOf(book: Book, kind: KindId): readonly AnyInstrument[] {
  const ofBook = made.get(book) ?? new Map<KindId, readonly AnyInstrument[]>();
  made.set(book, ofBook);
  const cases = ofBook.get(kind) ?? madeCases(book, kind);
  ofBook.set(kind, cases);
  return cases;
}

function madeCases(book: Book, kind: KindId): readonly AnyInstrument[] {
  const builds = buildDials(book, kind);
  const asked = METHOD_IDS.filter((id) => book.methods[id].askedOf.some(({ kinds }) => kinds.includes(kind)));
  const dials = {
    ...builds,
    ...Object.fromEntries(asked.map((id) => [id, Object.keys(book.methods[id].choices)])),
    condition: [NONE, ...CONDITION_IDS, ALL_CONDITIONS],
  };
  const made = pairwise(dials).map((row): AnyInstrument => {
    const pick = (names: readonly string[]) =>
      Object.fromEntries(names.flatMap((name) => (row[name] === undefined ? [] : [[name, row[name]]])));
    return {
      kind,
      build: pick(Object.keys(builds)) as Build,
      methods: pick(asked) as MethodChoices,
      conditions:
        row['condition'] === ALL_CONDITIONS ? CONDITION_IDS : CONDITION_IDS.filter((id) => id === row['condition']),
    };
  });
  return [{ kind }, ...made];
}
