import { useMutation, useQueryClient } from '@tanstack/react-query';
import { playPaths, playView, type LogPlayRequest, type PlayView } from '#contract/plays.ts';
import { request } from '#web/api/http.ts';
import { recordChanged } from '#web/api/record-changes.ts';
import { useLog } from '#web/features/record/log.queries.ts';

export function useLogPlay() {
  const cache = useQueryClient();
  return useMutation({
    mutationFn: (body: LogPlayRequest) => request(playView, playPaths.log, { method: 'POST', body }),
    onSuccess: () => recordChanged(cache),
  });
}

/** Takes the place of a play that was logged wrongly. */
export const useCorrectPlay = () =>
  useLog<Omit<PlayView, 'key'> & { readonly corrects: string }>(playPaths.log, playView);
