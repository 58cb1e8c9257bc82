import type { CareItemId, StepId } from '#core/book/care-ids.ts';
import type { SignId } from '#core/book/fault.ts';
import type { Step } from '#core/book/step.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import type { PartId } from '#core/instruments/kind.ts';
import type { OnTheWay } from '#core/packup/on-the-way.ts';
import type { PlanReason } from '#core/packup/plan-reason.ts';
import type { PlannedStep, RunPlan } from '#core/packup/run-plan.ts';
import type { RunStepKey } from '#core/packup/run-step.ts';

/** A look as a run keeps it. */
export type KeptLook = {
  readonly question: string;
  readonly answers: readonly {
    readonly id: string;
    readonly words: string;
    /** The sign it puts in the record; null also in plans from before signs were one list. */
    readonly sign: SignId | null;
    /** The care that sign calls for. */
    readonly notice: CareItemId | null;
    /** Nothing more of its item is done. */
    readonly endsItem: boolean;
    /** Other items of which nothing more is done. */
    readonly alsoEnds: readonly CareItemId[];
  }[];
};

/** A step as its run keeps it: all that its log must know of it, whatever a later version of the book says. */
export type KeptStep = {
  readonly key: RunStepKey;
  readonly instrumentId: InstrumentId;
  readonly id: StepId;
  readonly item: CareItemId;
  readonly part: PartId;
  readonly heading: string;
  readonly must: boolean;
  readonly closing: boolean;
  readonly look: KeptLook | null;
  /** Nothing but looking is done in it. */
  readonly onlyLooks: boolean;
  /** Called for only by one of these answers to that look. */
  readonly calledBy: { readonly look: StepId; readonly answers: readonly string[] } | null;
  /** Done only where none of these has been: they do the same and more. */
  readonly unless: readonly StepId[];
  /** Cannot be done where one of these was left undone: what has not been taken off is not put back. */
  readonly standsOn: readonly StepId[];
  /** Minutes that must pass before the steps named may begin. */
  readonly wait: {
    readonly minutes: number;
    /** It is not left longer than this; null where that does no harm. */
    readonly most: number | null;
    readonly why: string;
    readonly until: readonly StepId[];
  } | null;
  readonly alsoDoes: readonly CareItemId[];
  /** What becomes of it where the instrument is packed up on the way. */
  readonly away: OnTheWay;
  /** What its look is counted on to find; null: its first answer. */
  readonly expects: string | null;
  /** Its count is the water model's, and can be tuned by a tap. */
  readonly passes: boolean;
  /** Repeats planned; null where it is simply done. */
  readonly count: number | null;
  /** Handwork of all repeats, minutes. */
  readonly activeMinutes: number;
  /** Minutes from the start of the run; null for what was left out. */
  readonly startsAtMinute: number | null;
};

/** What did not fit the minutes at hand, whole, with what it would protect and how much longer it would take, minutes. */
export type KeptLeftOut = { readonly steps: readonly KeptStep[]; readonly value: number; readonly moreMinutes: number };

/** The plan of a run as it was shown when the run began. */
export type KeptPlan = {
  readonly steps: readonly KeptStep[];
  readonly leftOut: readonly KeptLeftOut[];
  readonly activeMinutes: number;
  readonly elapsedMinutes: number;
  readonly because: readonly PlanReason[];
};

const keptWait = (wait: Step['wait']): KeptStep['wait'] =>
  wait === undefined
    ? null
    : { minutes: wait.minutes.value, most: wait.most?.value ?? null, why: wait.why, until: wait.until };

/** What a run keeps of a step of the book. */
export const keptOf = ({ id, item, part, heading, ...step }: Step) => ({
  id,
  item,
  part,
  heading,
  must: step.must === true,
  closing: step.closing === true,
  look: step.look
    ? {
        question: step.look.question,
        answers: step.look.answers.map(({ notice, calls, endsItem, alsoEnds, ...answer }) => ({
          id: answer.id,
          words: answer.words,
          sign: calls === undefined ? null : (notice ?? null),
          notice: calls ?? null,
          endsItem: endsItem === true,
          alsoEnds: alsoEnds ?? [],
        })),
      }
    : null,
  onlyLooks: step.look !== undefined && step.does.every((deed) => deed.do === 'look'),
  calledBy: step.calledBy ?? null,
  wait: keptWait(step.wait),
  alsoDoes: step.alsoDoes ?? [],
  // What the plan says of it beside the book.
  unless: [] as readonly StepId[],
  standsOn: [] as readonly StepId[],
  away: 'now' as OnTheWay,
  expects: null as string | null,
  passes: step.repeats?.kind === 'passes-by-water',
});

const keptStep = ({
  key,
  instrumentId,
  step,
  repeats,
  activeMinutes,
  startsAtMinute,
  ...one
}: PlannedStep): KeptStep => ({
  key,
  instrumentId,
  ...keptOf(step),
  unless: one.unless,
  standsOn: one.standsOn,
  away: one.away,
  expects: one.expects?.answer ?? null,
  count: repeats?.count ?? null,
  activeMinutes,
  startsAtMinute,
});

/** A plan as it is kept. */
export const keepPlan = ({ steps, leftOut, activeMinutes, elapsedMinutes, because }: RunPlan): KeptPlan => ({
  steps: steps.map(keptStep),
  leftOut: leftOut.map(({ steps: left, value, moreMinutes }) => ({ steps: left.map(keptStep), value, moreMinutes })),
  activeMinutes,
  elapsedMinutes,
  because,
});
