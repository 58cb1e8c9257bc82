import type { Book } from '#core/book/book.ts';
import type { ConditionId } from '#core/book/condition-ids.ts';
import type { Condition, ConditionKind } from '#core/book/condition.ts';
import { buildMeets, type Build } from '#core/instruments/build.ts';
import type { KindId } from '#core/instruments/kind.ts';
import { chosenMethod } from '#core/methods/chosen-method.ts';
import type { MethodSetting } from '#core/book/method-setting.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';

export const conditionKind = ({ conditions }: Pick<Book, 'conditions'>, id: ConditionId): ConditionKind =>
  conditions[id];

/** Can this instrument be in this condition? New wood is for wood, a new cork for corks. */
export const concerns = ({ where }: ConditionKind, kind: KindId, build: Build): boolean =>
  where === undefined ||
  where.some(({ kinds, build: wanted }) => (kinds === undefined || kinds.includes(kind)) && buildMeets(build, wanted));

/** The days the book gives it, under the methods in force; null when it lasts until somebody says so. */
function daysGiven({ ends }: ConditionKind, methods: MethodSetting): number | null {
  switch (ends.kind) {
    case 'after-days':
      return ends.days.value;
    case 'after-days-by-method': {
      const { choice } = chosenMethod(ends.method, methods.choices, methods.context);
      return ends.days[choice]?.value ?? null;
    }
    case 'when-said':
      return null;
  }
}

/** The last day of a condition: as entered, else by the days the book gives it; null while it is open. */
export function lastDay(condition: Condition, methods: MethodSetting): LocalDate | null {
  if (condition.endsOn !== null) return condition.endsOn;
  const days = daysGiven(conditionKind(methods.context.book, condition.id), methods);
  return days === null ? null : addDays(condition.beginsOn, days - 1);
}

/** Does it hold on this day? The begin and the last day are both in it. */
export function holdsOn(condition: Condition, day: LocalDate, methods: MethodSetting): boolean {
  const last = lastDay(condition, methods);
  return condition.beginsOn <= day && (last === null || day <= last);
}

/** What the hygrometer showed last, °C, while a condition with a reading holds; null without one. */
export function roomRead(conditions: readonly Condition[], day: LocalDate, methods: MethodSetting): number | null {
  const read = conditions.filter((one) => one.air !== null && holdsOn(one, day, methods));
  return read.toSorted((a, b) => (a.beginsOn < b.beginsOn ? 1 : -1))[0]?.air?.celsius ?? null;
}

/**
 * The conditions a default may look at today. Worked out before the methods are, so an end that hangs on a method is
 * taken by that method's default; no default hangs on a condition that ends so.
 */
export function idsInForce(
  conditions: readonly Condition[],
  day: LocalDate,
  methods: Omit<MethodSetting, 'context'> & { readonly context: Omit<MethodSetting['context'], 'conditions'> },
): ConditionId[] {
  const plain: MethodSetting = { choices: methods.choices, context: { ...methods.context, conditions: [] } };
  return [...new Set(conditions.filter((one) => holdsOn(one, day, plain)).map(({ id }) => id))];
}
