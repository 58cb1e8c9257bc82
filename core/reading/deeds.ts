import type { Lexicon, Order } from '#core/book/lexicon.ts';
import type { Deed, Verb } from '#core/book/deed.ts';
import type { Found, Read } from '#core/reading/misread.ts';
import { clausesOf, forbids, isConditional, sentencesOf, tellsWhat, wordsIn } from '#core/reading/sentences.ts';

const whatOf = ({ step }: Pick<Read, 'step'>): string =>
  sentencesOf(step)
    .filter((one) => tellsWhat(one) || one.place === 'caution' || one.place === 'look')
    .map(({ text }) => text)
    .join(' ');

const sayings = new WeakMap<Lexicon, Partial<Record<Verb, RegExp>>>();
function sayingOf(lexicon: Lexicon, verb: Verb): RegExp {
  const mine = sayings.get(lexicon) ?? {};
  sayings.set(lexicon, mine);
  return (mine[verb] ??= new RegExp(lexicon.sayings[verb], 'i'));
}

/** The deeds of a step that no sentence of it says. */
export function deedsNotSaid(read: Read): ReadonlyMap<Deed, Found> {
  const text = whatOf(read);
  const found = (deed: Deed): Found => ({
    rule: 'deed-not-said',
    text: read.step.heading,
    why: `nothing says “${deed.do}”`,
  });
  return new Map(
    read.step.does.filter((deed) => !sayingOf(read.lexicon, deed.do).test(text)).map((deed) => [deed, found(deed)]),
  );
}

/** What the next steps do, or what is put back in the same breath. */
const PROMISES = /as the next steps say|\bpull\b.*\bput it back\b/i;

const compiled = new WeakMap<Lexicon, readonly { readonly order: Order; readonly at: RegExp }[]>();
const ordersOf = (lexicon: Lexicon) => {
  const known =
    compiled.get(lexicon) ??
    lexicon.orders.map((order) => ({ order, at: new RegExp(`^(?:${order.says})(?![\\w-])`, 'i') }));
  compiled.set(lexicon, known);
  return known;
};

/** An order at the head of a clause that no deed of the step carries out. A heading is held to all its clauses. */
export function ordersNotDone({ step, lexicon }: Read): Found[] {
  const { does } = step;
  if (does.length === 0 && wordsIn(lexicon.beyond).test(whatOf({ step }))) return [];
  const mine = sentencesOf(step).filter((one) => tellsWhat(one) && !isConditional(one) && !PROMISES.test(one.text));
  return mine.flatMap(({ text }) =>
    clausesOf(text)
      .filter((clause) => !forbids(clause))
      .flatMap((clause): Found[] => {
        const meant = ordersOf(lexicon).find(({ at }) => at.test(clause));
        if (meant === undefined || meant.order.deeds.some((verb) => does.some((deed) => deed.do === verb))) return [];
        return [{ rule: 'order-not-done', text, why: `no deed does “${clause}”` }];
      }),
  );
}

/** What a heading promises by its first word, and no deed of the step is. */
export function headingsNotDone({ step, lexicon }: Read): Found[] {
  const [first = ''] = step.heading.toLowerCase().split(/[\s,]/);
  const verbs = lexicon.headings[first];
  if (verbs === undefined) return [{ rule: 'order-not-done', text: step.heading, why: 'no list knows its first word' }];
  const [clause = ''] = clausesOf(step.heading);
  const order = ordersOf(lexicon).find(({ at }) => at.test(clause))?.order.deeds ?? [];
  const isDone = step.does.some((deed) => verbs.includes(deed.do) || order.includes(deed.do));
  if (isDone || (step.does.length === 0 && wordsIn(lexicon.beyond).test(whatOf({ step })))) return [];
  return [{ rule: 'order-not-done', text: step.heading, why: `no deed does “${first}”` }];
}

/** Said together in one step, and only one of them can be so. */
export function contradictions({ step, lexicon }: Read): Found[] {
  const all = sentencesOf(step)
    .filter(({ place }) => place !== 'why' && place !== 'harm')
    .map(({ text }) => text)
    .join(' ');
  return lexicon.opposites.flatMap(([one, other]): Found[] =>
    wordsIn(one).test(all) && wordsIn(other).test(all)
      ? [{ rule: 'contradicts', text: step.heading, why: `“${one}” beside “${other}”` }]
      : [],
  );
}
