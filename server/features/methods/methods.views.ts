import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { ofInstrument, ofPlayer } from '#core/record/fact.ts';
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
import { consequenceOf, type Change } from '#core/year/consequence.ts';
import { usualYear, yearMemo } from '#core/year/usual-year.ts';
import { changeWords, yearWords } from '#core/year/year-words.ts';
import type { MethodId } from '#core/book/method-ids.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import type { MethodChoiceView, MethodsPage, MethodView } from '#contract/methods.ts';
import { noInstrument, type Failure } from '#server/failure.ts';
import type { Reading } from '#server/readings.ts';
import type { Services } from '#server/services.ts';
import { inTurns } from '#server/turns.ts';

/** A choice that is offered for an instrument. */
type Offered = { readonly method: MethodId; readonly choice: string };
const nameOf = ({ method, choice }: Offered): string => `${method} ${choice}`;

/** The coming year of an instrument as it is looked after now, and what another choice would change in it. */
type ComparedYears = {
  readonly year: MethodsPage['year'];
  /** By method and choice. */
  readonly changes: ReadonlyMap<string, readonly Change[]>;
};

/** Compares the years a choice at a time: each is a year of its own, and others get their turn between. */
async function compareYears(
  { book }: Services,
  { instrument, player, facts, wetness, situation }: Reading,
  { today, offered }: { readonly today: LocalDate; readonly offered: readonly Offered[] },
): Promise<ComparedYears> {
  const memo = yearMemo();
  const asked = { instrumentId: instrument.id, player, wetness: wetness(), today };
  const now = { situation: situation(today), year: usualYear(situation(today), asked, memo) };
  const changes = await inTurns(offered, ({ method, choice }) => {
    const other = situationOf(book, instrument, { ...facts, choices: { ...facts.choices, [method]: choice } }, today);
    const under = { situation: other, year: usualYear(other, asked, memo) };
    return [[nameOf({ method, choice }), consequenceOf(method, now, under)] as const];
  });
  const { plays, before, after, minutes } = now.year;
  return {
    year: { plays, beforeMinutes: before.minutes, afterMinutes: after.minutes, passes: after.passes, minutes },
    changes: new Map(changes),
  };
}

/** Is it a choice that is not in force and can be made? */
function isOpen({ method, choice }: Offered, { methods: { choices, context } }: Situation): boolean {
  return (
    chosenMethod(method, choices, context).choice !== choice && barredChoice(method, choice, choices, context) === null
  );
}

function choiceView(
  one: Offered,
  { methods: { choices, context } }: Situation,
  changes: readonly Change[],
  { book, format }: Services,
): MethodChoiceView {
  const { method, choice } = one;
  const offered = methodOf(book, method).choices[choice];
  if (offered === undefined) throw new Error(`method ${method} has no choice ${choice}`);
  return {
    choice,
    words: offered.words,
    mark: offered.mark,
    inForce: chosenMethod(method, choices, context).choice === choice,
    isDefault: usualMethod(method, context).choice === choice,
    cost: offered.cost ?? null,
    barred: barredChoice(method, choice, choices, context),
    yearWords: yearWords(changes),
    changes: changes.map((change) => changeWords(change, format)),
  };
}

/**
 * Every question that is asked about an instrument, with its choices, the default and why, and what another choice would
 * change for this instrument in the coming year. The years are compared once for each state of the record.
 */
export async function methodsPageOf(
  services: Services,
  instrumentId: string,
  today: LocalDate,
): Promise<Outcome<MethodsPage, Failure>> {
  const { book, readings, remembered, caller } = services;
  const reading = readings.of(instrumentId);
  if (!reading) return fail(noInstrument());
  const { instrument } = reading;
  const situation = reading.situation(today);
  const { choices, context } = situation.methods;
  const asked = methodsFor(book, instrument.kind, instrument.build)
    .map((method) => ({ method, choices: offeredChoices(method, context) }))
    .filter((one) => one.choices.length > 1);
  const offered = asked
    .flatMap(({ method, choices: all }) => all.map((choice) => ({ method, choice })))
    .filter((one) => isOpen(one, situation));
  const subjects = [ofInstrument(instrument.id), ofPlayer(instrument.playerId)];
  const comparing = remembered.work({ name: `years ${instrument.id}`, subjects, day: today }, () => ({
    done: compareYears(services, reading, { today, offered }),
  }));
  const { year, changes } = await comparing.wait(caller.left, ({ done }) => done);
  const methods = asked.map(({ method, choices: all }): MethodView => {
    const { question, moment } = methodOf(book, method);
    return {
      method,
      question,
      moment,
      byPlayer: chosenMethod(method, choices, context).byPlayer,
      defaultWhy: usualMethod(method, context).why,
      choices: all.map((choice) => {
        const one = { method, choice };
        return choiceView(one, situation, changes.get(nameOf(one)) ?? [], services);
      }),
    };
  });
  return succeed({
    instrumentId: instrument.id,
    name: instrument.name,
    kindName: kindName(situation.kind, instrument.build),
    year,
    methods,
  });
}
