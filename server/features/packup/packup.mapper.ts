import type { AloneId } from '#core/instruments/alone.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import { RUN_EVENTS, type RunEvent, type RunEventFields } from '#core/packup/run-event.ts';
import type { RunKind } from '#core/packup/run-log.ts';
import type { Run } from '#core/packup/run.ts';
import { fieldOf } from '#core/record/fact.ts';
import type { Instant } from '#core/time/instant.ts';
import type { Asked, RunEventRow, RunRow, RunShareRow } from '#server/features/packup/packup.table.ts';

/** One instrument's part in a run, as it is written down. */
export type RunShareBody = {
  readonly instrumentId: InstrumentId;
  /** The play it follows on: minutes and room are that play's, as it stands. */
  readonly playKey: string | null;
  /** Minutes an earlier version wrote beside the play, or without one; null since they are the play's. */
  readonly playedMinutes: number | null;
  /** The room where the play does not say, °C. */
  readonly roomCelsius: number;
  /** Only these parts are made ready or put away; null: all of it. */
  readonly alone: AloneId | null;
  /** Thirst of the cloth in use beside silk. */
  readonly thirst: number;
  /** What was asked for; undefined where nobody kept it. */
  readonly asked: Asked | undefined;
};

export type RunBody = {
  readonly shares: readonly RunShareBody[];
  readonly playerId: PlayerId;
  readonly kind: RunKind;
  readonly minutesAtHand: number | null;
  /** As it is written down, see stored-plan.ts. */
  readonly plan: string;
};

/** A run as the record has it. `id`: its place in the order of arrival; `plan`: as it is written down. */
export type RecordedRun = Run & { readonly id: number; readonly plan: string };

/** The only place where rows become the body of a run. */
export const runFromRows = (
  { playerId, kind, minutesAtHand, plan }: RunRow,
  shares: readonly RunShareRow[],
): RunBody => ({
  playerId,
  kind,
  minutesAtHand,
  plan,
  shares: shares.map(({ runId: _run, position: _position, asked, ...share }) => ({
    ...share,
    asked: asked ?? undefined,
  })),
});

export const rowsFromRun = (
  runId: number,
  { shares, ...run }: RunBody,
): { row: Omit<RunRow, 'finished'>; shareRows: RunShareRow[] } => ({
  row: { ...run, factId: runId },
  shareRows: shares.map(({ asked, ...share }, position) => ({
    ...share,
    runId,
    position,
    asked: asked ?? null,
  })),
});

export type RunEventBody = { readonly runKey: string; readonly event: RunEvent };

/** Where each field of an event is kept. */
const COLUMN_OF = {
  stepKey: 'stepKey',
  reason: 'reason',
  count: 'count',
  along: 'answer',
  answer: 'answer',
  found: 'answer',
} as const satisfies Record<keyof RunEventFields, keyof RunEventRow>;

/** The only place where a row becomes an event. @throws Error when it lacks what its kind says */
export function eventFromRow(row: RunEventRow, loggedAt: Instant): RunEvent {
  const { kind } = row;
  const fields = RUN_EVENTS[kind].fields.map((field) => {
    const value = row[COLUMN_OF[field]];
    if (value === null) throw new Error(`run_events ${row.factId} of kind ${kind} has no ${field}`);
    return [field, value];
  });
  // What a kind says is declared in the core, and was checked when it was written.
  return { kind, ...Object.fromEntries(fields), at: row.at ?? loggedAt } as RunEvent;
}

export function rowFromEvent(factId: number, runId: number, event: RunEvent): RunEventRow {
  const { kind, at } = event;
  const nothing = { stepKey: null, reason: null, count: null, answer: null };
  const columns = RUN_EVENTS[kind].fields.map((field) => [COLUMN_OF[field], fieldOf(event, field)]);
  return { factId, runId, kind, at, ...nothing, ...Object.fromEntries(columns) };
}
