import { useState } from 'react';
import type { DecisionKind } from '#core/care/care-decision.ts';
import type { CareClockView } from '#contract/care.ts';
import { newKey } from '#web/api/new-key.ts';
import { wallNow } from '#web/clock/today.ts';
import { useLogCare, useLogDecision, useLogSign } from '#web/features/care/care.queries.ts';
import { useBeginRun } from '#web/features/packup/begin-run.queries.ts';
import { useWithdraw } from '#web/features/record/record.queries.ts';
import { useNotice } from '#web/ui/Notice.tsx';

/** What was decided, and for what is left undone what that costs. */
const decidedWords = ({ name, caution }: Pick<CareClockView, 'name' | 'caution'>, kind: DecisionKind): string =>
  ({ postponed: `${name} waits.`, declined: `${name}: not done here. ${caution}`, resumed: `${name} is back.` })[kind];

/** What can be done about a care item of one instrument: do it, say it is done, notice it, let it wait, leave it. */
export function useCareActions(instrumentId: string, playerId: string) {
  const [asked, setAsked] = useState<CareClockView | null>(null);
  const logCare = useLogCare();
  const logSign = useLogSign();
  const logDecision = useLogDecision();
  const { begin, busy } = useBeginRun();
  const withdraw = useWithdraw();
  const notice = useNotice();
  const failed = (error: Error) => notice({ text: error.message, tone: 'failed' });
  const noted = (text: string, key: string) => notice({ text, undo: () => withdraw.mutate(key, { onError: failed }) });

  const doNow = (itemIds: readonly string[]) =>
    begin({ kind: 'care', playerId, parts: [{ instrumentId, itemIds: [...itemIds] }] });

  const done = (doneOn: string, by: 'player' | 'bench') => {
    if (!asked) return;
    const key = newKey();
    logCare.mutate(
      { key, instrumentId, itemId: asked.itemId, doneOn, by, now: wallNow() },
      {
        onSuccess: () => {
          setAsked(null);
          noted(`${asked.name}: noted.`, key);
        },
      },
    );
  };

  const seen = ({ itemId, part, name }: CareClockView, seenAt = part) => {
    const key = newKey();
    logSign.mutate(
      { key, instrumentId, itemId, part: seenAt, now: wallNow() },
      { onSuccess: () => noted(`Noticed: ${name.toLowerCase()}.`, key), onError: failed },
    );
  };

  const decide = ({ itemId, name, caution }: CareClockView, kind: DecisionKind, until: string | null = null) => {
    const key = newKey();
    logDecision.mutate(
      { key, instrumentId, itemId, kind, until, now: wallNow() },
      { onSuccess: () => noted(decidedWords({ name, caution }, kind), key), onError: failed },
    );
  };

  const ask = (clock: CareClockView | null) => {
    logCare.reset();
    setAsked(clock);
  };
  return {
    asked,
    ask,
    done,
    doNow,
    seen,
    decide,
    busy: busy || logCare.isPending || logSign.isPending || logDecision.isPending,
    problem: logCare.error?.message ?? null,
  };
}
export type CareActions = ReturnType<typeof useCareActions>;
