import type { Book } from '#core/book/book.ts';
import type { ConditionId } from '#core/book/condition-ids.ts';
import type { MethodChoices, MethodContext, MethodSetting } from '#core/book/method-setting.ts';
import type { Practice } from '#core/book/practice.ts';
import type { Instrument } from '#core/instruments/instrument.ts';
import { practiceFor } from '#core/methods/practice-for.ts';
import { practiceUnder } from '#core/methods/practice-under.ts';
import { weeklyMinutes, type UsualWeek } from '#core/plays/usual-week.ts';
import { daysBetween, type LocalDate } from '#core/time/local-date.ts';

/** Whose methods, in which book, and what has been chosen. */
export type MethodsOf = {
  readonly book: Book;
  readonly instrument: Instrument;
  readonly today: LocalDate;
  readonly choices: MethodChoices;
  readonly week: UsualWeek;
};

/** The methods in force on an instrument, and its practice under them. */
export type MethodsStanding = MethodSetting & { readonly practice: Practice };

/** What the defaults of an instrument are worked out from. */
export const contextOf = (
  { book, instrument, today, week }: MethodsOf,
  conditions: readonly ConditionId[],
): MethodContext => ({
  book,
  kind: instrument.kind,
  build: instrument.build,
  ageDays: instrument.cameNew ? daysBetween(instrument.acquiredOn, today) : null,
  weeklyMinutes: weeklyMinutes(week),
  conditions,
});

/** @param conditions those in force today: some defaults look at them */
export function methodsStanding(asked: MethodsOf, conditions: readonly ConditionId[]): MethodsStanding {
  const { book, instrument, choices } = asked;
  const context = contextOf(asked, conditions);
  const practice = practiceUnder(practiceFor(book, instrument.kind, instrument.build), { choices, context });
  return { choices, context, practice };
}
