import type { BeginConditionRequest, ConditionView } from '#contract/conditions.ts';
import { newKey } from '#web/api/new-key.ts';
import { RequestProblem } from '#web/api/http.ts';
import { useToday, wallNow } from '#web/clock/today.ts';
import { useBeginCondition, useEndCondition } from '#web/features/conditions/conditions.queries.ts';
import { useWithdraw } from '#web/features/record/record.queries.ts';
import { useNotice } from '#web/ui/Notice.tsx';

export type ConditionEntry = Omit<BeginConditionRequest, 'key' | 'now' | 'instrumentId'>;

/** What can be done about the conditions of an instrument: one begins, one is over, one goes on after all. */
export function useConditionActions(instrumentId: string) {
  const today = useToday();
  const begin = useBeginCondition();
  const end = useEndCondition();
  const withdraw = useWithdraw();
  const notice = useNotice();
  const failed = (error: Error) => notice({ text: error.message, tone: 'failed' });
  const noted = (text: string, key: string) => notice({ text, undo: () => withdraw.mutate(key, { onError: failed }) });
  return {
    busy: begin.isPending || end.isPending || withdraw.isPending,
    /** What was wrong with the entry, field by field; the whole in words where no field is named. */
    fields: begin.error instanceof RequestProblem ? begin.error.fields : [],
    problem: begin.error?.message ?? null,
    forget: begin.reset,
    begin: (entry: ConditionEntry, name: string, onBegun: () => void) => {
      const key = newKey();
      begin.mutate(
        { ...entry, key, instrumentId, now: wallNow() },
        {
          onSuccess: () => {
            noted(`${name}: noted.`, key);
            onBegun();
          },
        },
      );
    },
    end: ({ key: conditionKey, name }: ConditionView) => {
      const key = newKey();
      end.mutate(
        { key, conditionKey, endsOn: today, now: wallNow() },
        { onSuccess: () => noted(`${name}: today is its last day.`, key), onError: failed },
      );
    },
    goOn: (endKey: string) => withdraw.mutate(endKey, { onError: failed }),
  };
}
export type ConditionActions = ReturnType<typeof useConditionActions>;
