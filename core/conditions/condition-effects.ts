import type { CareItem } from '#core/book/care-item.ts';
import type { Condition, ConditionEffect } from '#core/book/condition.ts';
import { conditionCalls, type ConditionCall } from '#core/conditions/condition-calls.ts';
import { conditionKind } from '#core/conditions/in-force.ts';
import type { Mark } from '#core/explain/explained.ts';
import { choiceInForce, isAsked, methodsFor, usualMethod } from '#core/methods/chosen-method.ts';
import type { MethodSetting } from '#core/book/method-setting.ts';
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
function changedDefaults({ id }: Condition, { choices, context }: MethodSetting): ConditionNote[] {
  const others = context.conditions.filter((one) => one !== id);
  const [without, inForce] = [
    { ...context, conditions: others },
    { ...context, conditions: [...others, id] },
  ];
  return methodsFor(context.book, context.kind, context.build).flatMap((method): ConditionNote[] => {
    const usual = usualMethod(method, inForce);
    const isChanged = choices[method] === undefined && usual.choice !== usualMethod(method, without).choice;
    return isChanged ? [{ rule: 'default', question: usual.question, words: usual.words, mark: usual.mark }] : [];
  });
}

/** What hangs on a question is not held to where that is not asked: a humidifier helps some bamboo and harms other. */
function isHeld(
  { by, kinds }: Extract<ConditionEffect, { kind: 'hold' }>,
  { choices, context }: MethodSetting,
): boolean {
  if (kinds !== undefined && !kinds.includes(context.kind)) return false;
  if (by === undefined) return true;
  return (
    isAsked(context.book, by.method, context.kind, context.build) &&
    by.choices.includes(choiceInForce(by.method, choices, context))
  );
}

function noteOf(effect: ConditionEffect, methods: MethodSetting, playedToday: number): ConditionNote[] {
  if (effect.kind === 'hold')
    return isHeld(effect, methods) ? [{ rule: 'hold', text: effect.text, mark: effect.mark }] : [];
  if (effect.kind !== 'daily-minutes') return [];
  return [{ rule: 'daily-minutes', most: effect.most.value, playedToday, mark: effect.most.mark }];
}

/** Everything a condition does to an instrument besides the items it calls for. */
export const conditionNotes = (condition: Condition, methods: MethodSetting, playedToday: number): ConditionNote[] => [
  ...conditionKind(methods.context.book, condition.id).effects.flatMap((effect) =>
    noteOf(effect, methods, playedToday),
  ),
  ...changedDefaults(condition, methods),
];

/** Every item of an instrument one condition calls for, with the day. */
export const itemCalls = (
  condition: Condition,
  items: readonly CareItem[],
  {
    today,
    methods,
    doneOn,
  }: {
    readonly today: LocalDate;
    readonly methods: MethodSetting;
    readonly doneOn: (item: CareItem) => LocalDate | null;
  },
): ItemCall[] =>
  items.flatMap((item) => {
    const [call] = conditionCalls(item.id, [condition], { today, lastDoneOn: doneOn(item), methods });
    return call === undefined ? [] : [{ item, call }];
  });
