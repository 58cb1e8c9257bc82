import type { Book } from '#core/book/book.ts';
import type { Exception } from '#core/book/handling-exception.ts';
import { LEFT, playThrough, type Broken, type RuleId } from '#core/handling/play-through.ts';
import { doneIn } from '#core/testing/answered-run.ts';
import { partsOf, planOf } from '#core/testing/any-run.ts';
import type { Situation } from '#core/testing/situations.ts';

/** What a skipped step may leave behind: the run says so when it is skipped. */
const LEFT_BY_A_SKIP: ReadonlySet<RuleId> = new Set<RuleId>([
  ...LEFT,
  'guarded-and-dry',
  'everything-in',
  'hands-free',
  'nothing-heavy-meanwhile',
  'not-wet',
  'not-sour',
  'can-be-drawn-back',
]);

/** Plays a situation through; what is broken is a fault of the book or of the planner. */
export function proveRun(book: Book, { run, answers, skip }: Situation): { broken: Broken[]; excepted: Exception[] } {
  const parts = partsOf(book, run);
  const steps = doneIn(planOf(book, run), answers, new Set(skip === undefined ? [] : [skip]));
  const { broken, excepted } = playThrough(
    parts.map(({ instrumentId, practice, items }) => ({ instrument: instrumentId, practice, items })),
    steps.map(({ instrumentId, step }) => ({ instrument: instrumentId, step })),
    book.exceptions,
  );
  return {
    broken: broken.filter(({ rule }) => skip === undefined || !LEFT_BY_A_SKIP.has(rule)),
    excepted: [...excepted],
  };
}
