import type { CareFacts } from '#core/care/care-clock.ts';
import { practiceFor } from '#core/care/practice-book.ts';
import { situationOf, type Situation } from '#core/care/situation.ts';
import type { Condition } from '#core/conditions/condition.ts';
import { concerns, conditionKind } from '#core/conditions/in-force.ts';
import type { Instrument } from '#core/instruments/instrument.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import type { Services } from '#server/repositories.ts';

export type Facts = Pick<CareFacts, 'plays' | 'lastDone' | 'signs' | 'decisions'>;

/** What the record says of an instrument. */
export function factsIn({ plays, care }: Services, instrument: Instrument): Facts {
  const items = practiceFor(instrument.kind, instrument.build).items.map(({ id }) => id);
  return {
    plays: plays.columns(instrument.id),
    lastDone: care.lastDone(instrument.id, items),
    signs: care.signs(instrument.id),
    decisions: care.decisions(instrument.id),
  };
}

/** The conditions of an instrument and its player that it can be in as it is built now. */
export const conditionsIn = ({ conditions }: Services, { id, playerId, kind, build }: Instrument): Condition[] =>
  conditions
    .standing(id, playerId)
    .map(({ condition }) => condition)
    .filter((condition) => concerns(conditionKind(condition.id), kind, build));

/** How an instrument stands on a day, from facts that have been read. */
export const situationFrom = (services: Services, instrument: Instrument, facts: Facts, today: LocalDate): Situation =>
  situationOf(
    instrument,
    facts,
    { choices: services.schools.choices(instrument.id), conditions: conditionsIn(services, instrument) },
    today,
  );

/** How an instrument stands on a day, from the facts of the record. */
export const situationIn = (services: Services, instrument: Instrument, today: LocalDate): Situation =>
  situationFrom(services, instrument, factsIn(services, instrument), today);
