import { CASED_DAMP } from '#core/book/care-ids.ts';
import type { CareItem } from '#core/book/care-item.ts';
import { itemIn } from '#core/book/practice.ts';
import type { Step } from '#core/book/step.ts';
import { protects } from '#core/care/what-matters.ts';
import { chooseSteps, shortestSeconds, type Unit } from '#core/packup/choose-steps.ts';
import { enabling } from '#core/packup/collect-steps.ts';
import { SECONDS_A_MINUTE, type Job } from '#core/packup/job.ts';
import type { PlanReason } from '#core/packup/plan-reason.ts';
import type { Candidate } from '#core/packup/run-precedence.ts';
import type { LeftOut, PlannedStep, RunPart, RunRequest } from '#core/packup/run-plan.ts';
import { runStepKey, type RunStepKey } from '#core/packup/run-step.ts';
import { TURN_SECONDS } from '#core/packup/turning.ts';
import { condensate, dryThreshold } from '#core/water/condensation.ts';

/** How far the shortest order is looked for with what was left out: how much longer it would take is said of each. */
const LEFT_OUT_NODES = 0;
/** What belongs to every play is exposed at least this much, however dry the player (estimate). */
const LEAST_EXPOSURE = 0.5;

/** What was left of every play on the way is laid out with the rest of it: that is the same work, later. */
const isEveryPlay = (item: CareItem | undefined): boolean =>
  item?.trigger.kind === 'every-play' || item?.id === CASED_DAMP;

/** An instrument half put together is not played: making ready is done whole, but for what is done only if needed. */
const belongsToJoining = (item: CareItem | undefined, { onlyIf }: Step): boolean =>
  item?.trigger.kind === 'every-play' && item.trigger.moment === 'before' && onlyIf === undefined;

/**
 * What a step protects: of what belongs to every play the exposure is the water present against the dry threshold, of
 * anything else how far its clock has run.
 */
function valueOf({ part, step }: Candidate): number {
  const item = itemIn(part.practice, step.item);
  if (item === undefined) return 0;
  if (!isEveryPlay(item)) return protects(part.kind, item, part.loads.get(item.id) ?? 1);
  const { water } = part.kind;
  const wet = condensate(water, part.playedMinutes, part.roomCelsius) / dryThreshold(water);
  return protects(part.kind, { part: step.part, severity: item.severity }, Math.max(LEAST_EXPOSURE, wet));
}

/** What is opened is closed: a periodic item is done whole; of every play each step that is no must stands alone. */
function unitsOf(candidates: readonly Candidate[]): { must: number[]; units: Unit[] } {
  const must: number[] = [];
  const groups = new Map<string, { jobs: number[]; value: number }>();
  candidates.forEach((candidate, index) => {
    const { step, part, key, instrumentId } = candidate;
    const item = itemIn(part.practice, step.item);
    const everyPlay = isEveryPlay(item);
    const isMust = step.must === true || step.closing === true || belongsToJoining(item, step);
    if (everyPlay && isMust) return void must.push(index);
    const group = everyPlay ? key : `${instrumentId}:${step.item}`;
    const known = groups.get(group);
    if (known) known.jobs.push(index);
    else groups.set(group, { jobs: [index], value: valueOf(candidate) });
    return undefined;
  });
  return { must, units: [...groups.values()] };
}

function requiresOf(candidates: readonly Candidate[], parts: readonly RunPart[]): number[][] {
  const indexOf = new Map<RunStepKey, number>(candidates.map(({ key }, index) => [key, index]));
  const needed = new Map(parts.map((part) => [part.instrumentId, enabling(part.practice)]));
  const included = (part: RunPart, step: Step): number[] => {
    const ids = itemIn(part.practice, step.item)?.includes ?? [];
    return candidates.flatMap((one, index) =>
      one.instrumentId === part.instrumentId && ids.includes(one.step.item) ? [index] : [],
    );
  };
  return candidates.map(({ instrumentId, step, part }) => [
    ...[...(needed.get(instrumentId)?.get(step.id) ?? [])].flatMap(
      (id) => indexOf.get(runStepKey(instrumentId, id)) ?? [],
    ),
    ...included(part, step),
  ]);
}

export type Chosen = {
  readonly chosen: readonly number[];
  readonly leftOut: readonly LeftOut[];
  readonly because: readonly PlanReason[];
};

/** All of it, or what fits the minutes at hand. */
export function chooseForTime(candidates: readonly Candidate[], jobs: readonly Job[], request: RunRequest): Chosen {
  const all = candidates.map((_, index) => index);
  const { minutesAtHand: minutes, parts } = request;
  if (minutes === null) return { chosen: all, leftOut: [], because: [] };
  const { must, units } = unitsOf(candidates);
  const requires = requiresOf(candidates, parts);
  const limitSeconds = Math.round(minutes * SECONDS_A_MINUTE);
  const choice = chooseSteps({ jobs, must, units, requires, limitSeconds, changeSeconds: TURN_SECONDS.value });
  const leftOut = choice.leftOut.map((index): LeftOut => {
    const unit = units[index] ?? { jobs: [], value: 0 };
    const grown = [...new Set([...choice.chosen, ...unit.jobs.flatMap((job) => [job, ...(requires[job] ?? [])])])];
    const { seconds } = shortestSeconds(
      jobs,
      grown.toSorted((a, b) => a - b),
      { changeSeconds: TURN_SECONDS.value, nodes: LEFT_OUT_NODES },
    );
    return {
      steps: unit.jobs.flatMap((job) => planned(candidates[job], null)),
      value: unit.value,
      moreMinutes: Math.max(0, seconds - limitSeconds) / SECONDS_A_MINUTE,
    };
  });
  const mustMinutes = choice.mustSeconds / SECONDS_A_MINUTE;
  return {
    chosen: choice.chosen,
    leftOut: leftOut.toSorted((a, b) => b.value - a.value),
    because: [
      mustMinutes > minutes
        ? { rule: 'must-exceeds', minutes, mustMinutes }
        : { rule: 'time-at-hand', minutes, mustMinutes, proved: choice.proved },
    ],
  };
}

/** A candidate as the plan tells it; nothing where there is none. */
export function planned(candidate: Candidate | undefined, startsAtMinute: number | null): PlannedStep[] {
  if (candidate === undefined) return [];
  const { part: _part, workSeconds: _work, ...step } = candidate;
  return [{ ...step, standsOn: [], away: 'now', startsAtMinute }];
}
