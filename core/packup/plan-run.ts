import type { CareItemId, StepId } from '#core/care/care-item.ts';
import { itemIn, type Practice } from '#core/care/practice-book.ts';
import type { Repeats, Step } from '#core/care/step.ts';
import type { WhyLine } from '#core/explain/explained.ts';
import { duration } from '#core/explain/format.ts';
import type { InstrumentKind } from '#core/instruments/kind.ts';
import { orderSteps, type Schedule } from '#core/packup/order-steps.ts';
import { precedence, stepsFor, type SchoolSetting } from '#core/packup/collect-steps.ts';
import { handsFor, paceOf, type Hands, type PlayerAbilities } from '#core/players/player.ts';
import { passesFor, type PassReason } from '#core/water/passes.ts';

/** How often a step is repeated in this run. */
export type Count = { readonly count: number; readonly noun: string; readonly because: readonly PassReason[] };

export type PlannedStep = {
  readonly step: Step;
  readonly hands: Hands;
  readonly repeats: Count | null;
  /** Handwork of all repeats at this player's pace, minutes (estimate). */
  readonly activeMinutes: number;
  /** When it would begin, minutes from the start of the run (estimate). */
  readonly startsAtMinute: number;
};

export type PlanReason =
  | { readonly rule: 'minutes-are-estimates'; readonly pace: number }
  | { readonly rule: 'order'; readonly proved: boolean; readonly gapMinutes: number }
  | { readonly rule: 'waits-overlapped'; readonly waitMinutes: number; readonly idleMinutes: number };

export type RunPlan = {
  readonly steps: readonly PlannedStep[];
  readonly activeMinutes: number;
  readonly elapsedMinutes: number;
  readonly because: readonly PlanReason[];
};

/** What a run is planned from. `playedMinutes` is 0 where nothing was played (a bath on a Sunday). */
export type RunRequest = {
  readonly kind: InstrumentKind;
  readonly practice: Practice;
  readonly items: readonly CareItemId[];
  readonly schools: SchoolSetting;
  readonly player: PlayerAbilities;
  readonly playedMinutes: number;
  readonly roomCelsius: number;
};

const SECONDS = 60;

/** How many times: the water model within the book's floor and ceiling, or the book's own count. */
export function countFor(
  repeats: Repeats | undefined,
  request: Pick<RunRequest, 'kind' | 'playedMinutes' | 'roomCelsius'>,
): Count | null {
  if (repeats === undefined) return null;
  if (repeats.kind === 'fixed') return { count: repeats.count.value, noun: repeats.noun, because: [] };
  const { value, because } = passesFor({
    water: request.kind.water,
    minutes: request.playedMinutes,
    roomCelsius: request.roomCelsius,
    least: repeats.least,
    most: repeats.most,
  });
  return { count: value, noun: 'pass', because };
}

function schedule(practice: Practice, steps: readonly Step[], seconds: readonly number[]): Schedule {
  const before = precedence(practice, steps);
  const indexOf = new Map<StepId, number>(steps.map(({ id }, index) => [id, index]));
  return orderSteps(
    steps.map((step, index) => ({
      workSeconds: seconds[index] ?? 0,
      after: [...(before.get(step.id) ?? [])].map((id) => {
        const job = indexOf.get(id) ?? 0;
        const wait = steps[job]?.wait;
        return { job, waitSeconds: wait?.until.includes(step.id) ? wait.minutes.value * SECONDS : 0 };
      }),
    })),
  );
}

/**
 * Plans a run: the steps that do `items` on this build under the schools in force, in the shortest order that keeps
 * every precedence of the book, with waits overlapped. Deterministic; minutes are estimates.
 */
export function planRun(request: RunRequest): RunPlan {
  const { practice, items, schools, player } = request;
  const steps = stepsFor(practice, items, schools);
  const pace = paceOf(player.standing);
  const counts = steps.map(({ repeats }) => countFor(repeats, request));
  const seconds = steps.map((step, index) => Math.round(step.minutes * SECONDS * pace * (counts[index]?.count ?? 1)));
  const { order, starts, elapsedSeconds, boundSeconds, proved } = schedule(practice, steps, seconds);
  const planned = order.flatMap((index): PlannedStep[] => {
    const step = steps[index];
    if (step === undefined) return [];
    return [
      {
        step,
        hands: handsFor(itemIn(practice, step.item)?.skill, player),
        repeats: counts[index] ?? null,
        activeMinutes: (seconds[index] ?? 0) / SECONDS,
        startsAtMinute: (starts[index] ?? 0) / SECONDS,
      },
    ];
  });
  const activeMinutes = seconds.reduce((sum, one) => sum + one, 0) / SECONDS;
  const waitMinutes = steps.reduce((sum, { wait }) => sum + (wait?.minutes.value ?? 0), 0);
  const elapsedMinutes = elapsedSeconds / SECONDS;
  return {
    steps: planned,
    activeMinutes,
    elapsedMinutes,
    because: [
      { rule: 'minutes-are-estimates', pace },
      { rule: 'order', proved, gapMinutes: (elapsedSeconds - boundSeconds) / SECONDS },
      ...(waitMinutes > 0
        ? [{ rule: 'waits-overlapped', waitMinutes, idleMinutes: elapsedMinutes - activeMinutes } as const]
        : []),
    ],
  };
}

/** A plan's reason in words. */
export function planReasonWords(reason: PlanReason): WhyLine {
  const { rule } = reason;
  switch (rule) {
    case 'minutes-are-estimates': {
      const beginner = reason.pace > 1 ? ` At a beginner’s pace, about ${reason.pace} times the practised time.` : '';
      return { rule, text: `The minutes of each step are this program’s estimates.${beginner}`, mark: 'estimate' };
    }
    case 'order': {
      const text = reason.proved
        ? 'No order that keeps what must come first is shorter.'
        : `The best order found; at most ${duration(reason.gapMinutes)} longer than the shortest.`;
      return { rule, text, mark: 'practice' };
    }
    case 'waits-overlapped':
      return {
        rule,
        text: `${duration(reason.waitMinutes)} of waiting run while other steps are done; about ${duration(reason.idleMinutes)} remain with idle hands.`,
        mark: 'estimate',
      };
  }
}
