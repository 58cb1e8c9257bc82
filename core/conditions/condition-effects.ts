import type { CareItem } from '#core/care/care-item.ts';
import type { Condition, ConditionEffect } from '#core/conditions/condition.ts';
import { conditionCalls, type ConditionCall } from '#core/conditions/condition-calls.ts';
import { conditionKind } from '#core/conditions/in-force.ts';
import type { Mark } from '#core/explain/explained.ts';
import { choiceInForce, isAsked, schoolOf, schoolsFor, usualSchool } from '#core/schools/chosen-school.ts';
import type { SchoolSetting } from '#core/schools/school.ts';
import type { LocalDate } from '#core/time/local-date.ts';

/** What a condition does besides calling for items. */
export type ConditionNote =
  | { readonly rule: 'hold'; readonly text: string; readonly mark: Mark }
  /** Minutes left today of what may be played in a day. */
  | { readonly rule: 'daily-minutes'; readonly most: number; readonly playedToday: number; readonly mark: Mark }
  /** A default it changes, as long as nobody has chosen otherwise. */
  | { readonly rule: 'default'; readonly question: string; readonly words: string; readonly mark: Mark };

export type ItemCall = { readonly item: CareItem; readonly call: ConditionCall };

/** Which defaults are others because of it. */
function changedDefaults({ id }: Condition, { choices, context }: SchoolSetting): ConditionNote[] {
  const others = context.conditions.filter((one) => one !== id);
  const [without, inForce] = [
    { ...context, conditions: others },
    { ...context, conditions: [...others, id] },
  ];
  return schoolsFor(context.kind, context.build).flatMap((school): ConditionNote[] => {
    const usual = usualSchool(school, inForce);
    const isChanged = choices[school] === undefined && usual.choice !== usualSchool(school, without).choice;
    return isChanged
      ? [{ rule: 'default', question: schoolOf(school).question, words: usual.words, mark: usual.mark }]
      : [];
  });
}

/** What hangs on a question is not held to where that is not asked: a humidifier helps some bamboo and harms other. */
function isHeld({ by }: Extract<ConditionEffect, { kind: 'hold' }>, { choices, context }: SchoolSetting): boolean {
  if (by === undefined) return true;
  return (
    isAsked(by.school, context.kind, context.build) && by.choices.includes(choiceInForce(by.school, choices, context))
  );
}

function noteOf(effect: ConditionEffect, schools: SchoolSetting, playedToday: number): ConditionNote[] {
  if (effect.kind === 'hold')
    return isHeld(effect, schools) ? [{ rule: 'hold', text: effect.text, mark: effect.mark }] : [];
  if (effect.kind !== 'daily-minutes') return [];
  return [{ rule: 'daily-minutes', most: effect.most.value, playedToday, mark: effect.most.mark }];
}

/** Everything a condition does to an instrument besides the items it calls for. */
export const conditionNotes = (condition: Condition, schools: SchoolSetting, playedToday: number): ConditionNote[] => [
  ...conditionKind(condition.id).effects.flatMap((effect) => noteOf(effect, schools, playedToday)),
  ...changedDefaults(condition, schools),
];

/** Every item of an instrument one condition calls for, with the day. */
export const itemCalls = (
  condition: Condition,
  items: readonly CareItem[],
  {
    today,
    schools,
    doneOn,
  }: {
    readonly today: LocalDate;
    readonly schools: SchoolSetting;
    readonly doneOn: (item: CareItem) => LocalDate | null;
  },
): ItemCall[] =>
  items.flatMap((item) => {
    const [call] = conditionCalls(item.id, [condition], { today, lastDoneOn: doneOn(item), schools });
    return call === undefined ? [] : [{ item, call }];
  });
