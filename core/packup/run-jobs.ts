import { SECONDS_A_MINUTE, type Job } from '#core/packup/job.ts';
import { isFirstOfAll, type Before, type Candidate } from '#core/packup/run-precedence.ts';
import type { RunPart } from '#core/packup/run-plan.ts';
import type { RunStepKey } from '#core/packup/run-step.ts';

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

/** The steps of a run as jobs to be put in order: how long each takes, what it comes after, and how long it waits. */
export function jobsOf(candidates: readonly Candidate[], before: Before, parts: readonly RunPart[]): Job[] {
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
      const most = wait.most === undefined ? {} : { mostSeconds: wait.most.value * SECONDS_A_MINUTE };
      return [{ job, waitSeconds: wait.minutes.value * SECONDS_A_MINUTE, ...most }];
    }),
  }));
}
