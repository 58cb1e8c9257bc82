import { expect, test } from '@jest/globals';
import type { MethodId } from '#core/book/method-ids.ts';
import type { Step } from '#core/book/step.ts';
import { KIND_IDS } from '#core/instruments/kind.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';
import { methodOf, methodsFor, methodsInForce } from '#core/methods/chosen-method.ts';
import { practiceFor } from '#core/methods/practice-for.ts';
import { plainContext, practiceUnder } from '#core/methods/practice-under.ts';
import { BOOK } from '#core/tables/book.ts';

/** Every choice of every method of every kind, one at a time, with what the methods then in force ask of the steps. */
const ALL = KIND_IDS.flatMap((kind) => {
  const build = usualBuild(BOOK.kinds[kind]);
  const context = plainContext(BOOK, kind, build);
  return methodsFor(BOOK, kind, build).flatMap((method: MethodId) =>
    Object.keys(methodOf(BOOK, method).choices).map((choice) => {
      const setting = { choices: { [method]: choice }, context };
      const effects = methodsInForce(setting.choices, context).map((one) => one.effects);
      return { practice: practiceFor(BOOK, kind, build), setting, effects };
    }),
  );
});
const stepsOf = ({ practice, setting }: (typeof ALL)[number]) => practiceUnder(practice, setting).book;

test('a step comes later than what the methods put before it, and than nothing else', () => {
  let ordered = 0;
  const wrong: string[] = [];
  for (const one of ALL) {
    const pairs = one.effects.flatMap(({ order = [] }) => order);
    for (const step of stepsOf(one)) {
      const firsts = pairs.filter(([, second]) => second === step.id).map(([first]) => first);
      if (firsts.length > 0) ordered += 1;
      if (String(step.laterThan) !== String(firsts.length === 0 ? undefined : firsts)) wrong.push(step.id);
    }
  }
  expect(wrong).toEqual([]);
  expect(ordered).toBeGreaterThan(20);
});

test('a step of which no method says anything, and no line of which hangs on one, is the book’s own; what is said of others is kept in one object each', () => {
  let own = 0;
  let others = 0;
  const wrong: string[] = [];
  for (const one of ALL) {
    const named = new Set<string>(
      one.effects.flatMap(({ says = {}, order = [] }) => [...Object.keys(says), ...order.map(([, second]) => second)]),
    );
    for (const id of one.practice.lines.keys()) named.add(id);
    const again = stepsOf(one);
    one.practice.book.forEach((step: Step, at: number) => {
      const mine = again[at];
      if (named.has(step.id)) others += 1;
      else own += 1;
      if ((mine === step) === named.has(step.id)) wrong.push(step.id);
    });
  }
  expect(wrong).toEqual([]);
  expect([own > 1000, others > 100]).toEqual([true, true]);
});

test('a whole step stands instead of the book’s; lines are added after what is there, in the order of the methods', () => {
  let wholes = 0;
  let lines = 0;
  const wrong: string[] = [];
  for (const one of ALL)
    for (const [at, step] of stepsOf(one).entries()) {
      const book = one.practice.book[at];
      const words = one.effects
        .flatMap(({ says = {} }) => says[step.id] ?? [])
        .filter(({ when }) => when === undefined);
      const whole = words.flatMap((word) => word.whole ?? []).at(-1);
      if (whole !== undefined) {
        wholes += 1;
        // Nothing of the book's own words is left beside a whole step that does not say it again.
        const kept = [book?.why, book?.harm, ...(book?.cautions ?? []), ...(book?.supplies ?? [])];
        const said = JSON.stringify(whole);
        const now = [step.why, step.harm, ...(step.cautions ?? []), ...(step.supplies ?? [])];
        if (step.heading !== whole.heading || now.some((text) => kept.includes(text) && !said.includes(text ?? '')))
          wrong.push(step.id);
      }
      const added = words.flatMap((word) => (typeof word.adds?.how === 'string' ? [word.adds.how] : []));
      if (added.length > 0 && !one.practice.lines.has(step.id)) {
        lines += 1;
        if (!step.how?.endsWith(added.join(' '))) wrong.push(step.id);
        if (whole === undefined && step.heading !== book?.heading) wrong.push(step.id);
      }
    }
  expect([...new Set(wrong)]).toEqual([]);
  expect([wholes > 40, lines > 100]).toEqual([true, true]);
});
