import { useMutation, useQueryClient } from '@tanstack/react-query';
import { recordPaths, withdrawalView } from '#contract/record.ts';
import type { Touched } from '#web/api/about.ts';
import { request } from '#web/api/http.ts';
import { newKey } from '#web/api/new-key.ts';
import { recordChanged } from '#web/api/record-changes.ts';
import { useNotice } from '#web/ui/Notice.tsx';

/** Takes a log entry back, and says so when that cannot be. */
export function useWithdraw() {
  const cache = useQueryClient();
  const notice = useNotice();
  type Taken = { readonly key: string; readonly targetKey: string; readonly about: Touched };
  const { mutate, isPending } = useMutation({
    mutationFn: ({ key, targetKey }: Taken) =>
      request(withdrawalView, recordPaths.withdraw, { method: 'POST', body: { key, targetKey } }),
    onSuccess: (_answer, { about }) => recordChanged(cache, about),
    onError: (error) => notice({ text: error.message, tone: 'failed' }),
  });
  return {
    busy: isPending,
    withdraw: (targetKey: string, about: Touched = 'everything', onTakenBack?: () => void) =>
      mutate({ key: newKey(), targetKey, about }, { onSuccess: () => onTakenBack?.() }),
  };
}
