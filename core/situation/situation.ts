import type { AirRead } from '#core/air/air-record.ts';
import type { Book } from '#core/book/book.ts';
import type { Condition } from '#core/book/condition.ts';
import type { MethodChoices } from '#core/book/method-setting.ts';
import { handoverStanding, type HandoverNoted, type HandoverStanding } from '#core/calendar/handover.ts';
import { calendarStanding, type CalendarStanding } from '#core/calendar/calendar-standing.ts';
import { workDoneAtBench, type CalendarEvent } from '#core/calendar/event.ts';
import { careStanding, type CareHistory, type CareStanding } from '#core/care/care-standing.ts';
import type { FaultFacts } from '#core/faults/fault-record.ts';
import { faultsStanding, type FaultsStanding } from '#core/faults/faults-standing.ts';
import { conditionsStanding, type ConditionsStanding } from '#core/conditions/conditions-standing.ts';
import type { InspectionNoted } from '#core/inspections/inspection.ts';
import { inspectionsStanding, type InspectionsStanding } from '#core/inspections/inspections-standing.ts';
import type { Instrument } from '#core/instruments/instrument.ts';
import type { InstrumentKind, PartId } from '#core/instruments/kind.ts';
import { methodsInForce } from '#core/methods/chosen-method.ts';
import { methodsStanding, type MethodsStanding } from '#core/methods/methods-standing.ts';
import type { PlayColumns } from '#core/plays/play-columns.ts';
import { playsOfParts, type PlaysOfPart } from '#core/plays/plays-of-part.ts';
import { playsStanding, type PlaysStanding } from '#core/plays/plays-standing.ts';
import { aloneStanding, type AloneStanding } from '#core/situation/alone-standing.ts';
import { dayNumber, type LocalDate } from '#core/time/local-date.ts';

/** What the record says of an instrument, as far as its situation is worked out from it. */
export type InstrumentFacts = {
  readonly plays: PlayColumns;
  readonly care: CareHistory;
  readonly choices: MethodChoices;
  readonly conditions: readonly Condition[];
  /** Concerts and whatever else is known of a day. */
  readonly events: readonly CalendarEvent[];
  /** What was read of the air where its player is. */
  readonly air: readonly AirRead[];
  /** The room its player usually plays in, °C; null where they have not said. */
  readonly usualRoom?: number | null;
  /** What was wrong with it, and what happened to it. */
  readonly faults: FaultFacts;
  /** What was read of it when it was looked over. */
  readonly inspections: readonly InspectionNoted[];
  /** When it was packed for the bench and fetched from there. */
  readonly handovers: readonly HandoverNoted[];
};

/**
 * How one instrument stands on a day: what each room makes of the facts, joined here and nowhere else. A new room adds
 * its own standing under its own name.
 */
export type Situation = {
  readonly instrument: Instrument;
  readonly today: LocalDate;
  readonly kind: InstrumentKind;
  readonly calendar: CalendarStanding;
  readonly plays: PlaysStanding & { readonly ofPart: (part: PartId) => PlaysOfPart };
  readonly alone: AloneStanding;
  readonly conditions: ConditionsStanding;
  readonly methods: MethodsStanding;
  readonly care: CareStanding;
  readonly faults: FaultsStanding;
  readonly inspections: InspectionsStanding;
  readonly handover: HandoverStanding;
};

/** Works out an instrument's situation from the facts; nothing is stored. */
export function situationOf(book: Book, instrument: Instrument, facts: InstrumentFacts, today: LocalDate): Situation {
  const kind = book.kinds[instrument.kind];
  const calendar = calendarStanding(facts.events, instrument.id, today);
  const plays = playsStanding(facts.plays, today, calendar.planned);
  const setting = { book, instrument, today, choices: facts.choices, week: plays.forecast.week };
  const conditions = conditionsStanding(setting, facts.conditions, facts.air, facts.usualRoom ?? null);
  const methods = methodsStanding(setting, conditions.ids);
  const alone = aloneStanding(methods, conditions.standing, today);
  const ofPart = playsOfParts({
    plays: facts.plays,
    forecast: plays.forecast,
    planned: calendar.planned,
    today: dayNumber(today),
    isOf: alone.isOf,
    resting: alone.usual && {
      alone: alone.usual.alone.id,
      last: alone.usual.last === null ? Infinity : dayNumber(alone.usual.last),
    },
  });
  const care = careStanding(kind, methods, {
    instrument,
    today,
    plays: facts.plays,
    forecast: plays.forecast,
    ofPart,
    history: facts.care,
    conditions: conditions.standing,
  });
  const remedies = methodsInForce(methods.choices, methods.context).map(({ effects }) => effects.remedies);
  const faults = faultsStanding(book, instrument, facts.faults, { today, events: facts.events, remedies });
  const inspections = inspectionsStanding(book, instrument, facts.inspections, {
    today,
    done: workDoneAtBench(facts.events, instrument.id),
    mishaps: facts.faults.mishaps,
  });
  return {
    instrument,
    today,
    kind,
    calendar,
    plays: { ...plays, ofPart },
    alone,
    conditions,
    methods,
    care,
    faults,
    inspections,
    handover: handoverStanding(facts.handovers, facts.events, instrument.id, today),
  };
}
