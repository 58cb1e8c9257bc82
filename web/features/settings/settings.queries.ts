import { queryOptions } from '@tanstack/react-query';
import { settingsPaths, settingsView } from '#contract/settings.ts';
import { ABOUT_THE_RECORD } from '#web/api/about.ts';
import { request } from '#web/api/http.ts';

export const settingsQueries = {
  of: (playerId: string) =>
    queryOptions({
      // The currency is the whole record's.
      meta: ABOUT_THE_RECORD,
      queryKey: ['settings', playerId],
      queryFn: ({ signal }) => request(settingsView, settingsPaths.of(playerId), { signal }),
    }),
};
