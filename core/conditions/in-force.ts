import type { ConditionId } from '#core/conditions/condition-ids.ts';
import type { Condition, ConditionKind } from '#core/conditions/condition.ts';
import { CONDITIONS } from '#core/conditions/tables/conditions.ts';
import { buildMeets, type Build } from '#core/instruments/build.ts';
import type { KindId } from '#core/instruments/kind.ts';
import { chosenSchool } from '#core/schools/chosen-school.ts';
import type { SchoolSetting } from '#core/schools/school.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';

export const conditionKind = (id: ConditionId): ConditionKind => CONDITIONS[id];

/** Can this instrument be in this condition? New wood is for wood, a new cork for corks. */
export const concerns = ({ where }: ConditionKind, kind: KindId, build: Build): boolean =>
  where === undefined ||
  where.some(({ kinds, build: wanted }) => (kinds === undefined || kinds.includes(kind)) && buildMeets(build, wanted));

/** The days the book gives it, under the schools in force; null when it lasts until somebody says so. */
function daysGiven({ ends }: ConditionKind, schools: SchoolSetting): number | null {
  switch (ends.kind) {
    case 'after-days':
      return ends.days.value;
    case 'after-days-by-school': {
      const { choice } = chosenSchool(ends.school, schools.choices, schools.context);
      return ends.days[choice]?.value ?? null;
    }
    case 'when-said':
      return null;
  }
}

/** The last day of a condition: as entered, else by the days the book gives it; null while it is open. */
export function lastDay(condition: Condition, schools: SchoolSetting): LocalDate | null {
  if (condition.endsOn !== null) return condition.endsOn;
  const days = daysGiven(conditionKind(condition.id), schools);
  return days === null ? null : addDays(condition.beginsOn, days - 1);
}

/** Does it hold on this day? The begin and the last day are both in it. */
export function holdsOn(condition: Condition, day: LocalDate, schools: SchoolSetting): boolean {
  const last = lastDay(condition, schools);
  return condition.beginsOn <= day && (last === null || day <= last);
}

/** What the hygrometer showed last, °C, while a condition with a reading holds; null without one. */
export function roomRead(conditions: readonly Condition[], day: LocalDate, schools: SchoolSetting): number | null {
  const read = conditions.filter((one) => one.air !== null && holdsOn(one, day, schools));
  return read.toSorted((a, b) => (a.beginsOn < b.beginsOn ? 1 : -1))[0]?.air?.celsius ?? null;
}

/**
 * The conditions a default may look at today. Worked out before the schools are, so an end that hangs on a school is
 * taken by that school's default; no default hangs on a condition that ends so.
 */
export function idsInForce(
  conditions: readonly Condition[],
  day: LocalDate,
  schools: Omit<SchoolSetting, 'context'> & { readonly context: Omit<SchoolSetting['context'], 'conditions'> },
): ConditionId[] {
  const plain: SchoolSetting = { choices: schools.choices, context: { ...schools.context, conditions: [] } };
  return [...new Set(conditions.filter((one) => holdsOn(one, day, plain)).map(({ id }) => id))];
}
