import type { StepId } from '#core/book/care-ids.ts';
import type { Practice } from '#core/book/practice.ts';
import type { Marked } from '#core/explain/explained.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import { answersExpected, type Expected } from '#core/packup/expected-answer.ts';
import { learnMinutes, type TickedRun } from '#core/packup/learn-minutes.ts';
import type { LoggedRunEvent, RunEvent } from '#core/packup/run-event.ts';
import type { RunPart } from '#core/packup/run-plan.ts';
import { stepKeyText } from '#core/packup/run-step.ts';
import { paceOf, type PlayerAbilities } from '#core/players/player.ts';
import { msOfInstant } from '#core/time/instant.ts';
import type { RecordedRun } from '#server/features/packup/packup.mapper.ts';
import { countsIn } from '#server/features/packup/stored-plan.ts';

const RUNS_LEARNED_FROM = 15;

const isDone = (event: RunEvent) =>
  event.kind === 'ticked' || event.kind === 'ticked-along' || event.kind === 'answered' || event.kind === 'not-looked';

/** What was ticked in a run, and when. Only a run of this instrument alone tells how long a step takes. */
function tickedRun(run: RecordedRun, log: readonly LoggedRunEvent[]): TickedRun {
  const planned = countsIn(run.plan);
  const ticks = log.flatMap(({ event }) => {
    if (!isDone(event)) return [];
    const step = planned.get(event.stepKey);
    return step
      ? [{ stepId: step.id, atMs: msOfInstant(event.at), repeats: step.count, byItself: event.kind !== 'ticked-along' }]
      : [];
  });
  return { startedAtMs: msOfInstant(run.startedAt), ticks };
}

type Runs = {
  readonly newestFinished: (instrumentId: string, limit: number) => (RecordedRun & { readonly alone: boolean })[];
  readonly log: (runId: number) => LoggedRunEvent[];
};

/** The minutes this player takes over the steps of these instruments, from their last finished runs. */
export const createLearnedMinutes =
  ({ newestFinished, log }: Runs) =>
  (parts: readonly RunPart[], player: PlayerAbilities & { readonly id: PlayerId }): ReadonlyMap<StepId, Marked> => {
    const pace = paceOf(player.standing);
    const own = parts.flatMap(({ instrumentId, practice }) => {
      const runs = newestFinished(instrumentId, RUNS_LEARNED_FROM).filter(
        ({ playerId, alone }) => playerId === player.id && alone,
      );
      const ticked = runs.map((run) => tickedRun(run, log(run.id)));
      return [...learnMinutes(ticked, stepEstimates(practice, pace))];
    });
    return new Map(own);
  };

/** Answers of looks by step, over some logs. */
function answersIn(instrumentId: string, logs: readonly (readonly LoggedRunEvent[])[], ids: readonly StepId[]) {
  const keyOf = new Map(ids.map((id) => [stepKeyText(instrumentId, id), id]));
  const given = new Map<StepId, string[]>();
  for (const log of logs) {
    // Said twice in one run, the last answer counts.
    const last = new Map(
      log.flatMap(({ event }) => (event.kind === 'answered' ? [[event.stepKey, event.answer]] : [])),
    );
    for (const [key, answer] of last) {
      const id = keyOf.get(key);
      if (id !== undefined) given.set(id, [...(given.get(id) ?? []), answer]);
    }
  }
  return given;
}

/** What this player usually finds where a look decides how a run goes on, from their last finished runs. */
export const createAnswersExpected =
  ({ newestFinished, log }: Runs) =>
  ({ instrumentId, practice }: RunPart, player: { readonly id: PlayerId }): ReadonlyMap<StepId, Expected> => {
    const asked = practice.steps.filter(({ id }) => practice.steps.some(({ calledBy }) => calledBy?.look === id));
    if (asked.length === 0 || practice.chosen.get('expected-answer') === 'book') return new Map();
    const runs = newestFinished(instrumentId, RUNS_LEARNED_FROM).filter(({ playerId }) => playerId === player.id);
    const ids = asked.map(({ id }) => id);
    return answersExpected(
      asked,
      answersIn(
        instrumentId,
        runs.map(({ id }) => log(id)),
        ids,
      ),
    );
  };

const stepEstimates = (practice: Practice, pace: number): ReadonlyMap<StepId, number> =>
  new Map(practice.steps.map(({ id, minutes }) => [id, minutes * pace]));
