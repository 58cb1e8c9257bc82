import { useState } from 'react';
import { counted } from '#core/explain/format.ts';
import type { MethodSet } from '#core/methods/method-set-format.ts';
import { newKey } from '#web/api/new-key.ts';
import { RequestProblem } from '#web/api/http.ts';
import { useToday, wallNow } from '#web/clock/today.ts';
import { useWithdraw } from '#web/features/record/record.queries.ts';
import { useGiveSet, useReadSet, useTakeSet } from '#web/features/methods/methods.queries.ts';
import { readSetFile, saveSetFile } from '#web/features/methods/set-file.ts';
import { useNotice } from '#web/ui/Notice.tsx';

/** Saves the player's choices on an instrument as a file. */
export function useGivingSet(instrumentId: string, onGiven: () => void) {
  const today = useToday();
  const give = useGiveSet();
  return {
    busy: give.isPending,
    problem: give.error?.message ?? null,
    save: (name: string) =>
      give.mutate(
        { instrumentId, name, today },
        {
          onSuccess: (set) => {
            saveSetFile(set, name);
            onGiven();
          },
        },
      ),
  };
}

/** What is wrong with a file that was read: what it is comes before what in it is wrong. */
function faultOf(error: Error | null): string | undefined {
  const fields = error instanceof RequestProblem ? error.fields : [];
  const first = ['set.format', 'set.version'].flatMap((name) => fields.filter(({ field }) => field === name))[0];
  return first?.message ?? error?.message;
}

/** A file of choices from being chosen to being taken: read first, then all that is for this instrument at once. */
export function useTakingSet(instrumentId: string, onTaken: () => void) {
  const [set, setSet] = useState<MethodSet | null>(null);
  const [unreadable, setUnreadable] = useState<string | null>(null);
  const today = useToday();
  const read = useReadSet();
  const take = useTakeSet();
  const withdraw = useWithdraw();
  const notice = useNotice();
  const failed = (error: Error) => notice({ text: error.message, tone: 'failed' });
  const open = async (file: File | undefined) => {
    setSet(null);
    setUnreadable(null);
    read.reset();
    if (!file) return;
    try {
      const content = await readSetFile(file);
      setSet(content);
      read.mutate({ instrumentId, set: content, today });
    } catch (error) {
      setUnreadable((error as Error).message);
    }
  };
  const accept = () => {
    if (set === null) return;
    const key = newKey();
    take.mutate(
      { key, instrumentId, set, now: wallNow() },
      {
        onSuccess: ({ taken }) => {
          notice({
            text: `${counted(taken, 'choice')} taken from “${set.name}”.`,
            undo: () => withdraw.mutate(key, { onError: failed }),
          });
          onTaken();
        },
      },
    );
  };
  return {
    open,
    accept,
    chosen: set !== null,
    busy: take.isPending,
    reading: read.data ?? null,
    problem: unreadable ?? faultOf(read.error) ?? faultOf(take.error) ?? null,
  };
}
export type TakingSet = ReturnType<typeof useTakingSet>;
