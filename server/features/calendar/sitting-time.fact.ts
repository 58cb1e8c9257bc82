import { duration } from '#core/explain/format.ts';
import { fail, succeed } from '#core/kernel/outcome.ts';
import { sittingTimeFact } from '#contract/sittings.ts';
import { notFound } from '#server/failure.ts';
import { sittingTimes } from '#server/features/calendar/calendar.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

/** When a player usually has time for a sitting; the last word counts. */
export const sittingTimeDefinition = defineFact<Services>()(sittingTimeFact, {
  store: bodyTable(sittingTimes, { toRow: (time) => time, fromRow: ({ factId: _factId, ...time }) => time }),
  words: ({ body: { minutes } }) => {
    const week = minutes.reduce((sum, one) => sum + one, 0);
    return week === 0 ? 'No time for sittings.' : `Time for sittings: ${duration(week)} a week.`;
  },
  decide: ({ playerId, minutes, startsAt = null }, { now }, { players }) =>
    players.find(playerId)
      ? succeed({ body: { playerId, minutes, startsAt }, ...now })
      : fail(notFound('playerId', { code: 'no-such-player' })),
});
