import { duration } from '#core/explain/format.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import { fail, succeed } from '#core/kernel/outcome.ts';
import { ofPlayer } from '#core/record/fact.ts';
import { sittingPaths, sittingTimeRequest, type SittingTimeRequest } from '#contract/sittings.ts';
import { notFound } from '#server/failure.ts';
import { sittingTimes } from '#server/features/calendar/calendar.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

export type SittingTimeBody = { readonly playerId: PlayerId; readonly minutes: readonly number[] };

/** When a player usually has time for a sitting; the last word counts. */
export const sittingTimeFact = defineFact<Services>()<SittingTimeBody, SittingTimeRequest>({
  kind: 'sitting-time',
  store: bodyTable(sittingTimes, { toRow: (time) => time, fromRow: ({ factId: _factId, ...time }) => time }),
  about: ({ playerId }) => [ofPlayer(playerId)],
  words: ({ body: { minutes } }) => {
    const week = minutes.reduce((sum, one) => sum + one, 0);
    return week === 0 ? 'No time for sittings.' : `Time for sittings: ${duration(week)} a week.`;
  },
  logged: {
    path: sittingPaths.times,
    request: sittingTimeRequest,
    decide: ({ playerId, minutes }, { now }, { players }) =>
      players.find(playerId)
        ? succeed({ body: { playerId, minutes }, ...now })
        : fail(notFound('playerId', { code: 'no-such-player' })),
  },
});
