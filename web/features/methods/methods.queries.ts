import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import { object } from 'yup';
import { loggedKey } from '#contract/scalars.ts';
import { amount, clientKey } from '#contract/scalars.ts';
import {
  methodPaths,
  methodSetFile,
  methodsPage,
  setReading,
  type ChooseMethodRequest,
  type ReadSetRequest,
  type TakeSetRequest,
} from '#contract/methods.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { request } from '#web/api/http.ts';
import { recordChanged } from '#web/api/record-changes.ts';

export const methodQueries = {
  all: () => ['methods'] as const,
  page: (instrumentId: string, today: LocalDate) =>
    queryOptions({
      queryKey: [...methodQueries.all(), instrumentId, today],
      queryFn: ({ signal }) => request(methodsPage, methodPaths.page(instrumentId, today), { signal }),
    }),
};

export function useChooseMethod() {
  const cache = useQueryClient();
  return useMutation({
    mutationFn: (body: ChooseMethodRequest) => request(loggedKey, methodPaths.choices, { method: 'POST', body }),
    onSuccess: () => recordChanged(cache),
  });
}

/** The player's choices as a file. */
export const useGiveSet = () =>
  useMutation({
    mutationFn: ({ instrumentId, name, today }: { instrumentId: string; name: string; today: LocalDate }) =>
      request(methodSetFile, methodPaths.set(instrumentId, name, today)),
  });

/** What a set would do; nothing is changed. */
export const useReadSet = () =>
  useMutation({
    mutationFn: (body: ReadSetRequest) => request(setReading, methodPaths.readSet, { method: 'POST', body }),
  });

const taken = object({ key: clientKey().required(), taken: amount().integer().required() }).exact().required();

export function useTakeSet() {
  const cache = useQueryClient();
  return useMutation({
    mutationFn: (body: TakeSetRequest) => request(taken, methodPaths.takeSet, { method: 'POST', body }),
    onSuccess: () => recordChanged(cache),
  });
}
