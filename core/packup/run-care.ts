import type { SignId } from '#core/book/fault.ts';
import { CASED_DAMP, type CareItemId, type StepId } from '#core/book/care-ids.ts';
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
export function careDoneBy({ steps, leftOut, isAway }: Pick<RunNow, 'steps' | 'leftOut' | 'isAway'>): CareDone[] {
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
    // What is shut into its case on the way is not dry for that.
    if (state === 'ticked') for (const aside of alsoDoes) if (!isAway || aside !== CASED_DAMP) add(instrumentId, aside);
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

/** The steps that wait until an instrument is at home, of every instrument packed up on the way. */
export function waitsAtHome({ steps, leftOut, isAway }: RunNow): ReadonlyMap<InstrumentId, ReadonlySet<StepId>> {
  const waiting = new Map<InstrumentId, Set<StepId>>();
  if (!isAway) return waiting;
  const open = steps.filter(({ called, state }) => called === 'at-home' && state === 'open');
  const all = [...open, ...leftOut.flatMap((one) => one.steps)];
  for (const { instrumentId, id } of all.filter(({ away }) => away === 'waits'))
    waiting.set(instrumentId, (waiting.get(instrumentId) ?? new Set<StepId>()).add(id));
  return waiting;
}

/** What looks of a run have found on an instrument. */
export const foundIn = ({ steps }: Pick<RunNow, 'steps'>, instrument: InstrumentId): ReadonlyMap<StepId, string> =>
  new Map(
    steps.flatMap(({ instrumentId, id, answer }) =>
      instrumentId === instrument && answer !== null ? [[id, answer] as const] : [],
    ),
  );

export type SignSeen = {
  readonly instrumentId: InstrumentId;
  readonly itemId: CareItemId;
  /** Which of the signs that call for it; null where none was looked for. */
  readonly sign: SignId | null;
  readonly part: PartId;
};

/** Signs a run has put in the record: what its looks have found, and what was shut into its case damp. */
export const signsSeenBy = (run: RunNow): SignSeen[] => [
  ...run.steps.flatMap(({ instrumentId, look, answer, part }) => {
    const found = look?.answers.find(({ id }) => id === answer);
    return found === undefined || found.notice === null
      ? []
      : [{ instrumentId, itemId: found.notice, sign: found.sign, part }];
  }),
  ...[...waitsAtHome(run).keys()].map((instrumentId): SignSeen => ({
    instrumentId,
    itemId: CASED_DAMP,
    sign: null,
    part: 'case',
  })),
];
