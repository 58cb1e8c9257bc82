import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import type { PlannedStep, PlanReason, RunPlan } from '#core/packup/run-plan.ts';
import { LAST_PASSES, type RunEvent, type RunKind } from '#core/packup/run-log.ts';
import type { RunStepKey } from '#core/packup/run-step.ts';
import type { StepId } from '#core/care/care-ids.ts';
import { parseInstant, type Instant } from '#core/time/instant.ts';
import { localDate, type LocalDate } from '#core/time/local-date.ts';
import type { RunEventRow, RunInstrumentRow, RunRow } from '#server/features/packup/packup.table.ts';

export type StoredStep = {
  readonly key: RunStepKey;
  readonly instrumentId: InstrumentId;
  readonly id: StepId;
  readonly count: number | null;
  readonly activeMinutes: number;
  readonly startsAtMinute: number | null;
};

/** The plan as it was shown when the run began: later versions of the book do not change it. */
export type StoredPlan = {
  readonly steps: readonly StoredStep[];
  readonly leftOut: readonly {
    readonly steps: readonly StoredStep[];
    readonly value: number;
    readonly moreMinutes: number;
  }[];
  readonly activeMinutes: number;
  readonly elapsedMinutes: number;
  readonly because: readonly PlanReason[];
};

/** One instrument's part in a run. */
export type RunShare = {
  readonly instrumentId: InstrumentId;
  readonly playKey: string | null;
  readonly playedMinutes: number;
  /** The room it was played in, °C. */
  readonly roomCelsius: number;
  /** Thirst of the cloth in use beside silk. */
  readonly thirst: number;
};

export type Run = {
  readonly key: string;
  readonly shares: readonly RunShare[];
  readonly playerId: PlayerId;
  readonly kind: RunKind;
  readonly minutesAtHand: number | null;
  readonly plan: StoredPlan;
  readonly startedOn: LocalDate;
  readonly startedAtMinute: number;
  readonly startedAt: Instant;
};

const storedStep = ({ key, instrumentId, step, repeats, activeMinutes, startsAtMinute }: PlannedStep): StoredStep => ({
  key,
  instrumentId,
  id: step.id,
  count: repeats?.count ?? null,
  activeMinutes,
  startsAtMinute,
});

export const storedPlan = ({ steps, leftOut, activeMinutes, elapsedMinutes, because }: RunPlan): StoredPlan => ({
  steps: steps.map(storedStep),
  leftOut: leftOut.map((one) => ({ ...one, steps: one.steps.map(storedStep) })),
  activeMinutes,
  elapsedMinutes,
  because,
});

function storedInstant(text: string): Instant {
  const instant = parseInstant(text);
  if (instant === undefined) throw new Error(`not an instant: ${text}`);
  return instant;
}

/** The only place where rows become a run. */
export const runFromRows = (row: RunRow, shares: readonly RunInstrumentRow[]): Run => ({
  ...row,
  shares: shares.map(({ instrumentId, playKey, playedMinutes, roomCelsius, thirst }) => ({
    instrumentId: instrumentId as InstrumentId,
    playKey,
    playedMinutes,
    roomCelsius,
    thirst,
  })),
  playerId: row.playerId as PlayerId,
  plan: JSON.parse(row.plan) as StoredPlan,
  startedOn: localDate(row.startedOn),
  startedAt: storedInstant(row.startedAt),
});

export function rowsFromRun({ shares, ...run }: Run): { row: RunRow; shareRows: RunInstrumentRow[] } {
  return {
    row: { ...run, plan: JSON.stringify(run.plan) },
    shareRows: shares.map((share, position) => ({ ...share, runKey: run.key, position })),
  };
}

function present<Column extends keyof RunEventRow>(row: RunEventRow, column: Column): NonNullable<RunEventRow[Column]> {
  const value = row[column];
  if (value === null) throw new Error(`run_events ${row.key} of kind ${row.kind} has no ${column}`);
  return value as NonNullable<RunEventRow[Column]>;
}

/** The only place where a row becomes an event; a row that lacks what its kind needs throws. */
export function eventFromRow(row: RunEventRow): RunEvent {
  const at = storedInstant(row.at);
  if (row.kind === 'finished') return { kind: 'finished', at };
  const stepKey = present(row, 'stepKey') as RunStepKey;
  switch (row.kind) {
    case 'ticked':
    case 'unticked':
    case 'pulled-in':
      return { kind: row.kind, stepKey, at };
    case 'skipped':
      return { kind: 'skipped', stepKey, reason: present(row, 'reason'), at };
    case 'counted':
      return { kind: 'counted', stepKey, count: present(row, 'count'), at };
    case 'answered':
      return { kind: 'answered', stepKey, answer: present(row, 'answer'), at };
    case 'last-pass': {
      const found = LAST_PASSES.find((one) => one === row.answer);
      if (found === undefined) throw new Error(`run_events ${row.key} does not say what the cloth showed`);
      return { kind: 'last-pass', stepKey, count: present(row, 'count'), found, at };
    }
  }
}

function answerIn(event: RunEvent): string | null {
  if (event.kind === 'last-pass') return event.found;
  return event.kind === 'answered' ? event.answer : null;
}

export const rowFromEvent = (runKey: string, key: string, event: RunEvent): Omit<RunEventRow, 'sequence'> => ({
  key,
  runKey,
  kind: event.kind,
  stepKey: event.kind === 'finished' ? null : event.stepKey,
  reason: event.kind === 'skipped' ? event.reason : null,
  count: event.kind === 'counted' || event.kind === 'last-pass' ? event.count : null,
  answer: answerIn(event),
  at: event.at,
});
