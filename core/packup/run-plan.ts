import type { CareItemId, StepId } from '#core/book/care-ids.ts';
import type { Practice } from '#core/book/practice.ts';
import type { Marked } from '#core/explain/explained.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import type { InstrumentKind } from '#core/instruments/kind.ts';
import type { Count } from '#core/packup/count-for.ts';
import type { PlanReason } from '#core/packup/plan-reason.ts';
import type { RunStep, RunStepKey } from '#core/packup/run-step.ts';
import type { Hands, PlayerAbilities } from '#core/players/player.ts';
import type { Expected } from '#core/packup/expected-answer.ts';
import type { OnTheWay } from '#core/packup/on-the-way.ts';
import type { Wetness } from '#core/water/wetness.ts';

export type PlannedStep = RunStep & {
  /** Done only where none of these of its instrument has been: they do the same and more. */
  readonly unless: readonly StepId[];
  /** Cannot be done where one of these of its instrument was left undone. */
  readonly standsOn: readonly StepId[];
  /** What becomes of it where the instrument is packed up on the way. */
  readonly away: OnTheWay;
  /** What its look is counted on to find, where that is not the book's usual answer. */
  readonly expects: Expected | null;
  readonly hands: Hands;
  readonly repeats: Count | null;
  /** Handwork of all repeats at this player's pace, minutes (estimate, or learned from ticks). */
  readonly activeMinutes: number;
  /** When it would begin, minutes from the start of the run (estimate); null for a step left out. */
  readonly startsAtMinute: number | null;
};

/** What does not fit the minutes at hand, whole, with what it would protect and how long it would take besides. */
export type LeftOut = { readonly steps: readonly PlannedStep[]; readonly value: number; readonly moreMinutes: number };

export type RunPlan = {
  readonly steps: readonly PlannedStep[];
  readonly leftOut: readonly LeftOut[];
  readonly activeMinutes: number;
  readonly elapsedMinutes: number;
  readonly because: readonly PlanReason[];
};

/** One instrument's share of a run. `playedMinutes` is 0 where nothing was played (a bath on a Sunday). */
export type RunPart = {
  readonly instrumentId: InstrumentId;
  readonly kind: InstrumentKind;
  /** As this player does it: under the methods in force. */
  readonly practice: Practice;
  readonly items: readonly CareItemId[];
  /** Of what belongs to every play only these steps: what was left on the way. Null: all of them. */
  readonly only?: ReadonlySet<StepId>;
  /** What looks have found before, where their own run is over. */
  readonly found?: ReadonlyMap<StepId, string>;
  /** What its player usually finds. */
  readonly expected?: ReadonlyMap<StepId, Expected>;
  readonly playedMinutes: number;
  /** The room it was played in, °C. */
  readonly roomCelsius: number;
  /** What is known of how wet this player blows it. */
  readonly wetness: Wetness;
  /** How far each clock has run, where one runs; it weighs what is left out. */
  readonly loads: ReadonlyMap<CareItemId, number | null>;
};

export type RunRequest = {
  readonly parts: readonly RunPart[];
  readonly player: PlayerAbilities;
  /** Null: all the time it takes. */
  readonly minutesAtHand: number | null;
  /** Steps that are not to be in it, whatever their items. */
  readonly without?: ReadonlySet<RunStepKey>;
  /** Minutes of one repeat of a step, learned from the player's own ticks. */
  readonly learned: ReadonlyMap<StepId, Marked>;
};
