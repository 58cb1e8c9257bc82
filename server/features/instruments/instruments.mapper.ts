import type { Book } from '#core/book/book.ts';
import type { Build } from '#core/instruments/build.ts';
import { checkBuild } from '#core/instruments/check-build.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';
import { isKindId, type KindId } from '#core/instruments/kind.ts';

/**
 * A build as it was kept, whole: a field its kind is asked about only since a later Ulu has its usual option until
 * somebody says otherwise.
 *
 * @throws Error when it does not fit its kind: a bug of a migration, not something to limp on with
 */
export function storedBuild({ kinds }: Book, id: string, kind: KindId, build: Build): Build {
  if (!isKindId(kind)) throw new Error(`instruments.kind of ${id} is no kind of this version`);
  const checked = checkBuild(kinds[kind], { ...usualBuild(kinds[kind]), ...build });
  if (!checked.ok) throw new Error(`build of ${id}: ${checked.failure.code} ${checked.failure.field}`);
  return checked.value;
}
