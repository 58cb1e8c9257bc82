import type { Money } from '#core/money/money.ts';
import type { ReedState } from '#core/reeds/reed-state.ts';

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
