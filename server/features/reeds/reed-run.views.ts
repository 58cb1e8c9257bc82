import { succeed, fail, type Outcome } from '#core/kernel/outcome.ts';
import type { RunShare } from '#core/packup/run.ts';
import type { WallClock } from '#core/plays/play.ts';
import { cleanedWords, putBackWords, takeOutWords } from '#core/reeds/reed-run-words.ts';
import { bookItem } from '#core/book/book.ts';
import type { ReedsOfRunView } from '#contract/reed-views.ts';
import { notFound, type Failure } from '#server/failure.ts';
import type { RecordedRun } from '#server/features/packup/packup.mapper.ts';
import { planOf } from '#server/features/packup/plan-of-run.ts';
import { proposalOf, reedsOf, type OfKind } from '#server/features/reeds/reeds-of-kind.ts';
import type { Services } from '#server/services.ts';

/** The reeds that were played in the play a share of a run packs up. */
function putBack({ reeds: told }: Services, { playKey }: RunShare, { reeds }: OfKind): string | null {
  const shares = playKey === null ? [] : (told.ofPlay(playKey)?.shares ?? []);
  return putBackWords(shares.flatMap(({ reedId }) => reeds.find(({ id }) => id === reedId) ?? []));
}

/** Is there something in its plan that is done to the reed of this instrument? */
function isOnReeds(services: Services, run: RecordedRun, { instrumentId }: RunShare): boolean {
  const plan = planOf(services, run);
  const mine = plan.ok ? plan.value.steps.filter((step) => step.instrumentId === instrumentId) : [];
  return mine.some(({ item }) => bookItem(services.book, item)?.part === 'reed');
}

type OnRun = { readonly run: RecordedRun; readonly share: RunShare; readonly of: OfKind; readonly now: WallClock };

function wordsOf(services: Services, { run, share, of, now }: OnRun): string | null {
  switch (run.kind) {
    case 'before':
      return takeOutWords(proposalOf(of, now));
    case 'after':
      return putBack(services, share, of);
    case 'care':
      return isOnReeds(services, run, share) ? cleanedWords(of.reeds) : null;
  }
}

/** Which reeds a run is about: taken out when it makes ready, put back when it packs up, cleaned where that is its care. */
export function reedsOfRunOf(services: Services, runKey: string, now: WallClock): Outcome<ReedsOfRunView, Failure> {
  const run = services.packup.find(runKey);
  if (!run) return fail(notFound('runKey', { code: 'no-such-run' }));
  const kinds = reedsOf(services, run.playerId, now.on);
  return succeed(
    services.packup.shares(run.id).flatMap((share) => {
      const instrument = services.instruments.find(share.instrumentId);
      const of = kinds.find(({ kind }) => kind === instrument?.kind);
      const words = of ? wordsOf(services, { run, share, of, now }) : null;
      return instrument && words !== null ? [{ instrumentId: instrument.id, name: instrument.name, words }] : [];
    }),
  );
}
