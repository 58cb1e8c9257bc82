import { situationOf, type Situation } from '#core/care/situation.ts';
import type { Format } from '#core/explain/format.ts';
import type { Instrument } from '#core/instruments/instrument.ts';
import { kindName } from '#core/instruments/kind.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import {
  barredChoice,
  chosenSchool,
  offeredChoices,
  schoolOf,
  schoolsFor,
  usualSchool,
} from '#core/schools/chosen-school.ts';
import { consequenceOf } from '#core/schools/consequence.ts';
import type { SchoolId } from '#core/schools/school-ids.ts';
import { changeWords, yearWords } from '#core/schools/school-words.ts';
import { usualYear, yearMemo, type UsualYear, type YearOf } from '#core/schools/usual-year.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import type { SchoolChoiceView, SchoolsPage, SchoolView } from '#contract/schools.ts';
import { notFound, type Failure } from '#server/failure.ts';
import type { Services } from '#server/repositories.ts';
import { factsIn, situationFrom, type Facts } from '#server/situations.ts';
import { wetnessIn } from '#server/wetness.ts';

/** One instrument as it is looked after now, and a way to ask what a year would be under another choice. */
type Comparing = {
  readonly now: { readonly situation: Situation; readonly year: UsualYear };
  readonly under: (school: SchoolId, choice: string) => { situation: Situation; year: UsualYear };
};

function comparing(instrument: Instrument, facts: Facts, situation: Situation, of: YearOf): Comparing {
  const memo = yearMemo();
  return {
    now: { situation, year: usualYear(situation, of, memo) },
    under: (school, choice) => {
      const { choices, conditions } = situation;
      const other = situationOf(instrument, facts, { choices: { ...choices, [school]: choice }, conditions }, of.today);
      return { situation: other, year: usualYear(other, of, memo) };
    },
  };
}

function choiceView(id: SchoolId, choice: string, { now, under }: Comparing, format: Format): SchoolChoiceView {
  const { choices, context } = now.situation;
  const offered = schoolOf(id).choices[choice];
  if (offered === undefined) throw new Error(`school ${id} has no choice ${choice}`);
  const inForce = chosenSchool(id, choices, context).choice === choice;
  const barred = barredChoice(id, choice, choices, context);
  const changes = inForce || barred !== null ? [] : consequenceOf(id, now, under(id, choice));
  return {
    choice,
    words: offered.words,
    mark: offered.mark,
    inForce,
    isDefault: usualSchool(id, context).choice === choice,
    cost: offered.cost ?? null,
    barred,
    yearWords: yearWords(changes),
    changes: changes.map((change) => changeWords(change, format)),
  };
}

/**
 * Every question that is asked about an instrument, with its choices, the default and why, and what another choice would
 * change for this instrument in the coming year.
 */
export function schoolsPageOf(
  services: Services,
  instrumentId: string,
  today: LocalDate,
  format: Format,
): Outcome<SchoolsPage, Failure> {
  const instrument = services.instruments.find(instrumentId);
  const player = instrument && services.players.find(instrument.playerId);
  if (!instrument || !player) return fail(notFound('instrumentId', 'No such instrument in the record.'));
  // The facts are read once; every choice is worked out from them.
  const facts = factsIn(services, instrument);
  const situation = situationFrom(services, instrument, facts, today);
  const wetness = wetnessIn(services, instrument.id, situation);
  const compare = comparing(instrument, facts, situation, {
    instrumentId: instrument.id,
    player,
    wetness,
    today,
  });
  const { choices, context } = situation;
  const schools = schoolsFor(instrument.kind, instrument.build).flatMap((id): SchoolView[] => {
    const { question, moment } = schoolOf(id);
    const offered = offeredChoices(id, instrument.kind, instrument.build);
    if (offered.length < 2) return [];
    const { byPlayer } = chosenSchool(id, choices, context);
    return [
      {
        school: id,
        question,
        moment,
        byPlayer,
        defaultWhy: usualSchool(id, context).why,
        choices: offered.map((choice) => choiceView(id, choice, compare, format)),
      },
    ];
  });
  const { plays, before, after, minutes } = compare.now.year;
  return succeed({
    instrumentId,
    name: instrument.name,
    kindName: kindName(situation.kind, instrument.build),
    year: {
      plays,
      beforeMinutes: before.minutes,
      afterMinutes: after.minutes,
      passes: after.passes,
      minutes,
    },
    schools,
  });
}
