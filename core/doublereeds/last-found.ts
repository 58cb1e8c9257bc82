import { examinationOf, type ExaminationTold } from '#core/doublereeds/examination-noted.ts';
import type { ReedId } from '#core/reeds/reed.ts';

/**
 * Reeds that are for practice by what was last seen of them: a corner is gone, or there is no heart.
 *
 * @param examinations in the order they were made
 */
export function lastFound(examinations: readonly ExaminationTold[]): ReadonlySet<ReedId> {
  const seen = new Map<ReedId, { corners?: string; heart?: string }>();
  for (const one of examinations)
    for (const event of examinationOf(one).events)
      if (event.what === 'look' && (event.look === 'corners' || event.look === 'heart'))
        seen.set(one.reedId, { ...seen.get(one.reedId), [event.look]: event.answer });
  return new Set(
    [...seen].flatMap(([id, { corners, heart }]) => (corners === 'gone' || heart === 'missing' ? [id] : [])),
  );
}

/** What is not kept as it comes: a crack, a corner that is gone, no heart. */
const SENT_BACK: readonly string[] = ['crack', 'gone', 'missing'];
/** How reeds looked that were looked at quickly, as they came: true where one was sent back. */
export const cameAs = (quick: readonly ExaminationTold[]): ReadonlyMap<ReedId, boolean> =>
  new Map(
    quick.map((one) => [
      one.reedId,
      examinationOf(one).events.some((event) => event.what === 'look' && SENT_BACK.includes(event.answer)),
    ]),
  );
