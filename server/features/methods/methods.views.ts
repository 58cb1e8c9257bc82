import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { kindName } from '#core/instruments/kind.ts';
import {
  barredChoice,
  chosenMethod,
  methodOf,
  methodsFor,
  offeredChoices,
  usualMethod,
} from '#core/methods/chosen-method.ts';
import { situationOf, type Situation } from '#core/situation/situation.ts';
import { consequenceOf } from '#core/year/consequence.ts';
import { usualYear, yearMemo, type UsualYear, type YearOf } from '#core/year/usual-year.ts';
import { changeWords, yearWords } from '#core/year/year-words.ts';
import type { MethodId } from '#core/book/method-ids.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import type { MethodChoiceView, MethodsPage, MethodView } from '#contract/methods.ts';
import { noInstrument, type Failure } from '#server/failure.ts';
import type { Reading } from '#server/readings.ts';
import type { Services } from '#server/services.ts';
import { inTurns } from '#server/turns.ts';

/** One instrument as it is looked after now, and a way to ask what a year would be under another choice. */
type Comparing = {
  readonly now: { readonly situation: Situation; readonly year: UsualYear };
  readonly under: (method: MethodId, choice: string) => { situation: Situation; year: UsualYear };
};

function comparing({ book }: Services, { instrument, facts }: Reading, situation: Situation, of: YearOf): Comparing {
  const memo = yearMemo();
  return {
    now: { situation, year: usualYear(situation, of, memo) },
    under: (method, choice) => {
      const choices = { ...facts.choices, [method]: choice };
      const other = situationOf(book, instrument, { ...facts, choices }, of.today);
      return { situation: other, year: usualYear(other, of, memo) };
    },
  };
}

function choiceView(
  id: MethodId,
  choice: string,
  { now, under }: Comparing,
  { book, format }: Services,
): MethodChoiceView {
  const { choices, context } = now.situation.methods;
  const offered = methodOf(book, id).choices[choice];
  if (offered === undefined) throw new Error(`method ${id} has no choice ${choice}`);
  const inForce = chosenMethod(id, choices, context).choice === choice;
  const barred = barredChoice(id, choice, choices, context);
  const changes = inForce || barred !== null ? [] : consequenceOf(id, now, under(id, choice));
  return {
    choice,
    words: offered.words,
    mark: offered.mark,
    inForce,
    isDefault: usualMethod(id, context).choice === choice,
    cost: offered.cost ?? null,
    barred,
    yearWords: yearWords(changes),
    changes: changes.map((change) => changeWords(change, format)),
  };
}

/**
 * Every question that is asked about an instrument, with its choices, the default and why, and what another choice would
 * change for this instrument in the coming year. One question after the other, so that others get their turn between.
 */
export async function methodsPageOf(
  services: Services,
  instrumentId: string,
  today: LocalDate,
): Promise<Outcome<MethodsPage, Failure>> {
  const { book, readings } = services;
  const reading = readings.of(instrumentId);
  if (!reading) return fail(noInstrument());
  const { instrument, player } = reading;
  const situation = reading.situation(today);
  const year = { instrumentId: instrument.id, player, wetness: reading.wetness(), today };
  const compare = comparing(services, reading, situation, year);
  const { choices, context } = situation.methods;
  const offered = methodsFor(book, instrument.kind, instrument.build)
    .map((id) => ({ id, choices: offeredChoices(id, context) }))
    .filter((one) => one.choices.length > 1);
  // A choice at a time: each is a year of its own.
  const views = await inTurns(
    offered.flatMap((one) => one.choices.map((choice) => ({ id: one.id, choice }))),
    ({ id, choice }) => [{ id, view: choiceView(id, choice, compare, services) }],
  );
  const methods = offered.map(({ id }): MethodView => {
    const { question, moment } = methodOf(book, id);
    return {
      method: id,
      question,
      moment,
      byPlayer: chosenMethod(id, choices, context).byPlayer,
      defaultWhy: usualMethod(id, context).why,
      choices: views.filter((one) => one.id === id).map(({ view }) => view),
    };
  });
  const { plays, before, after, minutes } = compare.now.year;
  return succeed({
    instrumentId: instrument.id,
    name: instrument.name,
    kindName: kindName(situation.kind, instrument.build),
    year: {
      plays,
      beforeMinutes: before.minutes,
      afterMinutes: after.minutes,
      passes: after.passes,
      minutes,
    },
    methods,
  });
}
