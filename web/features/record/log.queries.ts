import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { Schema } from 'yup';
import { loggedKey } from '#contract/scalars.ts';
import { request } from '#web/api/http.ts';
import { newKey } from '#web/api/new-key.ts';
import { recordChanged } from '#web/api/record-changes.ts';
import { wallNow } from '#web/clock/today.ts';

type Then = { readonly onSuccess?: (key: string) => void; readonly onError?: (error: Error) => void };

/**
 * Logs a fact of the kind that is posted at `path`: makes its key, says where the wall clock stands, and lets everything
 * that is computed from the record look again. The key is handed on, so that the entry can be taken back.
 *
 * @param answer what the server answers, where that is more than the key
 */
export function useLog<Content extends object>(path: string, answer: Schema = loggedKey) {
  const cache = useQueryClient();
  const { mutate, isPending, error, reset } = useMutation({
    mutationFn: (body: Content & { readonly key: string }) => request(answer, path, { method: 'POST', body }),
    onSuccess: () => recordChanged(cache),
  });
  const log = (content: Content, { onSuccess, onError }: Then = {}): void => {
    const key = newKey();
    // Sent again after a lost connection it is the same entry, for the key is made once.
    mutate({ key, ...content, now: wallNow() }, { onSuccess: () => onSuccess?.(key), ...(onError ? { onError } : {}) });
  };
  return { log, busy: isPending, problem: error?.message ?? null, reset };
}
