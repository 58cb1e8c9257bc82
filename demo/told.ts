import type { CareItemId } from '#core/book/care-ids.ts';
import type { DEMO_CHOICES, DEMO_CONDITIONS } from '#demo/judgements.demo.ts';
import type { Instrument, InstrumentId } from '#core/instruments/instrument.ts';
import type { PartId } from '#core/instruments/kind.ts';
import type { KeptPlan } from '#core/packup/kept-plan.ts';
import type { LoggedRunEvent } from '#core/packup/run-event.ts';
import type { CareDone, SignSeen } from '#core/packup/run-care.ts';
import type { Run, RunShare } from '#core/packup/run.ts';
import type { Player } from '#core/players/profile.ts';
import type { Play } from '#core/plays/play.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import type { DemoExamination } from '#demo/double-reeds.demo.ts';
import type { DemoReeds } from '#demo/reeds.demo.ts';

/** Of a demo play the minute it ended is always known. */
export type DemoPlay = Play & { readonly endedAtMinute: number };
/** A run of one instrument, with all that happened in it. */
export type DemoRun = Run &
  RunShare & {
    readonly plan: KeptPlan;
    readonly log: readonly LoggedRunEvent[];
    readonly done: readonly CareDone[];
    /** What it put in the record as noticed. */
    readonly seen: readonly SignSeen[];
  };
export type DemoCare = {
  readonly key: string;
  readonly instrumentId: InstrumentId;
  readonly itemId: CareItemId;
  readonly doneOn: LocalDate;
  readonly by: 'player' | 'bench';
};

export type DemoSign = {
  readonly key: string;
  readonly instrumentId: InstrumentId;
  readonly itemId: CareItemId;
  readonly part: PartId;
  readonly noticedOn: LocalDate;
};

export type DemoChoice = (typeof DEMO_CHOICES)[number] & { readonly key: string; readonly chosenOn: LocalDate };
export type DemoCondition = (typeof DEMO_CONDITIONS)[number] & { readonly key: string; readonly beginsOn: LocalDate };

/** Everything the demo record holds, as facts. */
export type DemoWorld = {
  readonly players: readonly Player[];
  readonly instruments: readonly Instrument[];
  readonly plays: readonly DemoPlay[];
  readonly runs: readonly DemoRun[];
  readonly care: readonly DemoCare[];
  readonly signs: readonly DemoSign[];
  readonly choices: readonly DemoChoice[];
  readonly conditions: readonly DemoCondition[];
  readonly reeds: DemoReeds;
  readonly tables: readonly DemoExamination[];
};
