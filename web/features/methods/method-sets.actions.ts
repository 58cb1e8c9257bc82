import { asError } from '#core/kernel/as-error.ts';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { counted } from '#core/explain/format.ts';
import type { MethodSet } from '#core/methods/method-set-format.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { methodPaths, methodSetFact, methodSetFile, setReading, type ReadSetRequest } from '#contract/methods.ts';
import { request, RequestProblem } from '#web/api/http.ts';
import { useToday } from '#web/clock/today.ts';
import { readSetFile, saveSetFile } from '#web/features/methods/set-file.ts';
import { useLog } from '#web/record/log.actions.ts';

/** Saves the player's choices on an instrument as a file. */
export function useGivingSet(instrumentId: InstrumentId, onGiven: () => void) {
  const today = useToday();
  const give = useMutation({
    mutationFn: (name: string) => request(methodSetFile, methodPaths.set(instrumentId, name, today)),
  });
  return {
    busy: give.isPending,
    problem: give.error?.message ?? null,
    save: (name: string) =>
      give.mutate(name, {
        onSuccess: (set) => {
          saveSetFile(set, name);
          onGiven();
        },
      }),
  };
}

/** What is wrong with a file that was read: what it is comes before what in it is wrong. */
function refusalOf(problem: string | null, fields: RequestProblem['fields']): string | null {
  const first = ['set.format', 'set.version'].flatMap((name) => fields.filter(({ field }) => field === name))[0];
  return first?.message ?? problem;
}

/** A file of choices from being chosen to being taken: read first, then all that is for this instrument at once. */
export function useTakingSet(instrumentId: InstrumentId, onTaken: () => void) {
  const [set, setSet] = useState<MethodSet | null>(null);
  const [unreadable, setUnreadable] = useState<string | null>(null);
  const today = useToday();
  const read = useMutation({
    mutationFn: (body: ReadSetRequest) => request(setReading, methodPaths.readSet, { method: 'POST', body }),
  });
  const take = useLog(methodSetFact, { form: true });
  const open = async (file: File | undefined) => {
    setSet(null);
    setUnreadable(null);
    read.reset();
    take.open();
    if (!file) return;
    try {
      const content = await readSetFile(file);
      setSet(content);
      read.mutate({ instrumentId, set: content, today });
    } catch (error) {
      setUnreadable(asError(error).message);
    }
  };
  const accept = () => {
    if (set === null) return;
    take.log(
      { instrumentId, set },
      { said: (answer) => `${counted(answer.taken, 'choice')} taken from “${set.name}”.`, onLogged: onTaken },
    );
  };
  return {
    open,
    accept,
    chosen: set !== null,
    busy: take.busy,
    reading: read.data ?? null,
    problem:
      unreadable ??
      refusalOf(read.error?.message ?? null, read.error instanceof RequestProblem ? read.error.fields : []) ??
      refusalOf(take.problem, take.fields),
  };
}
export type TakingSet = ReturnType<typeof useTakingSet>;
