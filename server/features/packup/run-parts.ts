import type { StepId } from '#core/book/care-ids.ts';
import { stepIn, type Practice } from '#core/book/practice.ts';
import type { Instrument } from '#core/instruments/instrument.ts';
import type { InstrumentKind } from '#core/instruments/kind.ts';
import { runState, type RunEvent, type RunState } from '#core/packup/run-log.ts';
import { runStep, type RunStep } from '#core/packup/run-step.ts';
import type { MethodSetting } from '#core/book/method-setting.ts';
import type { PlayerAbilities } from '#core/players/player.ts';
import type { Run, StoredStep } from '#server/features/packup/packup.repository.ts';
import type { Wetness } from '#core/water/wetness.ts';
import type { Services } from '#server/services.ts';

/** An instrument in a run with everything the book says of it. */
export type RunInstrument = {
  readonly instrument: Instrument;
  readonly kind: InstrumentKind;
  readonly practice: Practice;
  readonly methods: MethodSetting;
  readonly playedMinutes: number;
  /** The room it was played in, °C. */
  readonly roomCelsius: number;
  readonly wetness: Wetness;
};

export type PlannedRunStep = RunStep & { readonly planned: StoredStep };

/** A run put together from what is stored and what its log adds up to. */
export type RunParts = {
  readonly run: Run;
  readonly events: readonly { readonly key: string; readonly event: RunEvent }[];
  readonly state: RunState;
  readonly instruments: readonly RunInstrument[];
  readonly player: PlayerAbilities;
  /** The steps in their order, pulled-in ones among them. */
  readonly steps: readonly PlannedRunStep[];
  /** What was left out and has not been pulled in. */
  readonly leftOut: readonly {
    readonly steps: readonly PlannedRunStep[];
    readonly value: number;
    readonly moreMinutes: number;
  }[];
};

/** A step as it was planned; one that no longer applies to an edited build is left out. */
function plannedSteps(instruments: readonly RunInstrument[], stored: readonly StoredStep[]): PlannedRunStep[] {
  return stored.flatMap((planned) => {
    const mine = instruments.find(({ instrument }) => instrument.id === planned.instrumentId);
    const step = mine && stepIn(mine.practice, planned.id as StepId);
    return step ? [{ ...runStep(planned.instrumentId, step), planned }] : [];
  });
}

/** Pulled-in steps come before the casing of their instrument; among themselves they keep their order. */
function withPulledIn(steps: readonly PlannedRunStep[], pulled: readonly PlannedRunStep[]): PlannedRunStep[] {
  const order = [...steps];
  for (const one of pulled) {
    const closing = order.findIndex(({ instrumentId, step }) => instrumentId === one.instrumentId && step.closing);
    order.splice(closing === -1 ? order.length : closing, 0, one);
  }
  return order;
}

/** @throws Error when a run points at an instrument or player that is not there: foreign keys forbid it */
export function partsOf(services: Services, run: Run): RunParts {
  const player = services.players.find(run.playerId);
  if (!player) throw new Error(`run ${run.key} has no player`);
  const instruments = run.shares.map(({ instrumentId, playedMinutes, roomCelsius }): RunInstrument => {
    const reading = services.readings.of(instrumentId);
    if (!reading) throw new Error(`run ${run.key} has no instrument ${instrumentId}`);
    const { kind, methods } = reading.situation(run.startedOn);
    return {
      instrument: reading.instrument,
      kind,
      practice: methods.practice,
      methods,
      playedMinutes,
      roomCelsius,
      wetness: reading.wetness(),
    };
  });
  const events = services.packup.events(run.id);
  const state = runState(events.map(({ event }) => event));
  const left = run.plan.leftOut.map((one) => ({ ...one, steps: plannedSteps(instruments, one.steps) }));
  const isPulled = ({ steps }: { readonly steps: readonly PlannedRunStep[] }) =>
    steps.some(({ key }) => state.pulledIn.has(key));
  return {
    run,
    events,
    state,
    instruments,
    player,
    steps: withPulledIn(
      plannedSteps(instruments, run.plan.steps),
      left.filter(isPulled).flatMap(({ steps }) => steps),
    ),
    leftOut: left.filter((one) => !isPulled(one) && one.steps.length > 0),
  };
}
