import type { StepId } from '#core/book/care-ids.ts';
import { leadsOn, type LookAnswer } from '#core/book/step.ts';

type Answers = { readonly answers: readonly { readonly id: string }[] };

/** What a plan counts on a look to find: what its player usually finds, else what the book takes for the usual. */
export const answerExpected = (look: Answers, expects: string | null): string | undefined =>
  expects ?? look.answers[0]?.id;

/** What somebody usually finds, and how often they have. */
export type Expected = { readonly answer: string; readonly times: number; readonly looks: number };

/** The book's usual answer counts as this many observations (estimate). */
const BOOK_COUNTS = 3;

type Look = { readonly id: StepId; readonly look?: { readonly answers: readonly LookAnswer[] } };

/**
 * What this player usually finds where a look decides how a run goes on: the answer given most, the book's usual one
 * counted `k = 3` times more (an estimate), so that six wet evenings are expected to go on and one dry one is no end of
 * it. Left out where that is the book's own. What puts a sign in the record or ends its item is never expected.
 *
 * @param given the answers of their last runs, by look
 */
export function answersExpected(
  steps: readonly Look[],
  given: ReadonlyMap<StepId, readonly string[]>,
): ReadonlyMap<StepId, Expected> {
  const found = new Map<StepId, Expected>();
  for (const { id, look } of steps) {
    const all = given.get(id) ?? [];
    const [usual, ...others] = look?.answers ?? [];
    if (usual === undefined || all.length === 0) continue;
    const timesOf = (answer: string) => all.filter((one) => one === answer).length;
    const [most] = others.filter(leadsOn).toSorted((a, b) => timesOf(b.id) - timesOf(a.id));
    if (most !== undefined && timesOf(most.id) > timesOf(usual.id) + BOOK_COUNTS)
      found.set(id, { answer: most.id, times: timesOf(most.id), looks: all.length });
  }
  return found;
}
