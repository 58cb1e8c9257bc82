import type { CareItem } from '#core/book/care-item.ts';
import type { Build } from '#core/instruments/build.ts';
import { boreStrip } from '#core/instruments/bore-strip.ts';
import type { InstrumentKind, PartId } from '#core/instruments/kind.ts';

/**
 * The parts on which the sign of an item can be seen: its own part, and for a sign that any part may show (a stiff
 * joint, dust) every part of the tube this build has. Empty for an item without a sign.
 */
export function signParts({ part, trigger }: CareItem, kind: InstrumentKind, build: Build): readonly PartId[] {
  if (trigger.kind !== 'when-noticed' && trigger.kind !== 'clock-by-method') return [];
  if (trigger.sign === undefined) return [];
  if (trigger.seenOn === 'its-part') return [part];
  return [...new Set([part, ...boreStrip(kind, build, 0).map(({ id }) => id)])];
}
