import type { Build } from '#core/instruments/build.ts';
import { checkBuild } from '#core/instruments/check-build.ts';
import type { Instrument, InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import { isKindId } from '#core/instruments/kind.ts';
import { kindOf } from '#core/instruments/kinds.ts';
import { localDate } from '#core/time/local-date.ts';
import type { InstrumentRow } from '#server/features/instruments/instruments.table.ts';

/** A build that no longer fits its kind is a bug of a migration, not something to limp on with. */
function storedBuild(row: InstrumentRow): Build {
  if (!isKindId(row.kind)) throw new Error(`instruments.kind of ${row.id} is no kind of this version`);
  const checked = checkBuild(kindOf(row.kind), JSON.parse(row.build) as Record<string, string>);
  if (!checked.ok) throw new Error(`instruments.build of ${row.id}: ${checked.failure.code} ${checked.failure.field}`);
  return checked.value;
}

/** The only place where a row becomes an instrument. */
export const instrumentFromRow = (row: InstrumentRow): Instrument => ({
  id: row.id as InstrumentId,
  kind: row.kind,
  name: row.name,
  build: storedBuild(row),
  playerId: row.playerId as PlayerId,
  acquiredOn: localDate(row.acquiredOn),
  cameNew: row.cameNew,
  leftOn: row.leftOn === null ? null : localDate(row.leftOn),
});

export const rowFromInstrument = (instrument: Instrument, addedAt: string): InstrumentRow => ({
  ...instrument,
  build: JSON.stringify(instrument.build),
  addedAt,
});
