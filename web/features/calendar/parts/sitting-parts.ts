import type { CareItemId } from '#core/book/care-ids.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import type { SittingsView } from '#contract/sittings.ts';

/** The instruments of a sitting, each with what is done on it: what a run is begun with. */
export function partsOf({ items }: SittingsView['sittings'][number]) {
  const parts = new Map<InstrumentId, CareItemId[]>();
  for (const { instrumentId, itemId } of items) parts.set(instrumentId, [...(parts.get(instrumentId) ?? []), itemId]);
  return [...parts].map(([instrumentId, itemIds]) => ({ instrumentId, itemIds }));
}
