import { succeed, fail, type Outcome } from '#core/kernel/outcome.ts';
import type { RunKind } from '#core/packup/run-log.ts';
import type { RunShare } from '#core/packup/run.ts';
import type { WallClock } from '#core/plays/play.ts';
import { cleanedWords, putBackWords } from '#core/reeds/reed-run-words.ts';
import { playInOrder } from '#core/reeds/reeds-today-words.ts';
import { bookItem } from '#core/book/book.ts';
import type { ReedsOfRunView } from '#contract/reed-views.ts';
import { notFound, type Failure } from '#server/failure.ts';
import { reedsOf, type OfKind } from '#server/features/reeds/reeds-of-kind.ts';
import { reedsTodayOf } from '#server/features/reeds/reeds-today.views.ts';
import type { Services } from '#server/services.ts';

/** The reeds that were played in the play a share of a run packs up. */
function putBack({ reeds: told }: Services, { playKey }: RunShare, { reeds }: OfKind): string | null {
  const shares = playKey === null ? [] : (told.ofPlay(playKey)?.shares ?? []);
  return putBackWords(shares.flatMap(({ reedId }) => reeds.find(({ id }) => id === reedId) ?? []));
}

/** Is something to be done to the reeds themselves? */
const isOnReeds = ({ book }: Services, { askedItems }: RunShare): boolean =>
  askedItems.some((id) => bookItem(book, id)?.part === 'reed');

type OnRun = { readonly kind: RunKind; readonly share: RunShare; readonly of: OfKind; readonly now: WallClock };

/** What is taken out or put back, and then what is cleaned; null where the run leaves the reeds alone. */
function wordsOf(services: Services, { kind, share, of, now }: OnRun): string | null {
  const moved = {
    before: () => playInOrder(reedsTodayOf(of, now)),
    after: () => putBack(services, share, of),
    care: () => null,
  };
  const all = [moved[kind](), isOnReeds(services, share) ? cleanedWords(of.reeds) : null];
  return all.filter((words) => words !== null).join(' ') || null;
}

/** Which reeds a run is about: taken out when it makes ready, put back when it packs up, cleaned where that is its care. */
export function reedsOfRunOf(services: Services, runKey: string, now: WallClock): Outcome<ReedsOfRunView, Failure> {
  const run = services.packup.find(runKey);
  if (!run) return fail(notFound('runKey', { code: 'no-such-run' }));
  const kinds = reedsOf(services, run.playerId, now.on);
  return succeed(
    services.packup.shares(run.id).flatMap((share) => {
      const instrument = services.instruments.find(share.instrumentId);
      const ofKind = kinds.find(({ kind }) => kind === instrument?.kind);
      const words = ofKind ? wordsOf(services, { kind: run.kind, share, of: ofKind, now }) : null;
      return instrument && words !== null ? [{ instrumentId: instrument.id, name: instrument.name, words }] : [];
    }),
  );
}
