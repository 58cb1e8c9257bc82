import type { Condition } from '#core/book/condition.ts';
import type { CareFacts, ItemClock } from '#core/care/care-clock.ts';
import { casedDampSince } from '#core/care/cased-damp.ts';
import { careClocks } from '#core/care/care-clocks.ts';
import { firstNoteOf, type FirstNote } from '#core/care/first-note.ts';
import { packedUp, whatMatters, type PackedUp } from '#core/care/what-matters.ts';
import type { Instrument } from '#core/instruments/instrument.ts';
import type { InstrumentKind, PartId } from '#core/instruments/kind.ts';
import type { MethodsStanding } from '#core/methods/methods-standing.ts';
import type { Forecast } from '#core/plays/forecast.ts';
import type { PlayColumns } from '#core/plays/play-columns.ts';
import type { PlaysOfPart } from '#core/plays/plays-of-part.ts';
import type { LocalDate } from '#core/time/local-date.ts';

/** What was done, seen and decided on an instrument: the latest of each item. */
export type CareHistory = Pick<CareFacts, 'lastDone' | 'signs' | 'decisions'>;

/** How the care of an instrument stands. */
export type CareStanding = PackedUp & {
  readonly clocks: readonly ItemClock[];
  /** The periodic clocks that call for attention, most pressing first. */
  readonly calling: readonly ItemClock[];
  /** What comes before its first note; null where it is not new, and has not rested long. */
  readonly firstNote: FirstNote | null;
};

type CareOf = {
  readonly instrument: Instrument;
  readonly today: LocalDate;
  readonly plays: PlayColumns;
  readonly forecast: Forecast;
  readonly ofPart: (part: PartId) => PlaysOfPart;
  readonly history: CareHistory;
  readonly conditions: readonly Condition[];
};

/** Every clock of an instrument under the methods in force, and what of it calls for attention. */
export function careStanding(
  kind: InstrumentKind,
  { practice, choices, context }: MethodsStanding,
  { instrument, today, plays, forecast, ofPart, history, conditions }: CareOf,
): CareStanding {
  const { acquiredOn, cameNew } = instrument;
  const clocks = careClocks(
    practice,
    { ...history, plays, acquiredOn, cameNew },
    { today, forecast, ofPart, choices, context, conditions },
  );
  return {
    clocks,
    calling: whatMatters(kind, clocks),
    firstNote: firstNoteOf(clocks, { plays, acquiredOn, today, lastDone: history.lastDone }),
    ...packedUp(practice, clocks, casedDampSince({ ...history, plays })),
  };
}
