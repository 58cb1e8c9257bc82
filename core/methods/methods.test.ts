import { isSaid } from '#core/methods/said-step.ts';
import { BOOK } from '#core/tables/book.ts';
import { practiceOf } from '#core/testing/any-run.ts';
import { casesOf } from '#core/testing/cases.ts';
import { describe, expect, test } from '@jest/globals';
import { AGENTS } from '#core/tables/agents/agents.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';
import type { CareItemId, StepId } from '#core/book/care-ids.ts';
import { PAGES_OF } from '#core/tables/care/pages.ts';
import { practiceFor } from '#core/methods/practice-for.ts';
import type { PageUse } from '#core/book/page.ts';
import { CONDITIONS } from '#core/tables/conditions/conditions.ts';
import type { Build } from '#core/instruments/build.ts';
import { KIND_IDS, type KindId } from '#core/instruments/kind.ts';
import { pairwise } from '#core/testing/pairwise.ts';
import {
  barredChoice,
  chosenMethod,
  isAsked,
  methodOf,
  methodsFor,
  methodsInForce,
  methodsOfStep,
  usualMethod,
} from '#core/methods/chosen-method.ts';
import { plainContext, usualPractice } from '#core/methods/practice-under.ts';
import { METHOD_IDS, METHOD_MOMENTS, type MethodId } from '#core/book/method-ids.ts';
import { METHODS } from '#core/tables/methods/methods.ts';

const pages = [...new Set(Object.values<readonly PageUse[]>(PAGES_OF).flatMap((uses) => uses.map(({ page }) => page)))];
const bookSteps = new Map(pages.flatMap(({ steps }) => steps.map((step) => [step.id, step] as const)));
const bookItems = new Set<CareItemId>(pages.flatMap(({ items }) => items.map(({ id }) => id)));
const choicesOf = (id: MethodId) => Object.entries(methodOf(BOOK, id).choices);
const buildsOf = (kind: KindId) =>
  pairwise(
    Object.fromEntries(BOOK.kinds[kind].fields.map(({ field, options }) => [field, options.map(({ id }) => id)])),
  ) as Build[];

describe('the questions on which practice differs', () => {
  test('each is answered by a default that is one of its choices, and asked of a kind', () => {
    expect(Object.keys(METHODS).toSorted()).toEqual([...METHOD_IDS].toSorted());
    for (const id of METHOD_IDS) {
      const { usual, choices, askedOf, moment, question } = methodOf(BOOK, id);
      for (const choice of [usual.otherwise, ...usual.cases.map((one) => one.choice)])
        expect([id, Object.hasOwn(choices, choice)]).toEqual([id, true]);
      expect([id, Object.keys(choices).length > 1, askedOf.length > 0]).toEqual([id, true, true]);
      expect(METHOD_MOMENTS).toContain(moment);
      expect(question).toMatch(/\?$/);
    }
  });

  test('every step, item and question a choice names is in the book', () => {
    for (const id of METHOD_IDS)
      for (const [choice, { order = [], says = {}, without = [], off = [], notWith }] of choicesOf(id)) {
        for (const step of [...order.flat(), ...without, ...(Object.keys(says) as StepId[])])
          expect([id, choice, step, bookSteps.has(step)]).toEqual([id, choice, step, true]);
        for (const item of off) expect([id, choice, item, bookItems.has(item)]).toEqual([id, choice, item, true]);
        for (const other of notWith?.choices ?? [])
          expect(Object.keys(methodOf(BOOK, notWith?.method ?? id).choices)).toContain(other);
      }
  });

  test('a step or an interval that hangs on a question is asked about wherever it occurs', () => {
    for (const kind of KIND_IDS)
      for (const build of buildsOf(kind)) {
        const practice = practiceFor(BOOK, kind, build);
        for (const { id, method } of practice.book)
          if (method) expect([kind, build, id, isAsked(BOOK, method.id, kind, build)]).toEqual([kind, build, id, true]);
        for (const { id, trigger } of practice.items)
          if (trigger.kind === 'clock-by-method')
            expect([kind, build, id, isAsked(BOOK, trigger.method, kind, build)]).toEqual([kind, build, id, true]);
      }
  });

  test('no question is empty: every choice changes a step, its words or order, an interval, a verdict or a habit', () => {
    const triggers = pages.flatMap(({ items }) => items.map(({ trigger }) => trigger));
    const byInterval = new Set(triggers.flatMap((one) => (one.kind === 'clock-by-method' ? [one.method] : [])));
    const byCondition = new Set(
      Object.values(CONDITIONS).flatMap(({ ends, effects }) => [
        ...('method' in ends ? [ends.method as MethodId] : []),
        ...effects.flatMap((effect) => ('method' in effect ? [effect.method as MethodId] : [])),
      ]),
    );
    const bySteps = new Set([...bookSteps.values()].flatMap(({ method }) => (method ? [method.id] : [])));
    const byVerdict = new Set(AGENTS.flatMap(({ rows }) => rows.flatMap(({ byMethod }) => byMethod?.method ?? [])));
    for (const id of METHOD_IDS) {
      const isHeld = byInterval.has(id) || byCondition.has(id) || bySteps.has(id) || byVerdict.has(id);
      const isSaid = choicesOf(id).some(
        ([, { order, says, without, off, thirst, advice, remedies }]) =>
          order ?? says ?? without ?? off ?? thirst ?? advice ?? remedies,
      );
      expect([id, isHeld || isSaid]).toEqual([id, true]);
    }
  });

  test('at the defaults no question stands in the way of another, and no step is given two actions', () => {
    for (const kind of KIND_IDS)
      for (const build of buildsOf(kind)) {
        const context = plainContext(BOOK, kind, build);
        const usual = Object.fromEntries(
          methodsFor(BOOK, kind, build).map((id) => [id, usualMethod(id, context).choice]),
        );
        for (const id of methodsFor(BOOK, kind, build))
          expect([kind, build, id, barredChoice(id, usual[id] ?? '', usual, context)]).toEqual([kind, build, id, null]);
      }
  });

  test('no two ways in force say the whole of one step', () => {
    let said = 0;
    for (const kind of KIND_IDS)
      for (const instrument of casesOf(BOOK, kind)) {
        const { chosen, build } = practiceOf(BOOK, instrument);
        const wholes = [...chosen].flatMap(([id, choice]) =>
          Object.entries(BOOK.methods[id as MethodId].choices[choice]?.says ?? {}).flatMap(([step, words]) =>
            [words ?? []]
              .flat()
              .filter((one) => one.whole !== undefined && isSaid(one.when, { build, chosen, conditions: [] }))
              .map(() => step),
          ),
        );
        said += wholes.length;
        expect([kind, wholes.filter((step, at) => wholes.indexOf(step) !== at)]).toEqual([kind, []]);
      }
    expect(said).toBeGreaterThan(100);
  });
});

describe('a choice', () => {
  const context = plainContext(BOOK, 'alto-saxophone', usualBuild(BOOK.kinds['alto-saxophone']));

  test('that another one rules out cannot be had, and falls back to the default', () => {
    const both = { 'sax-swab-path': 'neck-left-on', 'swab-cloth': 'cored' };
    expect(barredChoice('swab-cloth', 'cored', { 'sax-swab-path': 'neck-left-on' }, context)).toMatch(/neck/);
    expect(chosenMethod('swab-cloth', both, context)).toMatchObject({ choice: 'microfibre', byPlayer: false });
    // New wood is new for two years, and not on the day they are over; of an unknown age it is not.
    const aged = (ageDays: number | null) =>
      usualMethod('bore-oil-interval', { ...context, conditions: [], ageDays }).choice;
    expect([aged(0), aged(729), aged(730), aged(null)]).toEqual(['3-months', '3-months', '6-months', '6-months']);
    expect(barredChoice('swab-cloth', 'cored', {}, context)).toBeNull();
  });

  test('a build without it does not offer it: strokes and slides are for leather pads', () => {
    const pads = (one: string) =>
      plainContext(BOOK, 'clarinet', { ...usualBuild(BOOK.kinds['clarinet']), pads: one } as Build);
    expect(isAsked(BOOK, 'paper-use-wet', 'clarinet', pads('skin').build)).toBe(false);
    expect(barredChoice('paper-use-wet', 'wipe', {}, pads('cork'))).toMatch(/built/);
    expect(barredChoice('paper-use-wet', 'wipe', {}, pads('leather'))).toBeNull();
  });

  test('inherited words are no choice', () => {
    for (const name of ['toString', '__proto__', 'constructor', ''])
      expect(barredChoice('swab-wash', name, {}, context)).not.toBeNull();
  });

  test('a default follows the condition in force, as long as nobody has chosen', () => {
    const ill = { ...context, conditions: ['ill'] as const };
    expect(chosenMethod('mouthpiece-alcohol', {}, ill)).toMatchObject({
      choice: 'wipe',
      why: expect.stringContaining('ill'),
    });
    expect(chosenMethod('mouthpiece-alcohol', { 'mouthpiece-alcohol': 'no' }, ill).choice).toBe('no');
  });
});

describe('the practice under methods', () => {
  const build = usualBuild(BOOK.kinds['alto-saxophone']);
  const steps = (choices: Parameters<typeof usualPractice>[3]) =>
    usualPractice(BOOK, 'alto-saxophone', build, choices).steps.map(({ id }) => id);

  test('the same choices share one object, other choices do not', () => {
    expect(usualPractice(BOOK, 'alto-saxophone', build)).toBe(usualPractice(BOOK, 'alto-saxophone', build));
    expect(usualPractice(BOOK, 'alto-saxophone', build, { 'swab-wash': 'monthly' })).not.toBe(
      usualPractice(BOOK, 'alto-saxophone', build),
    );
  });

  test('alternatives take each other’s place; what a way does without is gone, and its care is off', () => {
    expect(steps({})).toContain('saxophone/swab-body-pass');
    expect(steps({ 'sax-swab-direction': 'top-to-bell' })).toContain('saxophone/swab-body-down');
    expect(steps({ 'sax-swab-direction': 'top-to-bell' })).not.toContain('saxophone/swab-body-pass');
    const inOne = steps({ 'sax-swab-path': 'neck-left-on' });
    expect(inOne).toContain('saxophone/pull-through-neck');
    expect(inOne).not.toContain('saxophone/swab-neck');
    const seldom = usualPractice(BOOK, 'alto-saxophone', build, { 'sax-mouthpiece-swab': 'now-and-then' });
    expect([...seldom.off.keys()]).toEqual(['saxophone/dry-mouthpiece']);
  });

  test('a step says everything the methods say of it, after what the book says', () => {
    const wash = usualPractice(BOOK, 'clarinet', usualBuild(BOOK.kinds['clarinet']), {
      'mouthpiece-wash-tool': 'no-brush',
    }).steps.find(({ id }) => id === 'single-reed/brush-mouthpiece');
    expect(wash?.how).toBe(
      'Use lukewarm water and a little mild soap, and rinse it well. Use a cloth or a cotton bud, and no brush. Keep the cork dry.',
    );
  });

  test('a step answers to the methods that put it there, and to those that have it said as it is', () => {
    const kind: KindId = 'clarinet';
    const setting = { choices: {}, context: plainContext(BOOK, kind, usualBuild(BOOK.kinds[kind])) };
    const byHand = methodsInForce(setting.choices, setting.context);
    let put = 0;
    let said = 0;
    for (const step of usualPractice(BOOK, kind, usualBuild(BOOK.kinds[kind])).steps) {
      const found = methodsOfStep(step, setting).map(({ method }) => method);
      const wanted = new Set<MethodId>();
      for (const { method, effects } of byHand)
        if (Object.keys(effects.says ?? {}).includes(step.id)) wanted.add(method);
      said += wanted.size;
      if (step.method) wanted.add(step.method.id);
      put += step.method ? 1 : 0;
      expect([step.id, found.toSorted()]).toEqual([step.id, [...wanted].toSorted()]);
    }
    expect(Math.min(put, said)).toBeGreaterThan(0);
  });

  test('a thirstier cloth than the book counts with takes more at each pass', () => {
    const thirst = (kind: KindId, cloth: string) =>
      usualPractice(BOOK, kind, usualBuild(BOOK.kinds[kind]), { 'swab-cloth': cloth }).thirst;
    expect(thirst('clarinet', 'silk')).toBe(1);
    expect(thirst('clarinet', 'cotton')).toBeGreaterThan(1);
    expect(thirst('alto-saxophone', 'silk')).toBeLessThan(1);
    expect(thirst('alto-saxophone', 'microfibre')).toBe(1);
  });
});
