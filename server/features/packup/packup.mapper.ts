import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import type { PlannedStep, PlanReason, RunPlan } from '#core/packup/run-plan.ts';
import type { RunEvent, RunKind } from '#core/packup/run-log.ts';
import type { RunStepKey } from '#core/packup/run-step.ts';
import type { StepId } from '#core/book/care-ids.ts';
import type { Instant } from '#core/time/instant.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { LAST_PASSES } from '#core/water/wetness.ts';
import type { RunEventRow, RunRow, RunShareRow } from '#server/features/packup/packup.table.ts';

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

/** One instrument's part in a run, as it is written down. */
export type RunShareBody = {
  readonly instrumentId: InstrumentId;
  /** The play it follows on: minutes and room are that play's, as it stands. */
  readonly playKey: string | null;
  /** Minutes an earlier version wrote beside the play, or without one; null since they are the play's. */
  readonly playedMinutes: number | null;
  /** The room where the play does not say, °C. */
  readonly roomCelsius: number;
  /** Thirst of the cloth in use beside silk. */
  readonly thirst: number;
  /** What was asked for; undefined where nobody kept it. */
  readonly asked: { readonly playKey: string | null; readonly itemIds: readonly string[] } | undefined;
};

export type RunBody = {
  readonly shares: readonly RunShareBody[];
  readonly playerId: PlayerId;
  readonly kind: RunKind;
  readonly minutesAtHand: number | null;
  readonly plan: StoredPlan;
};

/** One instrument's part in a run, with what was played before it as that stands now. */
export type RunShare = {
  readonly instrumentId: InstrumentId;
  readonly playKey: string | null;
  readonly playedMinutes: number;
  /** The room it was played in, °C. */
  readonly roomCelsius: number;
  readonly thirst: number;
};

/** A run as the record has it. `id`: its place in the order of arrival. */
export type Run = Omit<RunBody, 'shares'> & {
  readonly id: number;
  readonly key: string;
  readonly shares: readonly RunShare[];
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

/** The only place where rows become the body of a run. */
export const runFromRows = (
  { playerId, kind, minutesAtHand, plan }: RunRow,
  shares: readonly RunShareRow[],
): RunBody => ({
  playerId: playerId as PlayerId,
  kind,
  minutesAtHand,
  plan: JSON.parse(plan) as StoredPlan,
  shares: shares.map(({ instrumentId, playKey, playedMinutes, roomCelsius, thirst, asked }) => ({
    instrumentId: instrumentId as InstrumentId,
    playKey,
    playedMinutes,
    roomCelsius,
    thirst,
    asked: asked === null ? undefined : (JSON.parse(asked) as NonNullable<RunShareBody['asked']>),
  })),
});

export const rowsFromRun = (
  runId: number,
  { shares, plan, ...run }: RunBody,
): { row: Omit<RunRow, 'finished'>; shareRows: RunShareRow[] } => ({
  row: { ...run, factId: runId, plan: JSON.stringify(plan) },
  shareRows: shares.map(({ asked, ...share }, position) => ({
    ...share,
    runId,
    position,
    asked: asked === undefined ? null : JSON.stringify(asked),
  })),
});

type Without<Event, Field extends PropertyKey> = Event extends unknown ? Omit<Event, Field> : never;
/** A run event without its moment, which is the fact's. */
export type RunEventBody = { readonly runKey: string; readonly event: Without<RunEvent, 'at'> };

function present<Column extends keyof RunEventRow>(row: RunEventRow, column: Column): NonNullable<RunEventRow[Column]> {
  const value = row[column];
  if (value === null) throw new Error(`run_events ${row.factId} of kind ${row.kind} has no ${column}`);
  return value as NonNullable<RunEventRow[Column]>;
}

/** The only place where a row becomes an event; a row that lacks what its kind needs throws. */
export function eventFromRow(row: RunEventRow): RunEventBody['event'] {
  if (row.kind === 'finished') return { kind: 'finished' };
  const stepKey = present(row, 'stepKey') as RunStepKey;
  switch (row.kind) {
    case 'ticked':
    case 'unticked':
    case 'pulled-in':
      return { kind: row.kind, stepKey };
    case 'skipped':
      return { kind: 'skipped', stepKey, reason: present(row, 'reason') };
    case 'counted':
      return { kind: 'counted', stepKey, count: present(row, 'count') };
    case 'answered':
      return { kind: 'answered', stepKey, answer: present(row, 'answer') };
    case 'last-pass': {
      const found = LAST_PASSES.find((one) => one === row.answer);
      if (found === undefined) throw new Error(`run_events ${row.factId} does not say what the cloth showed`);
      return { kind: 'last-pass', stepKey, count: present(row, 'count'), found };
    }
  }
}

function answerIn(event: RunEventBody['event']): string | null {
  if (event.kind === 'last-pass') return event.found;
  return event.kind === 'answered' ? event.answer : null;
}

export const rowFromEvent = (factId: number, runId: number, event: RunEventBody['event']): RunEventRow => ({
  factId,
  runId,
  kind: event.kind,
  stepKey: event.kind === 'finished' ? null : event.stepKey,
  reason: event.kind === 'skipped' ? event.reason : null,
  count: event.kind === 'counted' || event.kind === 'last-pass' ? event.count : null,
  answer: answerIn(event),
});
