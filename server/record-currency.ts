import { isCurrency, type Money } from '#core/money/money.ts';
import { invalid, type Failure } from '#server/failure.ts';
import type { Services } from '#server/services.ts';

type Priced = Pick<Services, 'reeds' | 'calendar' | 'costs'>;
type Paying = Priced & Pick<Services, 'settings'>;

/**
 * The currency of whatever says a price, boxes of reeds, stays at the bench, bills and savings; null before anything does.
 *
 * @param without the key of what is being put right: were it the only price, it would not bind itself
 */
export const pricedIn = ({ reeds, calendar, costs }: Priced, without = ''): string | null =>
  reeds.currency(without) ?? calendar.currencyOfStays(without) ?? costs.currency(without);

/** The currency of the record: that of its prices, else the one somebody has chosen; null where there is neither. */
export const currencyOfRecord = (paying: Paying): string | null => pricedIn(paying) ?? paying.settings.currency();

/** What is wrong with a price: it is in a currency, and in that of the record, were it not the only one. */
export function costRefusal(
  cost: Money | null | undefined,
  paying: Priced,
  { field, without }: { readonly field: string; readonly without: string | null },
): Failure | null {
  if (!cost) return null;
  if (!isCurrency(cost.currency)) return invalid(field, { code: 'no-currency', currency: cost.currency });
  const ofRecord = pricedIn(paying, without ?? undefined);
  return ofRecord !== null && cost.currency !== ofRecord
    ? invalid(field, { code: 'another-currency', currency: ofRecord })
    : null;
}
