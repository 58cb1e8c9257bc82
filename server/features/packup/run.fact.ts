import { bookItem } from '#core/book/book.ts';
import { fail, type Outcome } from '#core/kernel/outcome.ts';
import { runWords } from '#core/packup/run-words.ts';
import { type Subject } from '#core/record/fact.ts';
import { runFact } from '#contract/packup.ts';
import { notFound, type Failure } from '#server/failure.ts';
import type { RunBody } from '#server/features/packup/packup.mapper.ts';
import { viewOf } from '#server/features/packup/packup.views.ts';
import { planOf } from '#server/features/packup/plan-of-run.ts';
import { plannedRun } from '#server/features/packup/plan-for.ts';
import { runStore } from '#server/features/packup/run-store.repository.ts';
import { defineFact, type Deciding, type ToWrite } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';
import type { Sending } from '#contract/fact.ts';

function decide(
  request: Sending<typeof runFact>,
  { now }: Deciding,
  services: Services,
): Outcome<ToWrite<RunBody>, Failure> {
  const player = services.players.find(request.playerId);
  if (!player) return fail(notFound('playerId', { code: 'no-such-player' }));
  return plannedRun(services, request, { player, now });
}

/** The run another tab has begun already, if this start means the same one. Care runs may lie side by side. */
function sameAs(request: Sending<typeof runFact>, { packup }: Services): string | undefined {
  const [first] = request.parts;
  const open = request.kind === 'care' || !first ? undefined : packup.open(first.instrumentId);
  if (open === undefined) return undefined;
  const shares = packup.shares(open.id);
  const isSame =
    open.kind === request.kind &&
    shares.length === request.parts.length &&
    shares.every(({ instrumentId, playKey, alone }, index) => {
      const part = request.parts[index];
      // A start that names no play means the one that waits, which the run has been given.
      const isOfIt = part?.alone === undefined || part.alone === alone;
      return isOfIt && instrumentId === part?.instrumentId && (part.playKey === null || playKey === part.playKey);
    });
  return isSame ? open.key : undefined;
}

/** What is said of a run that cannot be found any more. */
const RUN = 'A run';

/** What runs were for and what they did on one instrument, by their numbers. */
const runsInWords = (ids: readonly number[], { packup, book }: Services, { id }: Subject): string[] => {
  const ends = packup.endsOf(ids, id);
  return ids.map((run) => {
    const end = ends.get(run);
    if (end === undefined) return RUN;
    const done = end.done.flatMap((itemId) => bookItem(book, itemId) ?? []);
    return runWords(end.kind, done, end.isFinished);
  });
};

/** A run over one or several instruments was begun: the plan as it was shown. */
export const runDefinition = defineFact<Services, RunBody>()(runFact, {
  store: runStore,
  words: ({ key }, told, about) => {
    const run = told.packup.find(key);
    return run === undefined ? RUN : (runsInWords([run.id], told, about)[0] ?? RUN);
  },
  wordsOfAll: (runs, told, about) =>
    runsInWords(
      runs.map(({ id }) => id),
      told,
      about,
    ),
  isTooLargeToList: true,
  breaking: (services) =>
    [...services.packup.every()].flatMap((run) =>
      planOf(services, run).ok ? [] : [`run ${run.key} of ${run.startedOn}: its plan cannot be read`],
    ),
  decide,
  sameAs,
  sent: ({ body: { playerId, kind, minutesAtHand, shares } }) => {
    const parts = shares.map(({ instrumentId, asked }) => asked && { instrumentId, ...asked });
    return { playerId, kind, minutesAtHand, parts: parts.includes(undefined) ? undefined : parts };
  },
  answer: ({ key }, services) => viewOf(services, key),
});
