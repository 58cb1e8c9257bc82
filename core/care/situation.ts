import { USUAL_ROOM_CELSIUS } from '#core/air/room.ts';
import type { CareFacts, ItemClock } from '#core/care/care-clock.ts';
import { careClocks } from '#core/care/care-clocks.ts';
import { practiceFor, type Practice } from '#core/care/practice-book.ts';
import type { Condition } from '#core/conditions/condition.ts';
import { idsInForce, roomRead } from '#core/conditions/in-force.ts';
import { practiceUnder } from '#core/schools/practice-under.ts';
import type { SchoolChoices, SchoolContext } from '#core/schools/school.ts';
import { packedUp, whatMatters, type PackedUp } from '#core/care/what-matters.ts';
import type { Instrument } from '#core/instruments/instrument.ts';
import type { InstrumentKind } from '#core/instruments/kind.ts';
import { kindOf } from '#core/instruments/kinds.ts';
import { forecastWeek, weeklyMinutes, type WeekForecast } from '#core/plays/forecast.ts';
import { usualPlayMinutes } from '#core/plays/usual-play.ts';
import { dayNumber, type LocalDate } from '#core/time/local-date.ts';

/** How one instrument stands today: everything the screens, the shelf and a new run are made from. */
export type Situation = PackedUp & {
  readonly kind: InstrumentKind;
  /** As this player does it: under the schools in force. */
  readonly practice: Practice;
  readonly forecast: WeekForecast;
  /** Minutes offered when somebody says they have just played. */
  readonly usualPlayMinutes: number;
  readonly context: SchoolContext;
  readonly choices: SchoolChoices;
  readonly conditions: readonly Condition[];
  /** The room it is played in: as read off while a condition holds, else the usual one, °C. */
  readonly roomCelsius: number;
  readonly clocks: readonly ItemClock[];
  /** The periodic clocks that call for attention, most pressing first. */
  readonly calling: readonly ItemClock[];
};

/** Works out an instrument's situation from the facts; nothing is stored. */
export function situationOf(
  instrument: Instrument,
  facts: Pick<CareFacts, 'plays' | 'lastDone' | 'signs' | 'decisions'>,
  { choices, conditions }: { readonly choices: SchoolChoices; readonly conditions: readonly Condition[] },
  today: LocalDate,
): Situation {
  const kind = kindOf(instrument.kind);
  const forecast = forecastWeek(facts.plays, dayNumber(today));
  const plain = {
    kind: instrument.kind,
    build: instrument.build,
    ageDays: instrument.cameNew ? dayNumber(today) - dayNumber(instrument.acquiredOn) : null,
    weeklyMinutes: weeklyMinutes(forecast),
  };
  const context: SchoolContext = { ...plain, conditions: idsInForce(conditions, today, { choices, context: plain }) };
  const practice = practiceUnder(practiceFor(instrument.kind, instrument.build), { choices, context });
  const clocks = careClocks(
    practice,
    { ...facts, acquiredOn: instrument.acquiredOn, cameNew: instrument.cameNew },
    { today, forecast, choices, context, conditions },
  );
  return {
    kind,
    practice,
    forecast,
    usualPlayMinutes: usualPlayMinutes(facts.plays),
    context,
    choices,
    conditions,
    roomCelsius: roomRead(conditions, today, { choices, context }) ?? USUAL_ROOM_CELSIUS,
    clocks,
    calling: whatMatters(kind, clocks),
    ...packedUp(practice, clocks),
  };
}
