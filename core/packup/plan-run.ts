import { isHazardous } from '#core/agents/guard.ts';
import type { CareItem } from '#core/book/care-item.ts';
import { itemIn } from '#core/book/practice.ts';
import type { ReadyFor, Step } from '#core/book/step.ts';
import { protects } from '#core/care/what-matters.ts';
import { chooseSteps, shortestSeconds, type Unit } from '#core/packup/choose-steps.ts';
import { enabling, stepsFor } from '#core/packup/collect-steps.ts';
import {
  beforeOf,
  isFirstOfAll,
  isUrgent,
  keepBlocks,
  type Before,
  type Candidate,
} from '#core/packup/run-precedence.ts';
import { startOf } from '#core/handling/play-through.ts';
import { countFor } from '#core/packup/count-for.ts';
import { keepApart, type KeptApart } from '#core/packup/mixing-guard.ts';
import { jobsAmong, type Job } from '#core/packup/job.ts';
import { orderSteps, type Schedule } from '#core/packup/order-steps.ts';
import { TURN_SECONDS } from '#core/packup/turning.ts';
import type { StepId } from '#core/book/care-ids.ts';
import type { PlanReason } from '#core/packup/plan-reason.ts';
import type { LeftOut, PlannedStep, RunPart, RunPlan, RunRequest } from '#core/packup/run-plan.ts';
import { runStep, runStepKey, type RunStepKey } from '#core/packup/run-step.ts';
import { handsForStep, paceOf } from '#core/players/player.ts';
import { condensate, dryThreshold } from '#core/water/condensation.ts';

const SECONDS = 60;
const changeSeconds = TURN_SECONDS.value;
/** How far the shortest order is looked for with what was left out: how much longer it would take is said of each. */
const LEFT_OUT_NODES = 0;
/** What belongs to every play is exposed at least this much, however dry the player (estimate). */
const LEAST_EXPOSURE = 0.5;

/** A look's steps that only an unusual answer calls for take no time in the plan: the first answer is the usual one. */
function isUsual(step: Step, steps: readonly Step[]): boolean {
  const { calledBy } = step;
  if (calledBy === undefined) return true;
  const usual = steps.find(({ id }) => id === calledBy.look)?.look?.answers[0]?.id;
  return usual === undefined || calledBy.answers.includes(usual);
}

/** Of several instruments made ready the last one stays in the hands and is played first. */
function readyForOf(parts: readonly RunPart[]): (part: RunPart) => ReadyFor {
  const last = parts.filter((part) => startOf(part) === 'before').at(-1);
  return (part) => (last !== undefined && part !== last && startOf(part) === 'before' ? 'later' : 'playing');
}

function candidatesOf(part: RunPart, request: RunRequest, isFirst: boolean): Candidate[] {
  const { player, learned } = request;
  const pace = paceOf(player.standing);
  // Hands are washed once, however many cases are opened.
  const steps = stepsFor(part.practice, part.items, readyForOf(request.parts)(part)).filter(
    ({ id, oncePerRun }) => (isFirst || !oncePerRun) && !request.without?.has(runStepKey(part.instrumentId, id)),
  );
  const standIns = standInsIn(steps);
  return steps.map((step) => {
    const unless = standIns.get(step.id) ?? [];
    const repeats = countFor(step.repeats, part);
    const own = learned.get(step.id);
    const begun = player.standing === 'child' ? step.beginnerMinutes : undefined;
    const minutes = (own?.value ?? begun?.value ?? step.minutes * pace) * (repeats?.count ?? 1);
    return {
      ...runStep(part.instrumentId, step),
      part,
      unless,
      hands: handsForStep(step.skill, itemIn(part.practice, step.item)?.skill, player),
      repeats,
      activeMinutes: Math.round(minutes * SECONDS) / SECONDS,
      workSeconds: isUsual(step, steps) && unless.length === 0 ? Math.round(minutes * SECONDS) : 0,
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

type Gathered = {
  readonly candidates: readonly Candidate[];
  readonly before: Before;
  readonly because: readonly PlanReason[];
};

/** Every step of the run with what must come before it, what would react with what kept apart. */
function gather(request: RunRequest): Gathered {
  const { parts } = request;
  const all = parts.flatMap((part, index) => candidatesOf(part, request, index === 0));
  const gathered = parts.length > 1 ? [...all.filter(isUrgent), ...all.filter((one) => !isUrgent(one))] : all;
  const before = beforeOf(gathered, parts);
  if (parts.length > 1) keepBlocks(gathered, before);
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

/** At which instrument hands are at each step; what comes first on all of them, and what leads there, is one round. */
function handsAt(
  candidates: readonly Candidate[],
  before: Before,
  parts: readonly RunPart[],
): (one: Candidate) => Pick<Job, 'instrument'> {
  if (parts.length < 2) return () => ({});
  const first = candidates.filter(isFirstOfAll).map(({ key }) => key);
  const round = new Set([...first, ...first.flatMap((key) => before.get(key) ?? [])]);
  return ({ key, part }) => ({ instrument: round.has(key) ? 0 : 1 + parts.indexOf(part) });
}

function jobsOf(candidates: readonly Candidate[], before: Before, parts: readonly RunPart[]): Job[] {
  const indexOf = new Map<RunStepKey, number>(candidates.map(({ key }, index) => [key, index]));
  const at = handsAt(candidates, before, parts);
  return candidates.map((candidate) => ({
    workSeconds: candidate.workSeconds,
    ...at(candidate),
    after: (before.get(candidate.key) ?? []).flatMap((earlier) => {
      const job = indexOf.get(earlier);
      if (job === undefined) return [];
      const { step, instrumentId } = candidates[job] ?? {};
      // Two clarinets have the same steps: a reed that soaks is waited for by its own instrument alone.
      const wait = instrumentId === candidate.instrumentId ? step?.wait : undefined;
      if (!wait?.until.includes(candidate.step.id)) return [{ job, waitSeconds: 0 }];
      const most = wait.most === undefined ? {} : { mostSeconds: wait.most.value * SECONDS };
      return [{ job, waitSeconds: wait.minutes.value * SECONDS, ...most }];
    }),
  }));
}

const isEveryPlay = (item: CareItem | undefined): boolean => item?.trigger.kind === 'every-play';

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

type Chosen = {
  readonly chosen: readonly number[];
  readonly leftOut: readonly LeftOut[];
  readonly because: readonly PlanReason[];
};

/** All of it, or what fits the minutes at hand. */
function choose(candidates: readonly Candidate[], jobs: readonly Job[], request: RunRequest): Chosen {
  const all = candidates.map((_, index) => index);
  const { minutesAtHand: minutes, parts } = request;
  if (minutes === null) return { chosen: all, leftOut: [], because: [] };
  const { must, units } = unitsOf(candidates);
  const requires = requiresOf(candidates, parts);
  const limitSeconds = Math.round(minutes * SECONDS);
  const choice = chooseSteps({ jobs, must, units, requires, limitSeconds, changeSeconds });
  const leftOut = choice.leftOut.map((index): LeftOut => {
    const unit = units[index] ?? { jobs: [], value: 0 };
    const grown = [...new Set([...choice.chosen, ...unit.jobs.flatMap((job) => [job, ...(requires[job] ?? [])])])];
    const { seconds } = shortestSeconds(
      jobs,
      grown.toSorted((a, b) => a - b),
      { changeSeconds, nodes: LEFT_OUT_NODES },
    );
    return {
      steps: unit.jobs.flatMap((job) => planned(candidates[job], null)),
      value: unit.value,
      moreMinutes: Math.max(0, seconds - limitSeconds) / SECONDS,
    };
  });
  const mustMinutes = choice.mustSeconds / SECONDS;
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

function planned(candidate: Candidate | undefined, startsAtMinute: number | null): PlannedStep[] {
  if (candidate === undefined) return [];
  const { part: _part, workSeconds: _work, ...step } = candidate;
  return [{ ...step, standsOn: [], startsAtMinute }];
}

const usualLooks = (candidates: readonly Candidate[]): PlanReason[] =>
  candidates.flatMap(({ step, part }): PlanReason[] => {
    const [usual] = step.look?.answers ?? [];
    const calls = part.practice.steps.some(({ calledBy }) => calledBy?.look === step.id);
    return step.look && usual && calls
      ? [{ rule: 'usual-look', question: step.look.question, answer: usual.words }]
      : [];
  });

/** What stood in for steps of others, and was left out for want of time: those steps are then done after all. */
function standInsLeftOut({ steps, leftOut }: RunPlan): LeftOut[] {
  const wanted = new Set(steps.flatMap(({ instrumentId, unless }) => unless.map((id) => runStepKey(instrumentId, id))));
  return leftOut.filter((one) => one.steps.some(({ key }) => wanted.has(key)));
}

/** A plan, and what its order was found for: whoever doubts that it is the shortest can look again. */
export type OrderedPlan = {
  readonly plan: RunPlan;
  readonly ordered: { readonly jobs: readonly Job[]; readonly schedule: Schedule };
};

/**
 * Plans a run over one or several instruments: the steps that do the items of each on its build under the methods in
 * force, in the shortest order that keeps every precedence of the book, with waits overlapped; in the minutes at hand,
 * the must-steps always and of the rest what protects most. Deterministic; minutes are estimates or learned. What each
 * step stands on is found for a run that is kept, see `with-stands-on.ts`.
 */
export const planRun = (request: RunRequest): RunPlan => planAndOrder(request).plan;

/** The same as {@link planRun}, with what its order was found for. */
export function planAndOrder(request: RunRequest): OrderedPlan {
  const first = planOnce(request);
  const given = standInsLeftOut(first.plan);
  if (given.length === 0) return first;
  const without = new Set(given.flatMap(({ steps }) => steps.map(({ key }) => key)));
  const { plan, ordered } = planAndOrder({ ...request, without: new Set([...(request.without ?? []), ...without]) });
  return { plan: { ...plan, leftOut: [...plan.leftOut, ...given].toSorted((a, b) => b.value - a.value) }, ordered };
}

function planOnce(request: RunRequest): OrderedPlan {
  const { player, minutesAtHand, learned } = request;
  const { candidates, before, because: guarded } = gather(request);
  const jobs = jobsOf(candidates, before, request.parts);
  const { chosen, leftOut, because } = choose(candidates, jobs, request);
  const isChosen = new Set(chosen);
  const ordered = jobsAmong(jobs, chosen);
  const schedule = orderSteps(ordered, { changeSeconds });
  const { order, starts, elapsedSeconds, boundSeconds, proved, keepsMost } = schedule;
  const turns = order.filter(
    (job, at) => at > 0 && ordered[job]?.instrument !== ordered[order[at - 1] ?? 0]?.instrument,
  ).length;
  const turning = turns * changeSeconds;
  const steps = order.flatMap((index) => planned(candidates[chosen[index] ?? -1], (starts[index] ?? 0) / SECONDS));
  const workSeconds = chosen.reduce((sum, job) => sum + (jobs[job]?.workSeconds ?? 0), 0);
  const waitMinutes = steps.reduce((sum, { step }) => sum + (step.wait?.minutes.value ?? 0), 0);
  const mosts = steps.filter(({ step }) => step.wait?.most !== undefined).length;
  const aside = new Set(steps.flatMap(({ step, instrumentId }) => (step.readyFor === 'later' ? [instrumentId] : [])));
  const elapsedMinutes = elapsedSeconds / SECONDS;
  const activeMinutes = workSeconds / SECONDS;
  const plan: RunPlan = {
    steps,
    leftOut,
    activeMinutes,
    elapsedMinutes,
    because: [
      ...because,
      ...guarded,
      {
        rule: 'minutes-are-estimates',
        pace: paceOf(player.standing),
        learned: steps.filter(({ step }) => learned.has(step.id)).length,
      },
      { rule: 'order', proved, gapMinutes: (elapsedSeconds - boundSeconds) / SECONDS },
      ...(waitMinutes > 0
        ? [
            {
              rule: 'waits-overlapped',
              waitMinutes,
              idleMinutes: elapsedMinutes - activeMinutes - turning / SECONDS,
            } as const,
          ]
        : []),
      ...(mosts > 0 ? [{ rule: 'most-of-waits', waits: mosts, isKept: keepsMost } as const] : []),
      ...(aside.size > 0 ? [{ rule: 'set-aside', instruments: aside.size } as const] : []),
      ...(turns > 0 ? [{ rule: 'turning', turns, seconds: changeSeconds } as const] : []),
      ...usualLooks(candidates.filter((_, index) => minutesAtHand === null || isChosen.has(index))),
    ],
  };
  return { plan, ordered: { jobs: ordered, schedule } };
}
