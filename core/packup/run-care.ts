import type { CareItemId } from '#core/book/care-ids.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import type { PartId } from '#core/instruments/kind.ts';
import type { KeptStep } from '#core/packup/kept-plan.ts';
import { SKIP_SETTLES } from '#core/packup/run-event.ts';
import { isEndedBy, sameItem, wasNotLooked, type RunNow, type StepNow } from '#core/packup/run-log.ts';

const settled = (step: StepNow): boolean =>
  (step.state === 'ticked' && !(step.onlyLooks && wasNotLooked(step))) ||
  step.called === 'no' ||
  (step.skipReason !== null && SKIP_SETTLES[step.skipReason]);

/** The steps that decide whether an item is done: without the looks nobody made, where anything else is left of it. */
function thatSettle(mine: readonly StepNow[]): readonly StepNow[] {
  const hands = mine.filter((step) => !(step.onlyLooks && wasNotLooked(step)));
  return hands.length > 0 ? hands : mine;
}

export type CareDone = { readonly instrumentId: InstrumentId; readonly itemId: CareItemId };

/**
 * The care items a run has done: those all of whose steps in the run are ticked, or skipped with a reason that settles
 * them, or not called for by a look; and those a ticked step does on the side. A look nobody made leaves the handwork of
 * its item done, and is itself not. An item a look has ended is not done, nor one with steps left out for want of time.
 */
export function careDoneBy({ steps, leftOut }: Pick<RunNow, 'steps' | 'leftOut'>): CareDone[] {
  const done = new Map<string, CareDone>();
  const add = (instrumentId: InstrumentId, itemId: CareItemId) =>
    done.set(`${instrumentId}:${itemId}`, { instrumentId, itemId });
  const waiting = leftOut.flatMap((one) => one.steps);
  const answered = steps.filter(({ look, answer }) => look !== null && answer !== null);
  for (const step of steps) {
    const mine = thatSettle(steps.filter((one) => sameItem(one, step)));
    const ended = answered.some((other) => isEndedBy(other, other.answer, step));
    if (mine.every(settled) && !ended && !waiting.some((one) => sameItem(one, step))) add(step.instrumentId, step.item);
  }
  for (const { instrumentId, state, alsoDoes } of steps)
    if (state === 'ticked') for (const aside of alsoDoes) add(instrumentId, aside);
  return [...done.values()];
}

/** What the steps of a run were for and is not among what was done, each once. */
export function careWaiting({ steps, leftOut }: RunNow, done: readonly CareDone[]): CareDone[] {
  const isDone = (one: KeptStep) =>
    done.some(({ instrumentId, itemId }) => instrumentId === one.instrumentId && itemId === one.item);
  const open = [...steps, ...leftOut.flatMap((one) => one.steps)].filter((one) => !isDone(one));
  const byName = open.map(({ instrumentId, item: itemId }): [string, CareDone] => [
    `${instrumentId}:${itemId}`,
    { instrumentId, itemId },
  ]);
  return [...new Map(byName).values()];
}

export type SignSeen = { readonly instrumentId: InstrumentId; readonly itemId: CareItemId; readonly part: PartId };

/** Signs the looks of a run have put in the record. */
export const signsSeenBy = ({ steps }: Pick<RunNow, 'steps'>): SignSeen[] =>
  steps.flatMap(({ instrumentId, look, answer, part }) => {
    const itemId = look?.answers.find(({ id }) => id === answer)?.notice ?? null;
    return itemId === null ? [] : [{ instrumentId, itemId, part }];
  });
