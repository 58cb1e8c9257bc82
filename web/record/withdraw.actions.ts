import { useMutation, useQueryClient } from '@tanstack/react-query';
import { recordPaths, withdrawalView } from '#contract/record.ts';
import { request } from '#web/api/http.ts';
import { newKey } from '#web/api/new-key.ts';
import { recordChanged } from '#web/api/record-changes.ts';
import { useNotice } from '#web/ui/Notice.tsx';

/** Takes a log entry back, and says so when that cannot be. */
export function useWithdraw() {
  const cache = useQueryClient();
  const notice = useNotice();
  type Taken = { readonly key: string; readonly targetKey: string };
  const { mutate, isPending } = useMutation({
    mutationFn: ({ key, targetKey }: Taken) =>
      request(withdrawalView, recordPaths.withdraw, { method: 'POST', body: { key, targetKey } }),
    onSuccess: ({ touched }) => recordChanged(cache, touched),
    onError: (error) => notice({ text: error.message, tone: 'failed' }),
  });
  return {
    busy: isPending,
    withdraw: (targetKey: string, onTakenBack?: () => void) =>
      mutate({ key: newKey(), targetKey }, { onSuccess: () => onTakenBack?.() }),
  };
}
