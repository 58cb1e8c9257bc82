import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import { object } from 'yup';
import { loggedKey } from '#contract/care.ts';
import { amount, clientKey } from '#contract/scalars.ts';
import {
  schoolPaths,
  schoolSetFile,
  schoolsPage,
  setReading,
  type ChooseSchoolRequest,
  type ReadSetRequest,
  type TakeSetRequest,
} from '#contract/schools.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { request } from '#web/api/http.ts';
import { recordChanged } from '#web/api/record-changes.ts';

export const schoolQueries = {
  all: () => ['schools'] as const,
  page: (instrumentId: string, today: LocalDate) =>
    queryOptions({
      queryKey: [...schoolQueries.all(), instrumentId, today],
      queryFn: ({ signal }) => request(schoolsPage, schoolPaths.page(instrumentId, today), { signal }),
    }),
};

export function useChooseSchool() {
  const cache = useQueryClient();
  return useMutation({
    mutationFn: (body: ChooseSchoolRequest) => request(loggedKey, schoolPaths.choices, { method: 'POST', body }),
    onSuccess: () => recordChanged(cache),
  });
}

/** The player's choices as a file. */
export const useGiveSet = () =>
  useMutation({
    mutationFn: ({ instrumentId, name, today }: { instrumentId: string; name: string; today: LocalDate }) =>
      request(schoolSetFile, schoolPaths.set(instrumentId, name, today)),
  });

/** What a set would do; nothing is changed. */
export const useReadSet = () =>
  useMutation({
    mutationFn: (body: ReadSetRequest) => request(setReading, schoolPaths.readSet, { method: 'POST', body }),
  });

const taken = object({ key: clientKey().required(), taken: amount().integer().required() }).exact().required();

export function useTakeSet() {
  const cache = useQueryClient();
  return useMutation({
    mutationFn: (body: TakeSetRequest) => request(taken, schoolPaths.takeSet, { method: 'POST', body }),
    onSuccess: () => recordChanged(cache),
  });
}
