import type { Book } from '#core/book/book.ts';
import type { StepId } from '#core/book/care-ids.ts';
import type { PageUse } from '#core/book/page.ts';
import { linesOf, SAID_OF_A_STEP, type LineWhen, type StepText } from '#core/book/words.ts';
import type { KindId } from '#core/instruments/kind.ts';
import { buildMeets } from '#core/instruments/build.ts';
import type { Found, Read } from '#core/reading/misread.ts';

/** Where the book says a line of a step: everything must hold. */
type Carrier = { readonly all: readonly LineWhen[] };
/** Every line of the book by step, with all the places that say it. */
type Lines = ReadonlyMap<StepId, ReadonlyMap<string, readonly Carrier[]>>;

const known = new WeakMap<Book, Map<KindId, Lines>>();

function linesOfKind(book: Book, kind: KindId): Lines {
  const lines = new Map<StepId, Map<string, Carrier[]>>();
  const add = (id: StepId, text: StepText, all: readonly LineWhen[]) => {
    const mine = lines.get(id) ?? new Map<string, Carrier[]>();
    lines.set(id, mine);
    for (const said of SAID_OF_A_STEP)
      for (const { say, when } of linesOf(text[said]))
        mine.set(say, [...(mine.get(say) ?? []), { all: when === undefined ? all : [...all, when] }]);
  };
  const use = ({ page, when, says = {} }: PageUse) => {
    const all: LineWhen[] = when === undefined ? [] : [{ build: when }];
    for (const step of page.steps) add(step.id, { ...step, ...says[step.id] }, all);
  };
  book.pagesOf[kind].forEach(use);
  for (const [id, { choices }] of Object.entries(book.methods))
    for (const [choice, { says = {} }] of Object.entries(choices))
      for (const [step, words] of Object.entries(says))
        for (const one of [words ?? []].flat()) {
          const way: LineWhen = { method: { id: id as keyof Book['methods'], choices: [choice] } };
          add(step as StepId, one.adds ?? one.whole, one.when === undefined ? [way] : [way, one.when]);
        }
  return lines;
}

/**
 * A line of the book where nothing of the book says it: of another build, or of a way that is not the player's. Which
 * conditions are in force is not judged.
 */
export function strayLines({ step, practice }: Read, book: Book): Found[] {
  const byKind = known.get(book) ?? new Map<KindId, Lines>();
  known.set(book, byKind);
  const lines = byKind.get(practice.kind.id) ?? linesOfKind(book, practice.kind.id);
  byKind.set(practice.kind.id, lines);
  const holds = ({ build, method }: LineWhen): boolean =>
    buildMeets(practice.build, build) &&
    (method === undefined || method.choices.includes(practice.chosen.get(method.id) ?? ''));
  const printed = [step.how, step.why, step.harm, ...(step.cautions ?? []), ...(step.supplies ?? [])].join('\n');
  const mine = [...(lines.get(step.id) ?? [])].filter(([say]) => printed.includes(say));
  const isHeld = (carriers: readonly Carrier[]) => carriers.some(({ all }) => all.every(holds));
  // A short line may be the beginning of a longer one that is said here.
  const held = mine.flatMap(([say, carriers]) => (isHeld(carriers) ? [say] : []));
  return mine.flatMap(([say, carriers]): Found[] =>
    !isHeld(carriers) && !held.some((other) => other !== say && other.includes(say))
      ? [{ rule: 'stray-line', text: say, why: 'the book says it of another build or another way' }]
      : [],
  );
}
