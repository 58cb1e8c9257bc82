import { signsOf, type CareItem } from '#core/book/care-item.ts';
import type { Build } from '#core/instruments/build.ts';
import { boreStrip } from '#core/instruments/bore-strip.ts';
import type { InstrumentKind, PartId } from '#core/instruments/kind.ts';

/**
 * The parts on which the signs of an item can be seen: its own part, and for a sign that any part may show (a stiff
 * joint, dust) every part of the tube this build has. Empty for an item nobody can notice.
 */
export function signParts(item: CareItem, kind: InstrumentKind, build: Build): readonly PartId[] {
  const { part, trigger } = item;
  if (signsOf(item).length === 0) return [];
  if ('seenOn' in trigger && trigger.seenOn === 'its-part') return [part];
  return [...new Set([part, ...boreStrip(kind, build, 0).map(({ id }) => id)])];
}
