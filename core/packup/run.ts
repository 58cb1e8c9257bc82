import type { AloneId } from '#core/instruments/alone.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import type { RunKind } from '#core/packup/run-log.ts';
import type { Instant } from '#core/time/instant.ts';
import type { LocalDate } from '#core/time/local-date.ts';

/** One instrument's part in a run, with what was played before it as that stands now. */
export type RunShare = {
  readonly instrumentId: InstrumentId;
  /** The play it follows on: minutes and room are that play's. */
  readonly playKey: string | null;
  readonly playedMinutes: number;
  /** The room it was played in, °C. */
  readonly roomCelsius: number;
  /** Only these parts are made ready or put away; null: all of it. */
  readonly alone: AloneId | null;
  /** Thirst of the cloth in use beside silk. */
  readonly thirst: number;
  /** Care that was asked for beside what belongs to every play; empty where nobody kept it. */
  readonly askedItems: readonly string[];
};

/** A run as it was begun. What was planned and what happened are its plan and its log. */
export type Run = {
  readonly key: string;
  readonly playerId: PlayerId;
  readonly kind: RunKind;
  /** Null: all the time it takes. */
  readonly minutesAtHand: number | null;
  readonly startedOn: LocalDate;
  readonly startedAtMinute: number;
  readonly startedAt: Instant;
};
