import { useMutation, useQueryClient } from '@tanstack/react-query';
import { playPaths, playView, type LogPlayRequest } from '#contract/plays.ts';
import { request } from '#web/api/http.ts';
import { recordChanged } from '#web/api/record-changes.ts';

export function useLogPlay() {
  const cache = useQueryClient();
  return useMutation({
    mutationFn: (body: LogPlayRequest) => request(playView, playPaths.log, { method: 'POST', body }),
    onSuccess: () => recordChanged(cache),
  });
}
