import type { CareItemId } from '#core/book/care-ids.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';

/** Who did a piece of care. */
export const DONE_BY = ['player', 'bench'] as const;
export type DoneBy = (typeof DONE_BY)[number];

/** Something was done, as the record has it. */
export type CareDone = {
  readonly instrumentId: InstrumentId;
  readonly itemId: CareItemId;
  readonly by: DoneBy;
  /** Day and minute as one number, as clocks count. */
  readonly wallMinute: number;
};
