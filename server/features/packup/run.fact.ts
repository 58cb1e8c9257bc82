import { bookItem } from '#core/book/book.ts';
import { fail, type Outcome } from '#core/kernel/outcome.ts';
import { runWords } from '#core/packup/run-words.ts';
import { ofInstrument } from '#core/record/fact.ts';
import { packupPaths, startRunRequest, type StartRunRequest } from '#contract/packup.ts';
import { notFound, type Failure } from '#server/failure.ts';
import type { RunBody } from '#server/features/packup/packup.mapper.ts';
import { viewOf } from '#server/features/packup/packup.views.ts';
import { planOf } from '#server/features/packup/plan-of-run.ts';
import { plannedRun } from '#server/features/packup/plan-for.ts';
import { runStore } from '#server/features/packup/run-store.repository.ts';
import { defineFact, type Deciding, type ToWrite } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

function decide(request: StartRunRequest, { now }: Deciding, services: Services): Outcome<ToWrite<RunBody>, Failure> {
  const player = services.players.find(request.playerId);
  if (!player) return fail(notFound('playerId', { code: 'no-such-player' }));
  return plannedRun(services, request, { player, now });
}

/** The run another tab has begun already, if this start means the same one. Care runs may lie side by side. */
function sameAs(request: StartRunRequest, { packup }: Services): string | undefined {
  const [first] = request.parts;
  const open = request.kind === 'care' || !first ? undefined : packup.open(first.instrumentId);
  if (open === undefined) return undefined;
  const shares = packup.shares(open.id);
  const isSame =
    open.kind === request.kind &&
    shares.length === request.parts.length &&
    shares.every(({ instrumentId, playKey }, index) => {
      const part = request.parts[index];
      // A start that names no play means the one that waits, which the run has been given.
      return instrumentId === part?.instrumentId && (part.playKey === null || playKey === part.playKey);
    });
  return isSame ? open.key : undefined;
}

/** A run over one or several instruments was begun: the plan as it was shown. */
export const runFact = defineFact<Services>()<RunBody, StartRunRequest>({
  kind: 'run',
  store: runStore,
  about: ({ shares }) => shares.map(({ instrumentId }) => ofInstrument(instrumentId)),
  words: ({ key, body }, { packup, care, record, book }, { id }) => {
    const run = packup.find(key);
    const end = run && packup.log(run.id).find(({ event }) => event.kind === 'finished');
    const source = end && record.find(end.key)?.id;
    const done = source === undefined ? [] : care.doneBy(source).filter(({ instrumentId }) => instrumentId === id);
    return runWords(
      body.kind,
      done.flatMap(({ itemId }) => bookItem(book, itemId) ?? []),
      end !== undefined,
    );
  },
  breaking: (services) =>
    [...services.packup.every()].flatMap((run) =>
      planOf(services, run).ok ? [] : [`run ${run.key} of ${run.startedOn}: its plan cannot be read`],
    ),
  logged: {
    path: packupPaths.start,
    request: startRunRequest,
    decide,
    sameAs,
    sent: ({ body: { playerId, kind, minutesAtHand, shares } }) => {
      const parts = shares.map(({ instrumentId, asked }) => asked && { instrumentId, ...asked });
      return { playerId, kind, minutesAtHand, parts: parts.includes(undefined) ? undefined : parts };
    },
    answer: ({ key }, services) => viewOf(services, key),
  },
});
