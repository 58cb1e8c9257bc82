import { isCalledBy, signsOf, type CareItem } from '#core/book/care-item.ts';
import type { SignId } from '#core/book/fault.ts';
import type { FaultsHere } from '#core/faults/faults-for.ts';

/**
 * Does a sign of this care stop the instrument, or call for the question whether it is to be stopped? A line in the wood
 * does, and so does the pop that made it, for both are signs of the same care.
 */
export const leadsToAStop = ({ stops }: Pick<FaultsHere, 'stops'>, item: CareItem, sign: SignId): boolean =>
  isCalledBy(item, sign) && signsOf(item).some(({ id }) => stops.some((rule) => rule.sign === id));
