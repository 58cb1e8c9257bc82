import { clashOf, type Agents } from '#core/agents/guard.ts';
import type { CareItemId } from '#core/book/care-ids.ts';
import type { Step } from '#core/book/step.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { runStepKey, type RunStepKey } from '#core/packup/run-step.ts';

/** A step of a run as far as mixing goes. `before`: every step of the run that must come first. */
export type Guarded = {
  readonly key: RunStepKey;
  readonly instrumentId: InstrumentId;
  readonly step: Pick<Step, 'id' | 'item' | 'heading' | 'uses'>;
  readonly before: ReadonlySet<RunStepKey>;
};

export type KeptApart = {
  /** Pairs of steps: the second only after the first. */
  readonly order: readonly (readonly [RunStepKey, RunStepKey])[];
  /** Items that cannot be in this run at all, with what they would meet and make. */
  readonly dropped: readonly {
    readonly instrumentId: InstrumentId;
    readonly item: CareItemId;
    readonly meets: string;
    readonly gas: string;
  }[];
};

const rinseOf = ({ instrumentId, step }: Guarded): RunStepKey | undefined => {
  const rinsedBy = step.uses?.find((use) => use.rinsedBy !== undefined)?.rinsedBy;
  return rinsedBy === undefined ? undefined : runStepKey(instrumentId, rinsedBy);
};

/**
 * Keeps two hazardous agents apart: whichever comes first is rinsed off before the other is brought out. Where nothing
 * rinses the first one off, the second waits for another day.
 *
 * @param steps in the book's order
 */
export function keepApart(steps: readonly Guarded[], agents: Agents): KeptApart {
  const order: [RunStepKey, RunStepKey][] = [];
  const dropped: KeptApart['dropped'][number][] = [];
  const here = new Set(steps.map(({ key }) => key));
  const isDropped = ({ instrumentId, step }: Guarded) =>
    dropped.some((one) => one.instrumentId === instrumentId && one.item === step.item);
  const using = steps.filter(({ step }) => (step.uses ?? []).length > 0);
  using.forEach((one, index) => {
    for (const other of using.slice(index + 1)) {
      const clash = clashOf(one.step, other.step, agents);
      if (clash === null || isDropped(one) || isDropped(other)) continue;
      const [first, second] = one.before.has(other.key) ? [other, one] : [one, other];
      const rinse = rinseOf(first);
      if (rinse !== undefined && here.has(rinse)) order.push([rinse, second.key]);
      else
        dropped.push({
          instrumentId: second.instrumentId,
          item: second.step.item,
          meets: first.step.heading,
          gas: clash.gas,
        });
    }
  });
  return { order, dropped };
}
