import type { Money } from '#core/money/money.ts';
import type { ReedMaterial } from '#core/reeds/reed.ts';
import type { ReedState } from '#core/reeds/reed-state.ts';

/** What will be bought next: what most of them are made of. */
export const boughtNext = (reeds: readonly ReedState[]): ReedMaterial =>
  reeds.filter(({ box }) => box.material === 'cane').length * 2 >= reeds.length ? 'cane' : 'synthetic';

/** What a reed costs: the mean of the boxes of these reeds that say so in the currency of the newest; null where none does. */
export function priceOfOne(reeds: readonly ReedState[]): Money | null {
  const boxes = [...new Map(reeds.map(({ box }) => [box.key, box])).values()].sort((a, b) =>
    a.cameOn < b.cameOn ? -1 : 1,
  );
  const priced = boxes.flatMap(({ cost, before }) => (cost === null ? [] : [{ ...cost, of: before.length }]));
  const currency = priced.at(-1)?.currency;
  if (currency === undefined) return null;
  const each = priced.filter((one) => one.currency === currency).map(({ minor, of }) => minor / of);
  return { minor: each.reduce((sum, one) => sum + one, 0) / each.length, currency };
}

/** What the next one will cost, by those of its material; null where no box says. */
export const priceOfNext = (reeds: readonly ReedState[]): Money | null =>
  priceOfOne(reeds.filter(({ box }) => box.material === boughtNext(reeds)));

/** So many of them. */
export const priceOf = (howMany: number, one: Money): Money => ({ ...one, minor: one.minor * howMany });
