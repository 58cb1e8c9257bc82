import type { InstrumentKind, KindId } from '#core/instruments/kind.ts';
import { clarinet } from '#core/instruments/tables/clarinet.ts';
import { trumpet } from '#core/instruments/tables/trumpet.ts';

/** The registration of every kind: a kind id without a table does not compile. */
export const KINDS = { clarinet, trumpet } as const satisfies Record<KindId, InstrumentKind>;

export const kindOf = (id: KindId): InstrumentKind => KINDS[id];
