import type { StepId } from '#core/book/care-ids.ts';
import type { Step } from '#core/book/step.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import type { Branded } from '#core/kernel/brand.ts';

/** A step of a run: a run may hold several instruments, so a step is named together with its instrument. */
export type RunStepKey = Branded<string, 'RunStepKey'>;

export const stepKeyText = (instrumentId: string, stepId: string): string => `${instrumentId}:${stepId}`;
export const runStepKey = (instrumentId: InstrumentId, stepId: StepId): RunStepKey =>
  stepKeyText(instrumentId, stepId) as RunStepKey;

export type RunStep = { readonly key: RunStepKey; readonly instrumentId: InstrumentId; readonly step: Step };

export const runStep = (instrumentId: InstrumentId, step: Step): RunStep => ({
  key: runStepKey(instrumentId, step.id),
  instrumentId,
  step,
});
