import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useCallback } from 'react';
import { object } from 'yup';
import {
  copyMade,
  dataPaths,
  incomingView,
  type IncomingView,
  type TableReading,
  type TakeRequest,
} from '#contract/data.ts';
import { request } from '#web/api/http.ts';
import { recordChanged } from '#web/api/record-changes.ts';
import { wallNow } from '#web/clock/today.ts';
import { dataQueries } from '#web/features/data/data.queries.ts';

/** Makes a copy now. */
export function useCopyNow() {
  const cache = useQueryClient();
  return useMutation({
    mutationFn: () => request(copyMade, dataPaths.copies, { method: 'POST', body: { today: wallNow().on } }),
    onSuccess: () => cache.invalidateQueries({ queryKey: ['data'] }),
  });
}

/** Brings a file in, or one of the copies that are kept: it is looked at, and nothing is written. */
export const useBringIn = () =>
  useMutation({
    mutationFn: (what: File | { readonly copy: string }) =>
      what instanceof File
        ? request(incomingView, dataPaths.incomingNamed(what.name.slice(0, 255)), { method: 'POST', file: what })
        : request(incomingView, dataPaths.copyLook(what.copy), { method: 'POST', body: {} }),
  });

/** What is done with a file that was brought in. */
export function useIncoming(id: string) {
  const cache = useQueryClient();
  const { queryKey } = dataQueries.incoming(id);
  const shown = (view: IncomingView) => cache.setQueryData(queryKey, view);
  const take = useMutation({
    mutationFn: (players: TakeRequest['players']) =>
      request(incomingView, dataPaths.take(id), { method: 'POST', body: { players, today: wallNow().on } }),
    onSuccess: shown,
  });
  const readOtherwise = useMutation({
    mutationFn: (reading: TableReading) =>
      request(incomingView, dataPaths.reading(id), { method: 'POST', body: reading }),
    onSuccess: shown,
  });
  const end = useMutation({
    mutationFn: () => request(object({}), dataPaths.end(id), { method: 'POST', body: {} }),
    onSettled: () => cache.removeQueries({ queryKey }),
  });
  return { take, readOtherwise, end };
}

/** Everything looks again, in every tab: the record is another one. */
export function useEverythingChanged() {
  const cache = useQueryClient();
  return useCallback(() => recordChanged(cache, 'everything'), [cache]);
}
