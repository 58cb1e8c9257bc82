import type { CareItemId } from '#core/book/care-ids.ts';
import type { Condition, ConditionEffect, Schedule } from '#core/book/condition.ts';
import { conditionKind, lastDay } from '#core/conditions/in-force.ts';
import type { Mark } from '#core/explain/explained.ts';
import { chosenMethod } from '#core/methods/chosen-method.ts';
import type { MethodSetting } from '#core/book/method-setting.ts';
import { addDays, daysBetween, type LocalDate } from '#core/time/local-date.ts';

/** What a condition asks of one item: due on a day, or at each joining while it lasts. */
export type ConditionCall = {
  readonly condition: Condition;
  /** What the book calls the condition. */
  readonly name: string;
  readonly kind: 'on-a-day' | 'at-each-joining';
  /** The day it falls due; for each joining, the last day it belongs to one (null: open). */
  readonly on: LocalDate | null;
  readonly words: string;
  readonly mark: Mark;
};

type Asked = {
  readonly condition: Condition;
  readonly effect: ConditionEffect;
  readonly lastDoneOn: LocalDate | null;
  readonly methods: MethodSetting;
};

/** The first day of a schedule that has not been met by what was done last. */
function nextOfSchedule(schedule: Schedule, begin: LocalDate, doneOn: LocalDate | null): LocalDate | null {
  const open = schedule.days.map((day) => addDays(begin, day)).find((day) => doneOn === null || doneOn < day);
  if (open !== undefined) return open;
  const last = schedule.days.at(-1);
  if (schedule.thenEvery === undefined || last === undefined || doneOn === null) return null;
  const rounds = Math.floor(daysBetween(addDays(begin, last), doneOn) / schedule.thenEvery) + 1;
  return addDays(begin, last + rounds * schedule.thenEvery);
}

const scheduleWords = ({ days, thenEvery }: Schedule): string => {
  const named = `day ${days.join(' and day ')}`;
  return thenEvery === undefined ? `on ${named}` : `on ${named}, then every ${thenEvery} days`;
};

/** The schedule the method in force gives. @throws Error when the book has none for the choice */
function scheduleByMethod(
  { method, schedules }: Extract<ConditionEffect, { kind: 'due-on-days-by-method' }>,
  { choices, context }: MethodSetting,
): Schedule {
  const { choice } = chosenMethod(method, choices, context);
  const schedule = schedules[choice];
  if (schedule === undefined) throw new Error(`no schedule for ${method}/${choice}`);
  return schedule;
}

const laterOf = (a: LocalDate, b: LocalDate): LocalDate => (a < b ? b : a);

function callOf({ condition, effect, lastDoneOn, methods }: Asked): ConditionCall | null {
  const { name } = conditionKind(methods.context.book, condition.id);
  const onDay = (on: LocalDate | null, words: string, mark: Mark): ConditionCall | null =>
    on === null ? null : { condition, name, kind: 'on-a-day', on, words, mark };
  switch (effect.kind) {
    case 'due-on-days': {
      // Done shortly before counts: who has greased the slides on Friday need not on Sunday.
      const early = effect.doneWithin?.value ?? 0;
      const counted = lastDoneOn === null ? null : addDays(lastDoneOn, early);
      return onDay(nextOfSchedule(effect.schedule, condition.beginsOn, counted), effect.words, effect.mark);
    }
    case 'due-on-days-by-method': {
      const schedule = scheduleByMethod(effect, methods);
      return onDay(nextOfSchedule(schedule, condition.beginsOn, lastDoneOn), scheduleWords(schedule), effect.mark);
    }
    case 'at-least-every': {
      const next = lastDoneOn === null ? condition.beginsOn : addDays(lastDoneOn, effect.days.value);
      return onDay(laterOf(next, condition.beginsOn), `at least every ${effect.days.value} days`, effect.days.mark);
    }
    case 'at-each-joining':
      return {
        condition,
        name,
        kind: 'at-each-joining',
        on: lastDay(condition, methods),
        words: 'at each joining',
        mark: 'one-voice',
      };
    case 'daily-minutes':
    case 'hold':
      return null;
  }
}

/**
 * What the conditions ask of an item, the most pressing first. A condition that is over asks nothing, and nothing is
 * asked for a day after its last; one still to come asks for its day.
 */
export function conditionCalls(
  item: CareItemId,
  conditions: readonly Condition[],
  { today, lastDoneOn, methods }: Omit<Asked, 'condition' | 'effect'> & { readonly today: LocalDate },
): ConditionCall[] {
  const calls = conditions.flatMap((condition) => {
    const last = lastDay(condition, methods);
    if (last !== null && last < today) return [];
    return conditionKind(methods.context.book, condition.id).effects.flatMap((effect): ConditionCall[] => {
      if (!('items' in effect) || !effect.items.includes(item)) return [];
      if (effect.kind === 'at-each-joining' && condition.beginsOn > today) return [];
      const call = callOf({ condition, effect, lastDoneOn, methods });
      const isTooLate = call?.kind === 'on-a-day' && call.on !== null && last !== null && call.on > last;
      return call === null || isTooLate ? [] : [call];
    });
  });
  return calls.toSorted((a, b) => (a.on ?? '').localeCompare(b.on ?? ''));
}
