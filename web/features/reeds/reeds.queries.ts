import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import type { KindId } from '#core/instruments/kind.ts';
import type { WallClock } from '#core/plays/play.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { reedPaths } from '#contract/reeds.ts';
import { readinessView, reedPlanView, reedsOfRun, reedsPage, type ReedsOfRunView } from '#contract/reed-views.ts';
import { ABOUT_THE_RECORD, aboutPlayer } from '#web/api/about.ts';
import { request } from '#web/api/http.ts';

/** A reed's rest is told to the quarter of an hour, so that the page need not ask each minute. */
const QUARTER_HOUR = 15;
const toTheQuarter = ({ on, atMinute }: WallClock): WallClock => ({
  on,
  atMinute: Math.floor(atMinute / QUARTER_HOUR) * QUARTER_HOUR,
});

export const reedQueries = {
  of: (playerId: string, now: WallClock) => {
    const asked = toTheQuarter(now);
    return queryOptions({
      meta: aboutPlayer(playerId),
      queryKey: ['reeds', playerId, asked.on, asked.atMinute],
      queryFn: ({ signal }) => request(reedsPage, reedPaths.of(playerId, asked), { signal }),
      placeholderData: keepPreviousData,
    });
  },
  ofRun: (runKey: string, now: WallClock) => {
    const { on: today, atMinute } = toTheQuarter(now);
    return queryOptions({
      meta: ABOUT_THE_RECORD,
      queryKey: ['reeds', 'run', runKey, today, atMinute],
      queryFn: ({ signal }) => {
        const query = new URLSearchParams({ runKey, today, atMinute: String(atMinute) });
        return request(reedsOfRun, `${reedPaths.run}?${query.toString()}`, { signal });
      },
      // A quarter of an hour later it is the same run still.
      placeholderData: (before: ReedsOfRunView | undefined, asked) =>
        asked?.queryKey[2] === runKey ? before : undefined,
    });
  },
  plan: (playerId: string, kind: KindId, now: WallClock) => {
    const { on: today, atMinute } = toTheQuarter(now);
    return queryOptions({
      meta: aboutPlayer(playerId),
      queryKey: ['reeds', playerId, 'plan', kind, today, atMinute],
      queryFn: ({ signal }) => {
        const query = new URLSearchParams({ playerId, kind, today, atMinute: String(atMinute) });
        return request(reedPlanView, `${reedPaths.plan}?${query.toString()}`, { signal });
      },
      placeholderData: keepPreviousData,
    });
  },
  readiness: (playerId: string, kind: KindId, asked: { on: LocalDate; wanted: number; today: LocalDate }) =>
    queryOptions({
      meta: aboutPlayer(playerId),
      queryKey: ['reeds', playerId, 'ready', kind, asked],
      queryFn: ({ signal }) => {
        const query = new URLSearchParams({
          playerId,
          kind,
          on: asked.on,
          wanted: String(asked.wanted),
          today: asked.today,
        });
        return request(readinessView, `${reedPaths.readiness}?${query.toString()}`, { signal });
      },
      placeholderData: keepPreviousData,
    }),
};
