import { signOf, signsOf, type CareItem } from '#core/book/care-item.ts';
import type { SignId } from '#core/book/fault.ts';
import type { DecisionKind } from '#core/care/care-decision.ts';
import { listed, type Format } from '#core/explain/format.ts';
import type { LocalDate } from '#core/time/local-date.ts';

/** As the book has it, whatever the build: a history may name what its instrument no longer has. */
type Named = Pick<CareItem, 'name' | 'trigger'>;

export const doneWords = (item: Named | undefined, itemId: string, by: 'player' | 'bench'): string =>
  `${item?.name ?? itemId}${by === 'bench' ? ', by the bench' : ''}`;

/** What somebody remembered of an instrument that came with a history. */
export const lastDoneWords = (names: readonly string[]): string =>
  `Last done, as remembered: ${listed(names.map((name) => name.toLowerCase()))}`;

/** What was noticed: the sign itself, or what calls for the item where nobody said which. */
export function signWords(item: Named | undefined, itemId: string, sign: SignId | undefined): string {
  const named = item && signsOf(item).find(({ id }) => id === sign)?.named;
  return `Noticed: ${named ?? (item && signOf(item)) ?? item?.name ?? itemId}`;
}

export function decisionWords(
  item: Named | undefined,
  { itemId, kind, until }: { readonly itemId: string; readonly kind: DecisionKind; readonly until: LocalDate | null },
  format: Format,
): string {
  const name = item?.name ?? itemId;
  switch (kind) {
    case 'postponed':
      return until === null ? `${name}: let wait` : `${name}: let wait until ${format.date(until)}`;
    case 'declined':
      return `${name}: not done here`;
    case 'resumed':
      return `${name}: done again from now on`;
  }
}
