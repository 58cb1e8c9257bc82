import type { Book } from '#core/book/book.ts';
import type { Exception } from '#core/book/handling-exception.ts';
import { AT_A_TURN, LEFT, playThrough, type Broken, type RuleId } from '#core/handling/play-through.ts';
import { readRun } from '#core/reading/read-run.ts';
import type { Misread } from '#core/reading/misread.ts';
import { soaksTooLong } from '#core/packup/soaks.ts';
import { TURN_SECONDS } from '#core/packup/turning.ts';
import type { OrderedPlan } from '#core/packup/plan-run.ts';
import { doneIn } from '#core/testing/answered-run.ts';
import { orderedPlanOf, partsPlayed } from '#core/testing/any-run.ts';
import { searchShorter } from '#core/testing/every-order.ts';
import type { Situation } from '#core/testing/situations.ts';

/** What a skipped step may leave behind: the run says so when it is skipped. */
const LEFT_BY_A_SKIP: ReadonlySet<RuleId> = new Set<RuleId>([
  ...LEFT,
  ...AT_A_TURN,
  'guarded-and-dry',
  'everything-in',
  'hands-free',
  'nothing-heavy-meanwhile',
  'not-wet',
  'not-sour',
  'can-be-drawn-back',
  'was-shut',
]);

/** What became of a plan's "no order is shorter": looked at again, or not claimed. */
export type ProofChecked = 'not-claimed' | 'holds' | 'cut-short' | 'false';

/** Jobs placed at most in looking again. */
const LOOKED_AGAIN = 100_000;

/** What looking again has found, by the jobs and the time that were asked: the same question is put by many situations. */
export type LookedAgain = Map<string, ProofChecked>;

/** All that looking again asks of an order. */
const asked = ({ jobs, schedule }: OrderedPlan['ordered']): string =>
  JSON.stringify([
    schedule.elapsedSeconds,
    jobs.map(({ workSeconds, instrument, after }) => [
      workSeconds,
      instrument,
      after.map(({ job, waitSeconds, mostSeconds }) => [job, waitSeconds, mostSeconds]),
    ]),
  ]);

/**
 * Looks again for an order shorter than one that is called proved, by a search of its own that leaves nothing out because
 * something else is as good. A run whose looks are answered otherwise, or with a step skipped, has the same plan.
 */
function checkProof(ordered: OrderedPlan['ordered'], looked: LookedAgain): ProofChecked {
  const { jobs, schedule } = ordered;
  if (!schedule.proved) return 'not-claimed';
  const key = asked(ordered);
  const before = looked.get(key);
  if (before !== undefined) return before;
  const { found, complete } = searchShorter(jobs, schedule.elapsedSeconds, LOOKED_AGAIN, TURN_SECONDS.value);
  const checked = found !== null ? 'false' : complete ? 'holds' : 'cut-short';
  looked.set(key, checked);
  return checked;
}

export type Proved = {
  readonly broken: Broken[];
  readonly excepted: Exception[];
  /** What its words say that its hands do not. A run of which a step is skipped says the same. */
  readonly misread: Misread[];
  /** Null where the plan is that of another situation. */
  readonly proof: ProofChecked | null;
};

/**
 * Plays a situation through and reads it; what is broken is a fault of the book or of the planner.
 *
 * @param looked what looking again for a shorter order has found, added to; null where nobody looks: it takes longest by
 *   far
 */
export function proveRun(book: Book, { run, answers, skip }: Situation, looked: LookedAgain | null): Proved {
  const parts = partsPlayed(book, run);
  const { plan, ordered } = orderedPlanOf(book, run);
  const steps = doneIn(plan, answers, {
    skipped: new Set(skip === undefined ? [] : [skip]),
    isAway: run.place === 'on-the-way',
  });
  const handled = parts.map(({ instrumentId, practice, items }) => ({ instrument: instrumentId, practice, items }));
  const done = steps.map(({ instrumentId, step, answer }) => ({ instrument: instrumentId, step, answer }));
  const { broken, excepted } = playThrough(handled, done, book.exceptions);
  // Whoever leaves a step out does the rest sooner: only the plan as it is says when.
  const tooLong = skip === undefined && answers === undefined ? soaksTooLong(plan.steps) : [];
  return {
    broken: [...broken, ...tooLong].filter(({ rule }) => skip === undefined || !LEFT_BY_A_SKIP.has(rule)),
    excepted: [...excepted],
    misread: skip === undefined ? readRun(book, handled, done) : [],
    proof: looked !== null && answers === undefined && skip === undefined ? checkProof(ordered, looked) : null,
  };
}
