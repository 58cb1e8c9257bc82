import { useQueryClient, type QueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useSyncExternalStore } from 'react';
import { faultWords } from '#core/failure/fault.ts';
import type { RunEventSaid, SaidAlong, SkipReason } from '#core/packup/run-event.ts';
import { MOST_REPEATS } from '#core/packup/run-event.ts';
import { checkRunEvent } from '#core/packup/run-log.ts';
import type { RunStepKey } from '#core/packup/run-step.ts';
import { instantOfMs } from '#core/time/instant.ts';
import type { LastPass } from '#core/water/wetness.ts';
import type { RunView } from '#contract/packup.ts';
import { shownRun, type ShownRun } from '#contract/shown-run.ts';
import { newKey } from '#web/api/new-key.ts';
import { FORMAT } from '#web/clock/format.ts';
import { wallNow } from '#web/clock/today.ts';
import { packupQueries } from '#web/features/packup/packup.queries.ts';
import type { Unsent } from '#web/features/packup/run-outbox.ts';
import { joinLog } from '#web/features/packup/join-log.ts';
import { runOutbox, runSender } from '#web/features/packup/run-sending.ts';
import { useWithdraw } from '#web/record/withdraw.actions.ts';
import { useNotice } from '#web/ui/Notice.tsx';

const useUnsent = (): readonly Unsent[] => useSyncExternalStore(runOutbox.subscribe, runOutbox.all);

/** A run as it stands on this device: what the server has of it, and what happened since. */
export function useShownRun(view: RunView): ShownRun {
  const unsent = useUnsent();
  const fresh = useFresh(view);
  return useMemo(
    () =>
      shownRun(
        fresh,
        unsent.filter(({ runKey }) => runKey === view.key),
      ),
    [view.key, fresh, unsent],
  );
}

/**
 * The run as the cache has it at this moment. What was handed down is a moment older: a tick that has gone from this
 * device into the log would be in neither, and be open again for one picture.
 */
function useFresh(view: RunView): RunView {
  const cache = useQueryClient();
  return cache.getQueryData<RunView>(packupQueries.run(view.key).queryKey) ?? view;
}

/** How much is kept on this device because nobody answers; 0 while all goes through. */
export function useHeldUp(): number {
  const unsent = useUnsent();
  const heldUp = useSyncExternalStore(runSender.subscribe, runSender.isHeldUp);
  return heldUp ? unsent.length : 0;
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
    for (const said of all) {
      const checked = checkRunEvent(now, said);
      if (!checked.ok) {
        notice({ text: faultWords(checked.failure, FORMAT), tone: 'failed' });
        break;
      }
      const event = { ...said, at: instantOfMs(Date.now()) };
      runOutbox.add({ key: newKey(), runKey: run.key, event, ...(said.kind === 'finished' ? { now: wallNow() } : {}) });
      if (all.length > 1)
        now = shownRun(
          fresh,
          runOutbox.all().filter(({ runKey }) => runKey === view.key),
        );
    }
    void runSender.flush();
  };
  const say = (said: RunEventSaid): void => sayAll([said]);
  const undoFinish = (): void => {
    const { finishKey } = run;
    if (finishKey === null) return;
    const unsent = runOutbox.all().some(({ key }) => key === finishKey) && !runSender.isSending(finishKey);
    if (unsent) runOutbox.remove(finishKey);
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
function headingOf(cache: QueryClient, { runKey, event }: Unsent): string | null {
  const plan = cache.getQueryData(packupQueries.run(runKey).queryKey)?.plan;
  if (plan === undefined || event.kind === 'finished') return null;
  const steps = [...plan.steps, ...plan.leftOut.flatMap((one) => one.steps)];
  return steps.find(({ key }) => key === event.stepKey)?.heading ?? null;
}

/** Sends what is unsent for as long as the app is open: at once, when the device wakes up, when the network is back. */
export function useSendingRuns(): void {
  const cache = useQueryClient();
  const notice = useNotice();
  useEffect(() => {
    runSender.start({
      confirmed: (one, logged) => joinLog(cache, one, logged),
      refused: (one, problem) => {
        const heading = headingOf(cache, one);
        notice({ text: `${heading === null ? '' : `Not kept: ${heading}. `}${problem.message}`, tone: 'failed' });
        void cache.invalidateQueries({ queryKey: packupQueries.run(one.runKey).queryKey });
      },
    });
    const again = () => void runSender.flush();
    window.addEventListener('online', again);
    document.addEventListener('visibilitychange', again);
    return () => {
      window.removeEventListener('online', again);
      document.removeEventListener('visibilitychange', again);
    };
  }, [cache, notice]);
}
