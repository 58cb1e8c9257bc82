import { chooseForTime, planned } from '#core/packup/choose-for-time.ts';
import { gatherSteps } from '#core/packup/gather-steps.ts';
import { jobsAmong, SECONDS_A_MINUTE, type Job } from '#core/packup/job.ts';
import { orderSteps, type Schedule } from '#core/packup/order-steps.ts';
import { answerExpected } from '#core/packup/expected-answer.ts';
import type { PlanReason } from '#core/packup/plan-reason.ts';
import type { Candidate } from '#core/packup/run-precedence.ts';
import { jobsOf } from '#core/packup/run-jobs.ts';
import type { LeftOut, RunPlan, RunRequest } from '#core/packup/run-plan.ts';
import { runStepKey } from '#core/packup/run-step.ts';
import { TURN_SECONDS } from '#core/packup/turning.ts';
import { paceOf } from '#core/players/player.ts';

const changeSeconds = TURN_SECONDS.value;

const usualLooks = (candidates: readonly Candidate[]): PlanReason[] =>
  candidates.flatMap(({ step: { id, look }, part, expects }): PlanReason[] => {
    const calls = part.practice.steps.some(({ calledBy }) => calledBy?.look === id);
    const usual = look?.answers.find((one) => one.id === answerExpected(look, expects?.answer ?? null));
    if (!look || !usual || !calls) return [];
    const { question } = look;
    const answer = usual.words;
    return expects === null
      ? [{ rule: 'usual-look', question, answer }]
      : [{ rule: 'own-look', question, answer, times: expects.times, looks: expects.looks }];
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
  const { candidates, before, because: guarded } = gatherSteps(request);
  const jobs = jobsOf(candidates, before, request.parts);
  const { chosen, leftOut, because } = chooseForTime(candidates, jobs, request);
  const isChosen = new Set(chosen);
  const ordered = jobsAmong(jobs, chosen);
  const schedule = orderSteps(ordered, { changeSeconds });
  const { order, starts, elapsedSeconds, boundSeconds, proved, keepsMost } = schedule;
  const turns = order.filter(
    (job, at) => at > 0 && ordered[job]?.instrument !== ordered[order[at - 1] ?? 0]?.instrument,
  ).length;
  const turning = turns * changeSeconds;
  const steps = order.flatMap((index) =>
    planned(candidates[chosen[index] ?? -1], (starts[index] ?? 0) / SECONDS_A_MINUTE),
  );
  const workSeconds = chosen.reduce((sum, job) => sum + (jobs[job]?.workSeconds ?? 0), 0);
  const waitMinutes = steps.reduce((sum, { step }) => sum + (step.wait?.minutes.value ?? 0), 0);
  const mosts = steps.filter(({ step }) => step.wait?.most !== undefined).length;
  const aside = new Set(steps.flatMap(({ step, instrumentId }) => (step.readyFor === 'later' ? [instrumentId] : [])));
  const elapsedMinutes = elapsedSeconds / SECONDS_A_MINUTE;
  const activeMinutes = workSeconds / SECONDS_A_MINUTE;
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
      { rule: 'order', proved, gapMinutes: (elapsedSeconds - boundSeconds) / SECONDS_A_MINUTE },
      ...(waitMinutes > 0
        ? [
            {
              rule: 'waits-overlapped',
              waitMinutes,
              idleMinutes: elapsedMinutes - activeMinutes - turning / SECONDS_A_MINUTE,
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
