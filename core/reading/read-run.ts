import type { Book } from '#core/book/book.ts';
import type { Deed } from '#core/book/deed.ts';
import type { Practice } from '#core/book/practice.ts';
import type { Step } from '#core/book/step.ts';
import { leaveAs, worldOf, type Handled, type HandledStep } from '#core/handling/play-through.ts';
import { emptyHands, type World } from '#core/handling/world.ts';
import { wrongCounts } from '#core/reading/counts.ts';
import { contradictions, deedsNotSaid, headingsNotDone, ordersNotDone } from '#core/reading/deeds.ts';
import type { Found, Misread, Read } from '#core/reading/misread.ts';
import { nounsNotHere, wrongObjects, wrongParts } from '#core/reading/nouns.ts';
import { notSo, standingsIn } from '#core/reading/standings.ts';
import { strayLines } from '#core/reading/stray-lines.ts';
import { wrongSupplies } from '#core/reading/supplies.ts';
import { outOfTurn, turnsIn, wrongTurns } from '#core/reading/turns.ts';
import { wrongWays } from '#core/reading/ways.ts';

/** What is wrong with a step's words wherever it stands in a run. */
const inItself = (read: Read): Found[] => [
  ...nounsNotHere(read),
  ...wrongParts(read),
  ...wrongObjects(read),
  ...ordersNotDone(read),
  ...headingsNotDone(read),
  ...contradictions(read),
  ...wrongWays(read),
  ...wrongCounts(read),
  ...wrongSupplies(read),
];

type Known = {
  readonly found: readonly Found[];
  readonly unsaid: ReadonlyMap<Deed, Found>;
  readonly standings: ReturnType<typeof standingsIn>;
  readonly turns: ReturnType<typeof turnsIn>;
};
const read = new WeakMap<Practice, WeakMap<Step, Known>>();

/** The same step of the same practice is read once: it comes in thousands of runs. */
function readOnce(book: Book, practice: Practice, step: Step): Known {
  const mine = read.get(practice) ?? new WeakMap<Step, Known>();
  read.set(practice, mine);
  const { lexicon } = book;
  const known = mine.get(step) ?? {
    found: [...inItself({ step, practice, lexicon }), ...strayLines({ step, practice, lexicon }, book)],
    unsaid: deedsNotSaid({ step, practice, lexicon }),
    standings: standingsIn(lexicon, step),
    turns: turnsIn(step),
  };
  mine.set(step, known);
  return known;
}

/** Does a deed change anything where it is done? What is off already is not taken off again. */
function changes(world: World, deed: Deed): boolean {
  if (deed.do === 'uncover') return !world.with(deed.thing).has('reed') && world.with(deed.thing).has('cap');
  if (deed.do === 'lift-out') return deed.thing !== 'reed';
  return deed.do !== 'cover' || !world.with(deed.thing).has('cap');
}

/**
 * Reads a run as it is printed, step by step, with the instrument in hand: each sentence is held against the deeds, the
 * build and what has been done by then.
 *
 * @returns every sentence that is wrong; nothing where words and hands are one
 */
export function readRun(book: Book, handled: readonly Handled[], steps: readonly HandledStep[]): Misread[] {
  return handled.flatMap((one) => {
    const world = worldOf(one, emptyHands());
    const mine = steps.filter(({ instrument }) => instrument === one.instrument).map(({ step }) => step);
    return mine.flatMap((step, at) => {
      const { found, unsaid, standings, turns } = readOnce(book, world.practice, step);
      const all = [...found, ...[...unsaid].flatMap(([deed, not]) => (changes(world, deed) ? [not] : []))];
      if (standings.length > 0) all.push(...notSo(standings, world, 'before'));
      if (turns.length > 0) {
        const isFirstDone = step.does[0] !== undefined && changes(world, step.does[0]);
        all.push(...wrongTurns(turns, step, { before: mine.slice(0, at), after: mine.slice(at + 1), isFirstDone }));
      }
      all.push(...outOfTurn(step, mine.slice(at + 1)));
      leaveAs(world, step);
      if (standings.length > 0) all.push(...notSo(standings, world, 'after'));
      return all.map((wrong): Misread => ({ ...wrong, instrument: one.instrument, step: step.id }));
    });
  });
}
