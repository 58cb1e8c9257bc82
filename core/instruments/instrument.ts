import type { Build } from '#core/instruments/build.ts';
import type { KindId } from '#core/instruments/kind.ts';
import type { Branded } from '#core/kernel/brand.ts';
import type { LocalDate } from '#core/time/local-date.ts';

export type InstrumentId = Branded<string, 'InstrumentId'>;
export type PlayerId = Branded<string, 'PlayerId'>;

/** How an instrument is built from now on, as the record has it. */
export type InstrumentBuilt = Pick<Instrument, 'build'> & { readonly instrumentId: InstrumentId };

/** One instrument in the record. `acquiredOn` is the day it came to its player; before it nothing was played here. */
export type Instrument = {
  readonly id: InstrumentId;
  readonly kind: KindId;
  readonly name: string;
  readonly build: Build;
  readonly playerId: PlayerId;
  readonly acquiredOn: LocalDate;
  /** New when it came: its clocks then start on that day; otherwise its history before it is unknown. */
  readonly cameNew: boolean;
  /** The day it left the shelf, or null while it is there. Its record stays. */
  readonly leftOn: LocalDate | null;
};
