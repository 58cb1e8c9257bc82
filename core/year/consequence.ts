import { mayIUse } from '#core/agents/may-i-use.ts';
import type { Verdict } from '#core/book/agent.ts';
import type { Situation } from '#core/situation/situation.ts';
import { CONDITION_IDS } from '#core/book/condition-ids.ts';
import type { ConditionKind } from '#core/book/condition.ts';
import { concerns, conditionKind } from '#core/conditions/in-force.ts';
import { choiceInForce, methodOf } from '#core/methods/chosen-method.ts';
import type { MethodId } from '#core/book/method-ids.ts';
import type { MethodSetting } from '#core/book/method-setting.ts';
import type { UsualRun, UsualYear } from '#core/year/usual-year.ts';
import type { LocalDate } from '#core/time/local-date.ts';

/** The run a change is in: making ready, packing up, or doing one item. */
export type RunName = 'before' | 'after' | { readonly item: string };

/** One thing another choice changes, for this instrument in the coming year. */
export type Change =
  | { readonly rule: 'steps-added'; readonly run: RunName; readonly headings: readonly string[] }
  | { readonly rule: 'steps-gone'; readonly run: RunName; readonly headings: readonly string[] }
  | { readonly rule: 'order'; readonly run: RunName }
  | { readonly rule: 'said'; readonly heading: string; readonly how: string | null }
  | { readonly rule: 'minutes-each'; readonly run: RunName; readonly from: number; readonly to: number }
  | { readonly rule: 'passes'; readonly from: number; readonly to: number }
  | {
      readonly rule: 'times';
      readonly item: string;
      readonly from: number;
      readonly to: number;
      readonly next: LocalDate | null;
    }
  | { readonly rule: 'habit'; readonly text: string }
  | { readonly rule: 'while'; readonly condition: string; readonly words: string }
  | {
      readonly rule: 'verdict';
      readonly agent: string;
      readonly surface: string;
      readonly from: Verdict;
      readonly to: Verdict;
    }
  | { readonly rule: 'minutes-a-year'; readonly from: number; readonly to: number; readonly plays: number };

/** Below this nobody notices: 0.05 min a play, half a minute a year. */
const LEAST_EACH = 0.05;
const LEAST_A_YEAR = 0.5;

function runChanges(run: RunName, from: UsualRun, to: UsualRun): Change[] {
  const [had, has] = [from, to].map(({ steps }) => new Map(steps.map((step) => [step.id, step])));
  if (had === undefined || has === undefined) return [];
  const added = to.steps.filter(({ id }) => !had.has(id)).map(({ heading }) => heading);
  const gone = from.steps.filter(({ id }) => !has.has(id)).map(({ heading }) => heading);
  const kept = (one: UsualRun) => one.steps.map(({ id }) => id).filter((id) => had.has(id) && has.has(id));
  const saidOtherwise = to.steps.flatMap((step): Change[] => {
    const old = had.get(step.id);
    const isSame = old === undefined || (old.heading === step.heading && old.how === step.how);
    return isSame ? [] : [{ rule: 'said', heading: step.heading, how: step.how ?? null }];
  });
  return [
    ...(added.length > 0 ? [{ rule: 'steps-added', run, headings: added } as const] : []),
    ...(gone.length > 0 ? [{ rule: 'steps-gone', run, headings: gone } as const] : []),
    ...(kept(from).join() === kept(to).join() ? [] : [{ rule: 'order', run } as const]),
    ...saidOtherwise,
    ...(Math.abs(to.minutes - from.minutes) >= LEAST_EACH
      ? [{ rule: 'minutes-each', run, from: from.minutes, to: to.minutes } as const]
      : []),
  ];
}

/** Items whose number or next day is another one. */
function timesChanges(from: UsualYear, to: UsualYear): Change[] {
  const ids = new Set([...from.items.keys(), ...to.items.keys()]);
  return [...ids].flatMap((id): Change[] => {
    const [old, other] = [from.items.get(id), to.items.get(id)];
    const [had, has] = [old?.dates ?? [], other?.dates ?? []];
    if (had.length === has.length && had[0] === has[0]) return [];
    const item = other?.item.name ?? old?.item.name ?? id;
    return [{ rule: 'times', item, from: had.length, to: has.length, next: has[0] ?? null }];
  });
}

/** What doing each item once is made of otherwise; a run that belongs to two items is told once. */
function itemChanges(from: UsualYear, to: UsualYear): Change[] {
  const all = [...to.items].flatMap(([id, { item, run }]) => {
    const old = from.items.get(id)?.run;
    return old === undefined ? [] : runChanges({ item: item.name }, old, run);
  });
  const told = new Set<string>();
  return all.filter((change) => {
    // Minutes and order are each item's own; a step that comes or goes is the same step in both.
    const isItemsOwn = change.rule === 'minutes-each' || change.rule === 'order';
    const key = JSON.stringify(isItemsOwn ? change : { ...change, run: null });
    return !told.has(key) && told.add(key);
  });
}

/** What its player holds to where no step says it, and what a condition asks for while it lasts. */
function habitChanges(method: MethodId, from: MethodSetting, to: MethodSetting): Change[] {
  const { book, kind, build } = from.context;
  const { choices } = methodOf(book, method);
  const [had, has] = [from, to].map((setting) => choices[choiceInForce(method, setting.choices, setting.context)]);
  if (had === has) return [];
  const habit: Change[] =
    has?.advice !== undefined && has.advice !== had?.advice ? [{ rule: 'habit', text: has.advice }] : [];
  const during = CONDITION_IDS.map((id) => conditionKind(book, id)).filter(
    (condition) => concerns(condition, kind, build) && hangsOn(condition, method),
  );
  return [...habit, ...during.map(({ name }): Change => ({ rule: 'while', condition: name, words: has?.words ?? '' }))];
}

/** Does what a condition asks for, or how long it lasts, hang on a question? */
const hangsOn = ({ ends, effects }: ConditionKind, method: MethodId): boolean =>
  ('method' in ends && ends.method === method) ||
  effects.some((effect) =>
    effect.kind === 'hold'
      ? effect.by?.method === method
      : effect.kind === 'due-on-days-by-method' && effect.method === method,
  );

/** What may be used where, as far as this question decides it. */
function verdictChanges(method: MethodId, from: MethodSetting, to: MethodSetting): Change[] {
  const concerned = from.context.book.agents.filter(({ rows }) =>
    rows.some(({ byMethod }) => byMethod?.method === method),
  );
  return concerned.flatMap((agent) => {
    const now = mayIUse(agent, from.context, from);
    return mayIUse(agent, to.context, to).flatMap(({ surface, verdict }, index): Change[] => {
      const old = now[index]?.verdict ?? verdict;
      return old === verdict
        ? []
        : [{ rule: 'verdict', agent: agent.name, surface: surface.name, from: old, to: verdict }];
    });
  });
}

type Side = { readonly situation: Situation; readonly year: UsualYear };

/**
 * What changes for one instrument in the coming year when one question is answered otherwise: steps, their order and
 * words, minutes and passes of an ordinary play, how often and when what is due, what may be used. Empty when nothing
 * does.
 */
export function consequenceOf(method: MethodId, from: Side, to: Side): Change[] {
  const minutes = { from: from.year.minutes, to: to.year.minutes };
  return [
    ...runChanges('before', from.year.before, to.year.before),
    ...runChanges('after', from.year.after, to.year.after),
    ...(from.year.after.passes === to.year.after.passes
      ? []
      : [{ rule: 'passes', from: from.year.after.passes, to: to.year.after.passes } as const]),
    ...timesChanges(from.year, to.year),
    ...itemChanges(from.year, to.year),
    ...habitChanges(method, from.situation.methods, to.situation.methods),
    ...verdictChanges(method, from.situation.methods, to.situation.methods),
    ...(Math.abs(minutes.to - minutes.from) >= LEAST_A_YEAR
      ? [{ rule: 'minutes-a-year', ...minutes, plays: to.year.plays } as const]
      : []),
  ];
}
