import type { Condition } from '#core/book/condition.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import type { LocalDate } from '#core/time/local-date.ts';

/** A condition as the record has it, of an instrument or of its player: one of the two is null. */
export type ConditionBegun = {
  readonly condition: Condition['id'];
  readonly instrumentId: InstrumentId | null;
  readonly playerId: PlayerId | null;
  /** The instrument on whose page it was said; undefined where nobody kept it. */
  readonly saidOn: InstrumentId | undefined;
  readonly beginsOn: LocalDate;
  readonly endsOn: LocalDate | null;
  readonly part: Condition['part'];
  readonly alone: Condition['alone'];
  readonly air: Condition['air'];
};
