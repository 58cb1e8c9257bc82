import { useQueryClient, type QueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useSyncExternalStore } from 'react';
import { refusalWords } from '#core/failure/refusal.ts';
import type { LoggedRunEvent, RunEventSaid, SaidAlong, SkipReason } from '#core/packup/run-event.ts';
import { MOST_REPEATS } from '#core/packup/run-event.ts';
import { checkRunEvent } from '#core/packup/check-run-event.ts';
import type { RunStepKey } from '#core/packup/run-step.ts';
import { instantOfMs } from '#core/time/instant.ts';
import type { LastPass } from '#core/water/wetness.ts';
import type { RunView } from '#contract/packup.ts';
import { shownRun, type ShownRun } from '#contract/shown-run.ts';
import { newKey } from '#web/api/new-key.ts';
import { FORMAT } from '#web/clock/format.ts';
import { wallNow } from '#web/clock/today.ts';
import { runQueries } from '#web/record/run.queries.ts';
import { joinLog } from '#web/features/packup/join-log.ts';
import { runEventAnswer } from '#contract/packup.ts';
import { packupPaths } from '#contract/packup-paths.ts';
import type { Waiting } from '#web/record/outbox.ts';
import { outbox, sender } from '#web/record/sending.ts';
import { useWithdraw } from '#web/record/withdraw.actions.ts';
import { useNotice } from '#web/ui/Notice.tsx';

const RUN_EVENT = 'run-event';

/** What waits of a run, as its log will have it. */
const unsentOf = (runKey: string, waiting: readonly Waiting[]): LoggedRunEvent[] =>
  waiting
    .filter(({ kind, path }) => kind === RUN_EVENT && path === packupPaths.events(runKey))
    // Its content is what `useRunLog` has put there.
    .map(({ key, content, at }) => ({ key, event: { ...(content as RunEventSaid), at } }));

const useWaiting = (): readonly Waiting[] => useSyncExternalStore(outbox.subscribe, outbox.waiting);

/** A run as it stands on this device: what the server has of it, and what happened since. */
export function useShownRun(view: RunView): ShownRun {
  const waiting = useWaiting();
  const fresh = useFresh(view);
  return useMemo(() => shownRun(fresh, unsentOf(view.key, waiting)), [view.key, fresh, waiting]);
}

/**
 * The run as the cache has it at this moment. What was handed down is a moment older: a tick that has gone from this
 * device into the log would be in neither, and be open again for one picture.
 */
function useFresh(view: RunView): RunView {
  const cache = useQueryClient();
  return cache.getQueryData<RunView>(runQueries.of(view.key).queryKey) ?? view;
}

const tickedAlong = (keys: readonly RunStepKey[], along: SaidAlong): RunEventSaid[] =>
  keys.map((stepKey) => ({ kind: 'ticked-along', stepKey, along }));
const skipped = (keys: readonly RunStepKey[], reason: SkipReason): RunEventSaid[] =>
  keys.map((stepKey) => ({ kind: 'skipped', stepKey, reason }));

/** Says what happens in a run: it shows at once and is sent behind. What cannot be is not said at all. */
export function useRunLog(view: RunView, run: ShownRun) {
  const notice = useNotice();
  const fresh = useFresh(view);
  const { withdraw, busy } = useWithdraw();
  /** One after another, each judged by how the run stands after the one before; the rest is dropped where one cannot be. */
  const sayAll = (all: readonly RunEventSaid[]): void => {
    let now = run;
    for (const event of all) {
      const checked = checkRunEvent(now, event);
      if (!checked.ok) {
        notice({ text: refusalWords(checked.failure, FORMAT), tone: 'failed' });
        break;
      }
      outbox.add({
        ...{ key: newKey(), kind: RUN_EVENT, path: packupPaths.events(run.key), content: event },
        ...{ at: instantOfMs(Date.now()), says: 'A step of a run' },
        ...(event.kind === 'finished' ? { now: wallNow() } : {}),
      });
      if (all.length > 1) now = shownRun(fresh, unsentOf(view.key, outbox.waiting()));
    }
    void sender.flush();
  };
  const say = (event: RunEventSaid): void => sayAll([event]);
  const undoFinish = (): void => {
    const { finishKey } = run;
    if (finishKey === null) return;
    const unsent = outbox.waiting().some(({ key }) => key === finishKey) && !sender.isSending(finishKey);
    if (unsent) outbox.remove(finishKey);
    else withdraw(finishKey);
  };
  return {
    tick: (stepKey: RunStepKey) => say({ kind: 'ticked', stepKey }),
    /** Steps said to be done along with each other, and those of them that were not needed. */
    tickAlong: (keys: readonly RunStepKey[], along: SaidAlong, notNeeded: readonly RunStepKey[] = []) =>
      sayAll([...tickedAlong(keys, along), ...skipped(notNeeded, 'not-needed')]),
    takeBack: (stepKey: RunStepKey) => say({ kind: 'unticked', stepKey }),
    takeAllBack: (keys: readonly RunStepKey[]) => sayAll(keys.map((stepKey) => ({ kind: 'unticked', stepKey }))),
    skip: (stepKey: RunStepKey, reason: SkipReason) => say({ kind: 'skipped', stepKey, reason }),
    skipAll: (keys: readonly RunStepKey[], reason: SkipReason) => sayAll(skipped(keys, reason)),
    answer: (stepKey: RunStepKey, answer: string) => say({ kind: 'answered', stepKey, answer }),
    lastPass: (stepKey: RunStepKey, found: LastPass, count: number) =>
      say({ kind: 'last-pass', stepKey, found, count }),
    pullIn: (stepKey: RunStepKey) => say({ kind: 'pulled-in', stepKey }),
    count: (stepKey: RunStepKey, count: number) =>
      say({ kind: 'counted', stepKey, count: Math.min(MOST_REPEATS, Math.max(0, count)) }),
    /** It is packed up on the way, or at home after all. */
    place: (isAway: boolean) => say({ kind: isAway ? 'away' : 'at-home' }),
    finish: () => say({ kind: 'finished' }),
    /** Ends the run: looks nobody made are said to be so, what was asked and not done is not needed, the rest has a reason. */
    finishWith: ({ notLooked, notNeeded, leftOut, reason }: Ending) =>
      sayAll([
        ...notLooked.map((stepKey): RunEventSaid => ({ kind: 'not-looked', stepKey })),
        ...skipped(notNeeded, 'not-needed'),
        ...(reason === null ? [] : skipped(leftOut, reason)),
        { kind: 'finished' },
      ]),
    undoFinish,
    busy,
  };
}
export type RunLog = ReturnType<typeof useRunLog>;

/** How a run ends: what of it is left open, and why. */
export type Ending = {
  readonly notLooked: readonly RunStepKey[];
  readonly notNeeded: readonly RunStepKey[];
  readonly leftOut: readonly RunStepKey[];
  readonly reason: SkipReason | null;
};

/** What an entry was about, to say which one was refused. */
function headingOf(cache: QueryClient, runKey: string, event: Partial<RunEventSaid>): string | null {
  const plan = cache.getQueryData(runQueries.of(runKey).queryKey)?.plan;
  if (plan === undefined || !('stepKey' in event)) return null;
  const steps = [...plan.steps, ...plan.leftOut.flatMap((one) => one.steps)];
  return steps.find(({ key }) => key === event.stepKey)?.heading ?? null;
}

/** A confirmed event joins the log of its run; a refused one is rolled back, with its reason. */
export function useRunEventsSent(): void {
  const cache = useQueryClient();
  const notice = useNotice();
  useEffect(() => {
    sender.handle(RUN_EVENT, {
      confirmed: ({ path }, answer) => {
        joinLog(cache, packupPaths.runOf(path), runEventAnswer.validateSync(answer, { strict: true }));
        return undefined;
      },
      refused: ({ path, content }, problem) => {
        const runKey = packupPaths.runOf(path);
        const heading = headingOf(cache, runKey, content);
        notice({ text: `${heading === null ? '' : `Not kept: ${heading}. `}${problem.message}`, tone: 'failed' });
        void cache.invalidateQueries({ queryKey: runQueries.of(runKey).queryKey });
      },
    });
  }, [cache, notice]);
}
