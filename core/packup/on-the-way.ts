import type { StepId } from '#core/book/care-ids.ts';
import type { Step } from '#core/book/step.ts';

/**
 * What becomes of a step where an instrument is packed up away from home: it is done all the same, it waits until the
 * instrument is at home, its care stays due for another day, or it is done on the way only.
 */
export const ON_THE_WAY = ['now', 'waits', 'later', 'only'] as const;
export type OnTheWay = (typeof ON_THE_WAY)[number];

/** Must it be done wherever that is: what never waits, what takes water out or a reed off, what shuts the case? */
const cannotWait = ({ must, closing, reaches = [] }: Step): boolean =>
  must === true || closing === true || reaches.includes('reed-off') || reaches.includes('water-out');

/**
 * What becomes of each step of an instrument that was played: all but what cannot wait waits until it is at home, and whatever that
 * stands on; where the book says it of a step, the book.
 *
 * @param needed the steps a step cannot be done without
 * @param isOfEveryPlay does it belong to every play? Other care stays due
 */
export function onTheWay(
  steps: readonly Step[],
  {
    needed,
    isOfEveryPlay,
  }: { readonly needed: (id: StepId) => readonly StepId[]; readonly isOfEveryPlay: (step: Step) => boolean },
): ReadonlyMap<StepId, OnTheWay> {
  const isSaid = new Set(steps.filter(({ away }) => away !== undefined).map(({ id }) => id));
  const now = new Set<StepId>();
  const queue = steps
    .filter((step) => !isSaid.has(step.id) && isOfEveryPlay(step) && cannotWait(step))
    .map(({ id }) => id);
  for (let id = queue.pop(); id !== undefined; id = queue.pop()) {
    if (now.has(id)) continue;
    now.add(id);
    queue.push(...needed(id).filter((one) => !isSaid.has(one)));
  }
  const rest = (step: Step): OnTheWay => (isOfEveryPlay(step) ? 'waits' : 'later');
  return new Map(steps.map((step) => [step.id, step.away ?? (now.has(step.id) ? 'now' : rest(step))]));
}
