import { itemIn } from '#core/book/practice.ts';
import type { CareItemId } from '#core/book/care-ids.ts';
import type { SignId } from '#core/book/fault.ts';
import { askedKeyOf } from '#core/faults/fault-record.ts';
import { faultsFor } from '#core/faults/faults-for.ts';
import { leadsToAStop } from '#core/faults/stops-by-sign.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { practiceFor } from '#core/methods/practice-for.ts';
import type { WallClock } from '#core/plays/play.ts';
import type { Accompanying } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

type Noticed = {
  readonly key: string;
  readonly instrumentId: InstrumentId;
  readonly itemId: CareItemId;
  readonly sign: SignId | null | undefined;
};

/**
 * What comes along with a sign that stops the instrument, however it was noticed: it is asked about at once, as if
 * somebody had said that something is wrong. Each tap brings its own: taken back, another one still stops.
 */
export function stopsWith(
  { book, instruments }: Pick<Services, 'book' | 'instruments'>,
  { key, instrumentId, itemId, sign }: Noticed,
  now: WallClock,
): Accompanying[] {
  const built = instruments.builtAs(instrumentId);
  if (!sign || !built) return [];
  const item = itemIn(practiceFor(book, built.kind, built.build), itemId);
  if (!item || !leadsToAStop(faultsFor(book, built.kind, built.build), item, sign)) return [];
  return [{ kind: 'interview', key: askedKeyOf(key), body: { instrumentId, noticed: [sign] }, ...now }];
}
