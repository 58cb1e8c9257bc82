import { describe, expect, test } from '@jest/globals';
import { mayIUse } from '#core/agents/may-i-use.ts';
import type { ConditionKind } from '#core/book/condition.ts';
import { METHOD_IDS, type MethodId } from '#core/book/method-ids.ts';
import type { Method } from '#core/book/method.ts';
import type { Build } from '#core/instruments/build.ts';
import { KIND_IDS, type KindId } from '#core/instruments/kind.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';
import { isAsked } from '#core/methods/chosen-method.ts';
import { practiceFor } from '#core/methods/practice-for.ts';
import { plainContext, practiceUnder } from '#core/methods/practice-under.ts';
import { BOOK } from '#core/tables/book.ts';
import { buildDials } from '#core/testing/cases.ts';
import { pairwise } from '#core/testing/pairwise.ts';

/** Everything a player could notice of a choice: steps, words, order, supplies, care, dates, cloth, verdicts. */
function noticed(id: MethodId, choice: string, kind: KindId, build: Build): string {
  const setting = { choices: { [id]: choice }, context: plainContext(BOOK, kind, build) };
  const { steps, off, thirst, items } = practiceUnder(practiceFor(BOOK, kind, build), setting);
  const conditions = Object.values<ConditionKind>(BOOK.conditions).map(({ ends, effects }) => [
    ends.kind === 'after-days-by-method' && ends.method === id ? ends.days[choice] : null,
    effects.map((effect) => {
      if (effect.kind === 'due-on-days-by-method' && effect.method === id) return effect.schedules[choice];
      return effect.kind === 'hold' && effect.by?.method === id ? effect.by.choices.includes(choice) : null;
    }),
  ]);
  const method: Method = BOOK.methods[id];
  return JSON.stringify([
    steps.map((step) => [step.id, step.heading, step.how, step.supplies, step.cautions, step.laterThan]),
    [...off.keys()],
    thirst,
    items.map(({ trigger }) =>
      trigger.kind === 'clock-by-method' && trigger.method === id ? trigger.limbs[choice] : null,
    ),
    BOOK.agents.map((agent) => mayIUse(agent, setting.context, setting).map(({ verdict }) => verdict)),
    method.choices[choice]?.advice,
    method.choices[choice]?.remedies,
    conditions,
  ]);
}

describe('a question that is asked', () => {
  test.each(METHOD_IDS)('%s: every choice differs from every other on some instrument', (id) => {
    const method: Method = BOOK.methods[id];
    const alike = new Set(Object.keys(method.choices));
    for (const kind of KIND_IDS)
      for (const build of [usualBuild(BOOK.kinds[kind]), ...(pairwise(buildDials(BOOK, kind)) as Build[])]) {
        if (alike.size === 0) return;
        if (!isAsked(BOOK, id, kind, build)) continue;
        const all = Object.keys(method.choices).map((choice) => noticed(id, choice, kind, build));
        Object.keys(method.choices).forEach((choice, index) => {
          if (all.filter((one) => one === all[index]).length === 1) alike.delete(choice);
        });
      }
    expect([...alike]).toEqual([]);
  });
});
