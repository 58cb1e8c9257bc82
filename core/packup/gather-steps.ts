import { isHazardous } from '#core/agents/guard.ts';
import { CASED_DAMP, type StepId } from '#core/book/care-ids.ts';
import type { CareItem } from '#core/book/care-item.ts';
import { itemIn } from '#core/book/practice.ts';
import type { ReadyFor, Step } from '#core/book/step.ts';
import { startOf } from '#core/handling/play-through.ts';
import { stepsFor } from '#core/packup/collect-steps.ts';
import { countFor } from '#core/packup/count-for.ts';
import { SECONDS_A_MINUTE } from '#core/packup/job.ts';
import { answerExpected } from '#core/packup/expected-answer.ts';
import { keepApart, type KeptApart } from '#core/packup/mixing-guard.ts';
import type { PlanReason } from '#core/packup/plan-reason.ts';
import {
  beforeOf,
  isUrgent,
  keepBlocks,
  setDownFirst,
  type Before,
  type Candidate,
} from '#core/packup/run-precedence.ts';
import type { RunPart, RunRequest } from '#core/packup/run-plan.ts';
import { runStep, runStepKey, type RunStepKey } from '#core/packup/run-step.ts';
import { handsForStep, paceOf } from '#core/players/player.ts';

/** Steps that only an answer nobody counts on calls for take no time in the plan, nor what is done on the way only. */
function isUsual({ calledBy, away }: Step, steps: readonly Step[], part: RunPart): boolean {
  if (away === 'only') return false;
  if (calledBy === undefined) return true;
  const look = steps.find(({ id }) => id === calledBy.look)?.look;
  const usual = look && answerExpected(look, part.expected?.get(calledBy.look)?.answer ?? null);
  return usual === undefined || calledBy.answers.includes(usual);
}

/** Of what was left on the way only that, and of what a look has called for by then only what it has. */
function stillToDo({ only, found }: RunPart): (step: Step) => boolean {
  if (only === undefined) return () => true;
  return ({ id, item, calledBy }) => {
    if (item === CASED_DAMP) return true;
    const answer = calledBy && found?.get(calledBy.look);
    return only.has(id) && (answer === undefined || calledBy?.answers.includes(answer) === true);
  };
}

/** Of several instruments made ready the last one stays in the hands and is played first. */
function readyForOf(parts: readonly RunPart[]): (part: RunPart) => ReadyFor {
  const last = parts.filter((part) => startOf(part) === 'before').at(-1);
  return (part) => (last !== undefined && part !== last && startOf(part) === 'before' ? 'later' : 'playing');
}

/** Minutes of one repeat: learned, else a beginner's, else the book's at this player's pace. */
function minutesOfOne({ id, minutes, beginnerMinutes }: Step, { player, learned }: RunRequest): number {
  const begun = player.standing === 'child' ? beginnerMinutes : undefined;
  return learned.get(id)?.value ?? begun?.value ?? minutes * paceOf(player.standing);
}

function candidatesOf(part: RunPart, request: RunRequest, isFirst: boolean): Candidate[] {
  const { player } = request;
  // Hands are washed once, however many cases are opened.
  const isLeft = stillToDo(part);
  const steps = stepsFor(part.practice, part.items, readyForOf(request.parts)(part)).filter(
    (step) =>
      isLeft(step) && (isFirst || !step.oncePerRun) && !request.without?.has(runStepKey(part.instrumentId, step.id)),
  );
  const standIns = standInsIn(steps);
  return steps.map((step) => {
    const unless = standIns.get(step.id) ?? [];
    const repeats = countFor(step.repeats, part);
    const minutes = minutesOfOne(step, request) * (repeats?.count ?? 1);
    return {
      ...runStep(part.instrumentId, step),
      part,
      unless,
      expects: part.expected?.get(step.id) ?? null,
      hands: handsForStep(step.skill, itemIn(part.practice, step.item)?.skill, player),
      repeats,
      activeMinutes: Math.round(minutes * SECONDS_A_MINUTE) / SECONDS_A_MINUTE,
      workSeconds: isUsual(step, steps, part) && unless.length === 0 ? Math.round(minutes * SECONDS_A_MINUTE) : 0,
    };
  });
}

/**
 * Steps that are done only where others of the run are not, because those do the same on the side: the bath greases the
 * slides, so the monthly grease waits to see whether the bath is done.
 */
function standInsIn(steps: readonly Step[]): ReadonlyMap<StepId, readonly StepId[]> {
  const onTheSide = steps.filter(({ alsoDoes }) => alsoDoes !== undefined);
  const doing = (item: CareItem['id']) =>
    onTheSide.filter((step) => step.item !== item && step.alsoDoes?.includes(item)).map(({ id }) => id);
  return new Map(steps.map(({ id, item }) => [id, doing(item)]));
}

export type Gathered = {
  readonly candidates: readonly Candidate[];
  readonly before: Before;
  readonly because: readonly PlanReason[];
};

/** Every step of the run with what must come before it, what would react with what kept apart. */
export function gatherSteps(request: RunRequest): Gathered {
  const { parts } = request;
  const all = parts.flatMap((part, index) => candidatesOf(part, request, index === 0));
  const gathered = parts.length > 1 ? [...all.filter(isUrgent), ...all.filter((one) => !isUrgent(one))] : all;
  const before = beforeOf(gathered, parts);
  if (parts.length > 1) {
    setDownFirst(gathered, parts, before);
    keepBlocks(gathered, before);
  }
  const agents = new Map(parts.flatMap(({ practice }) => [...practice.agents]));
  // Two of them are needed for anything to react; hardly a run has one.
  const { order, dropped }: KeptApart =
    gathered.filter(({ step }) => isHazardous(step, agents)).length > 1
      ? keepApart(
          gathered.map((one) => ({ ...one, before: new Set(before.get(one.key)) })),
          agents,
        )
      : { order: [], dropped: [] };
  if (order.length === 0 && dropped.length === 0) return { candidates: gathered, before, because: [] };
  const isDropped = ({ instrumentId, step }: Candidate) =>
    dropped.some((one) => one.instrumentId === instrumentId && one.item === step.item);
  const candidates = gathered.filter((one) => !isDropped(one));
  const headingOf = (key: RunStepKey) => gathered.find((one) => one.key === key)?.step.heading ?? key;
  for (const [first, second] of order) before.set(second, [...(before.get(second) ?? []), first]);
  const because = [
    ...order.map(([first, second]): PlanReason => ({
      rule: 'kept-apart',
      first: headingOf(first),
      second: headingOf(second),
    })),
    ...dropped.map(({ instrumentId, item, meets, gas }): PlanReason => {
      const part = parts.find((one) => one.instrumentId === instrumentId);
      return { rule: 'not-together', left: (part && itemIn(part.practice, item)?.name) ?? item, meets, gas };
    }),
  ];
  return { candidates, before, because };
}
