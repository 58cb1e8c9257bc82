import type { BenchTerms } from '#core/bench/bench-terms.ts';
import { counted } from '#core/explain/format.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import { fail, succeed } from '#core/kernel/outcome.ts';
import { ofPlayer } from '#core/record/fact.ts';
import { benchPaths, benchTermsRequest, type BenchTermsRequest } from '#contract/bench.ts';
import { notFound } from '#server/failure.ts';
import { benchTerms } from '#server/features/calendar/calendar.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

export type BenchTermsBody = BenchTerms & { readonly playerId: PlayerId };

/** The bench a player goes to; the last word counts. */
export const benchTermsFact = defineFact<Services>()<BenchTermsBody, BenchTermsRequest>({
  kind: 'bench-terms',
  store: bodyTable(benchTerms, {
    toRow: ({ playerId, ...terms }) => ({ playerId, terms }),
    fromRow: ({ playerId, terms }) => ({ playerId, ...terms }),
  }),
  about: ({ playerId }) => [ofPlayer(playerId)],
  words: ({ body: { name, workingDays } }) =>
    `The bench: ${name ?? 'no name'}, about ${counted(workingDays, 'working day')}.`,
  logged: {
    path: benchPaths.terms,
    request: benchTermsRequest,
    decide: ({ key: _key, now: _now, corrects: _corrects, ...terms }, { now }, { players }) =>
      players.find(terms.playerId)
        ? succeed({ body: terms, ...now })
        : fail(notFound('playerId', { code: 'no-such-player' })),
  },
});
