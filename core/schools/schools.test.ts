import { describe, expect, test } from '@jest/globals';
import { AGENTS } from '#core/agents/tables/agents.ts';
import { usualBuild } from '#core/care/check-book.ts';
import type { CareItemId, StepId } from '#core/care/care-ids.ts';
import { PAGES } from '#core/care/tables/pages.ts';
import { practiceFor } from '#core/care/practice-book.ts';
import type { LayerUse } from '#core/care/practice-layer.ts';
import { CONDITIONS } from '#core/conditions/tables/conditions.ts';
import type { Build } from '#core/instruments/build.ts';
import { KIND_IDS, type KindId } from '#core/instruments/kind.ts';
import { kindOf } from '#core/instruments/kinds.ts';
import { pairwise } from '#core/testing/pairwise.ts';
import { barredChoice, chosenSchool, isAsked, schoolOf, schoolsFor, usualSchool } from '#core/schools/chosen-school.ts';
import { plainContext, usualPractice } from '#core/schools/practice-under.ts';
import { SCHOOL_IDS, SCHOOL_MOMENTS, type SchoolId } from '#core/schools/school-ids.ts';
import { SCHOOLS } from '#core/schools/tables/schools.ts';

const layers = [
  ...new Set(Object.values<readonly LayerUse[]>(PAGES).flatMap((uses) => uses.map(({ layer }) => layer))),
];
const bookSteps = new Map(layers.flatMap(({ steps }) => steps.map((step) => [step.id, step] as const)));
const bookItems = new Set<CareItemId>(layers.flatMap(({ items }) => items.map(({ id }) => id)));
const choicesOf = (id: SchoolId) => Object.entries(schoolOf(id).choices);
const buildsOf = (kind: KindId) =>
  pairwise(
    Object.fromEntries(kindOf(kind).fields.map(({ field, options }) => [field, options.map(({ id }) => id)])),
  ) as Build[];

describe('the questions on which practice differs', () => {
  test('each is answered by a default that is one of its choices, and asked of a kind', () => {
    expect(Object.keys(SCHOOLS).toSorted()).toEqual([...SCHOOL_IDS].toSorted());
    for (const id of SCHOOL_IDS) {
      const { usual, choices, askedOf, moment, question } = schoolOf(id);
      for (const choice of [usual.otherwise, ...usual.cases.map((one) => one.choice)])
        expect([id, Object.hasOwn(choices, choice)]).toEqual([id, true]);
      expect([id, Object.keys(choices).length > 1, askedOf.length > 0]).toEqual([id, true, true]);
      expect(SCHOOL_MOMENTS).toContain(moment);
      expect(question).toMatch(/\?$/);
    }
  });

  test('every step, item and question a choice names is in the book', () => {
    for (const id of SCHOOL_IDS)
      for (const [choice, { order = [], says = {}, without = [], off = [], notWith }] of choicesOf(id)) {
        for (const step of [...order.flat(), ...without, ...(Object.keys(says) as StepId[])])
          expect([id, choice, step, bookSteps.has(step)]).toEqual([id, choice, step, true]);
        for (const item of off) expect([id, choice, item, bookItems.has(item)]).toEqual([id, choice, item, true]);
        for (const other of notWith?.choices ?? [])
          expect(Object.keys(schoolOf(notWith?.school ?? id).choices)).toContain(other);
      }
  });

  test('a step or an interval that hangs on a question is asked about wherever it occurs', () => {
    for (const kind of KIND_IDS)
      for (const build of buildsOf(kind)) {
        const practice = practiceFor(kind, build);
        for (const { id, school } of practice.book)
          if (school) expect([kind, build, id, isAsked(school.id, kind, build)]).toEqual([kind, build, id, true]);
        for (const { id, trigger } of practice.items)
          if (trigger.kind === 'clock-by-school')
            expect([kind, build, id, isAsked(trigger.school, kind, build)]).toEqual([kind, build, id, true]);
      }
  });

  test('no question is empty: every choice changes a step, its words or order, an interval, a verdict or a habit', () => {
    const triggers = layers.flatMap(({ items }) => items.map(({ trigger }) => trigger));
    const byInterval = new Set(triggers.flatMap((one) => (one.kind === 'clock-by-school' ? [one.school] : [])));
    const byCondition = new Set(
      Object.values(CONDITIONS).flatMap(({ ends, effects }) => [
        ...('school' in ends ? [ends.school as SchoolId] : []),
        ...effects.flatMap((effect) => ('school' in effect ? [effect.school as SchoolId] : [])),
      ]),
    );
    const bySteps = new Set([...bookSteps.values()].flatMap(({ school }) => (school ? [school.id] : [])));
    const byVerdict = new Set(AGENTS.flatMap(({ rows }) => rows.flatMap(({ bySchool }) => bySchool?.school ?? [])));
    for (const id of SCHOOL_IDS) {
      const isHeld = byInterval.has(id) || byCondition.has(id) || bySteps.has(id) || byVerdict.has(id);
      const isSaid = choicesOf(id).some(
        ([, { order, says, without, off, thirst, advice }]) => order ?? says ?? without ?? off ?? thirst ?? advice,
      );
      expect([id, isHeld || isSaid]).toEqual([id, true]);
    }
  });

  test('at the defaults no question stands in the way of another, and no step is given two actions', () => {
    for (const kind of KIND_IDS)
      for (const build of buildsOf(kind)) {
        const context = plainContext(kind, build);
        const usual = Object.fromEntries(schoolsFor(kind, build).map((id) => [id, usualSchool(id, context).choice]));
        for (const id of schoolsFor(kind, build))
          expect([kind, build, id, barredChoice(id, usual[id] ?? '', usual, context)]).toEqual([kind, build, id, null]);
      }
    const actions = SCHOOL_IDS.flatMap((id) => {
      const steps = choicesOf(id).flatMap(([, { says = {} }]) =>
        Object.entries(says).flatMap(([step, words]) => (words?.action === undefined ? [] : [step])),
      );
      return [...new Set(steps)].map((step) => `${step} by ${id}`);
    });
    const twice = actions.map((one) => one.split(' by ')[0]).filter((step, index, all) => all.indexOf(step) !== index);
    // A capped reed leaves the mouthpiece capped, wherever the neck then travels.
    expect(twice).toEqual(['saxophone/cap-mouthpiece']);
  });
});

describe('a choice', () => {
  const context = plainContext('alto-saxophone', usualBuild('alto-saxophone'));

  test('that another one rules out cannot be had, and falls back to the default', () => {
    const both = { 'sax-swab-path': 'neck-left-on', 'swab-cloth': 'cored' };
    expect(barredChoice('swab-cloth', 'cored', { 'sax-swab-path': 'neck-left-on' }, context)).toMatch(/neck/);
    expect(chosenSchool('swab-cloth', both, context)).toMatchObject({ choice: 'microfibre', byPlayer: false });
    expect(barredChoice('swab-cloth', 'cored', {}, context)).toBeNull();
  });

  test('a build without it does not offer it: strokes and slides are for leather pads', () => {
    const pads = (one: string) => plainContext('clarinet', { ...usualBuild('clarinet'), pads: one } as Build);
    expect(isAsked('paper-use-wet', 'clarinet', pads('skin').build)).toBe(false);
    expect(barredChoice('paper-use-wet', 'wipe', {}, pads('cork'))).toMatch(/built/);
    expect(barredChoice('paper-use-wet', 'wipe', {}, pads('leather'))).toBeNull();
  });

  test('inherited words are no choice', () => {
    for (const name of ['toString', '__proto__', 'constructor', ''])
      expect(barredChoice('swab-wash', name, {}, context)).not.toBeNull();
  });

  test('a default follows the condition in force, as long as nobody has chosen', () => {
    const ill = { ...context, conditions: ['ill'] as const };
    expect(chosenSchool('mouthpiece-alcohol', {}, ill)).toMatchObject({
      choice: 'wipe',
      why: expect.stringContaining('ill'),
    });
    expect(chosenSchool('mouthpiece-alcohol', { 'mouthpiece-alcohol': 'no' }, ill).choice).toBe('no');
  });
});

describe('the practice under schools', () => {
  const build = usualBuild('alto-saxophone');
  const steps = (choices: Parameters<typeof usualPractice>[2]) =>
    usualPractice('alto-saxophone', build, choices).steps.map(({ id }) => id);

  test('the same choices share one object, other choices do not', () => {
    expect(usualPractice('alto-saxophone', build)).toBe(usualPractice('alto-saxophone', build));
    expect(usualPractice('alto-saxophone', build, { 'swab-wash': 'monthly' })).not.toBe(
      usualPractice('alto-saxophone', build),
    );
  });

  test('alternatives take each other’s place; what a way does without is gone, and its care is off', () => {
    expect(steps({})).toContain('saxophone/swab-body-pass');
    expect(steps({ 'sax-swab-direction': 'top-to-bell' })).toContain('saxophone/swab-body-down');
    expect(steps({ 'sax-swab-direction': 'top-to-bell' })).not.toContain('saxophone/swab-body-pass');
    const inOne = steps({ 'sax-swab-path': 'neck-left-on' });
    expect(inOne).toContain('saxophone/pull-through-neck');
    expect(inOne).not.toContain('saxophone/swab-neck');
    const seldom = usualPractice('alto-saxophone', build, { 'sax-mouthpiece-swab': 'now-and-then' });
    expect([...seldom.off.keys()]).toEqual(['saxophone/dry-mouthpiece']);
  });

  test('a step says everything the schools say of it, after what the book says', () => {
    const wash = usualPractice('clarinet', usualBuild('clarinet'), { 'mouthpiece-wash-tool': 'no-brush' }).steps.find(
      ({ id }) => id === 'single-reed/brush-mouthpiece',
    );
    expect(wash?.how).toBe(
      'Dried with a cloth. Lukewarm water, a little mild soap, rinsed. A cloth or a cotton bud, no brush. The cork stays dry.',
    );
  });

  test('a thirstier cloth than the book counts with takes more at each pass', () => {
    const thirst = (kind: KindId, cloth: string) =>
      usualPractice(kind, usualBuild(kind), { 'swab-cloth': cloth }).thirst;
    expect(thirst('clarinet', 'silk')).toBe(1);
    expect(thirst('clarinet', 'cotton')).toBeGreaterThan(1);
    expect(thirst('alto-saxophone', 'silk')).toBeLessThan(1);
    expect(thirst('alto-saxophone', 'microfibre')).toBe(1);
  });
});
