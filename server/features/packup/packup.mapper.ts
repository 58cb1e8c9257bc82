import type { StepId } from '#core/care/care-item.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import type { PlanReason, RunPlan } from '#core/packup/plan-run.ts';
import type { RunEvent, RunKind } from '#core/packup/run-log.ts';
import { parseInstant, type Instant } from '#core/time/instant.ts';
import { localDate, type LocalDate } from '#core/time/local-date.ts';
import type { RunEventRow, RunRow } from '#server/features/packup/packup.table.ts';

/** The plan as it was shown when the run began: later versions of the book do not change it. */
export type StoredPlan = {
  readonly steps: readonly {
    readonly id: StepId;
    readonly count: number | null;
    readonly activeMinutes: number;
    readonly startsAtMinute: number;
  }[];
  readonly activeMinutes: number;
  readonly elapsedMinutes: number;
  readonly because: readonly PlanReason[];
};

export type Run = {
  readonly key: string;
  readonly instrumentId: InstrumentId;
  readonly playerId: PlayerId;
  readonly kind: RunKind;
  readonly playKey: string | null;
  readonly playedMinutes: number;
  readonly roomCelsius: number;
  readonly plan: StoredPlan;
  readonly startedOn: LocalDate;
  readonly startedAtMinute: number;
  readonly startedAt: Instant;
};

export const storedPlan = (plan: RunPlan): StoredPlan => ({
  steps: plan.steps.map(({ step, repeats, activeMinutes, startsAtMinute }) => ({
    id: step.id,
    count: repeats?.count ?? null,
    activeMinutes,
    startsAtMinute,
  })),
  activeMinutes: plan.activeMinutes,
  elapsedMinutes: plan.elapsedMinutes,
  because: plan.because,
});

function storedInstant(text: string): Instant {
  const instant = parseInstant(text);
  if (instant === undefined) throw new Error(`not an instant: ${text}`);
  return instant;
}

/** The only place where a row becomes a run. */
export const runFromRow = (row: RunRow): Run => ({
  ...row,
  instrumentId: row.instrumentId as InstrumentId,
  playerId: row.playerId as PlayerId,
  plan: JSON.parse(row.plan) as StoredPlan,
  startedOn: localDate(row.startedOn),
  startedAt: storedInstant(row.startedAt),
});

export const rowFromRun = (run: Run): RunRow => ({ ...run, plan: JSON.stringify(run.plan) });

/** The only place where a row becomes an event; a row that lacks what its kind needs throws. */
export function eventFromRow(row: RunEventRow): RunEvent {
  const at = storedInstant(row.at);
  if (row.kind === 'finished') return { kind: 'finished', at };
  if (row.stepId === null) throw new Error(`run_events ${row.key} has no step`);
  const stepId = row.stepId as StepId;
  switch (row.kind) {
    case 'ticked':
    case 'unticked':
      return { kind: row.kind, stepId, at };
    case 'skipped':
      if (row.reason === null) throw new Error(`run_events ${row.key} has no reason`);
      return { kind: 'skipped', stepId, reason: row.reason, at };
    case 'counted':
      return { kind: 'counted', stepId, count: row.count ?? 0, at };
  }
}

export const rowFromEvent = (runKey: string, key: string, event: RunEvent): Omit<RunEventRow, 'sequence'> => ({
  key,
  runKey,
  kind: event.kind,
  stepId: event.kind === 'finished' ? null : event.stepId,
  reason: event.kind === 'skipped' ? event.reason : null,
  count: event.kind === 'counted' ? event.count : null,
  at: event.at,
});
