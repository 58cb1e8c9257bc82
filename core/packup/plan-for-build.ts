import type { Book } from '#core/book/book.ts';
import type { Step } from '#core/book/step.ts';
import type { Build } from '#core/instruments/build.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import type { KindId } from '#core/instruments/kind.ts';
import { practiceFor } from '#core/methods/practice-for.ts';
import type { KeptPlan, KeptStep } from '#core/packup/kept-plan.ts';

export type BuiltAs = { readonly kind: KindId; readonly build: Build };

const stepsByKind = new WeakMap<Book, Map<KindId, ReadonlySet<string>>>();

/** Every step the book has for a kind, however it is built. */
function stepsOfKind(book: Book, kind: KindId): ReadonlySet<string> {
  const known = stepsByKind.get(book) ?? new Map<KindId, ReadonlySet<string>>();
  stepsByKind.set(book, known);
  const steps = known.get(kind) ?? new Set(book.pagesOf[kind].flatMap(({ page }) => page.steps.map(({ id }) => id)));
  known.set(kind, steps);
  return steps;
}

/** The step of this id for an instrument built like this; undefined where it has none. */
export const stepFor = (book: Book, { kind, build }: BuiltAs, id: string): Step | undefined =>
  practiceFor(book, kind, build).steps.find((step) => step.id === id);

/**
 * A plan without the steps that the build, edited meanwhile, does not have any more. A step the book itself has given up
 * stays: it was planned, and the run is what was planned.
 *
 * @param builtAs what an instrument is now; undefined where nobody knows, and then nothing is taken out
 */
export function planForBuild(
  book: Book,
  plan: KeptPlan,
  builtAs: (instrument: InstrumentId) => BuiltAs | undefined,
): KeptPlan {
  const fits = ({ instrumentId, id }: KeptStep): boolean => {
    const now = builtAs(instrumentId);
    return now === undefined || stepFor(book, now, id) !== undefined || !stepsOfKind(book, now.kind).has(id);
  };
  return {
    ...plan,
    steps: plan.steps.filter(fits),
    leftOut: plan.leftOut
      .map((one) => ({ ...one, steps: one.steps.filter(fits) }))
      .filter(({ steps }) => steps.length > 0),
  };
}
