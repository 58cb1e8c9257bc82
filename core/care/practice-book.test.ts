import { describe, expect, test } from '@jest/globals';
import { SCHOOLS } from '#core/care/tables/schools.ts';
import { PRACTICE_BOOK, practiceFor, type Practice } from '#core/care/practice-book.ts';
import type { PracticeLayer } from '#core/care/practice-layer.ts';
import { SCHOOL_IDS, type SchoolChoices } from '#core/care/school.ts';
import type { CareItemId, StepId } from '#core/care/care-item.ts';
import type { Build } from '#core/instruments/build.ts';
import { KIND_IDS, type KindId } from '#core/instruments/kind.ts';
import { kindOf } from '#core/instruments/kinds.ts';
import { precedence, stepsFor } from '#core/packup/collect-steps.ts';
import { planRun } from '#core/packup/plan-run.ts';
import { SKILLS } from '#core/players/player.ts';

/** Every build of a kind: the full product, small enough for these kinds. */
function buildsOf(kind: KindId): Build[] {
  return kindOf(kind).fields.reduce<Build[]>(
    (builds, { field, options }) => builds.flatMap((build) => options.map(({ id }) => ({ ...build, [field]: id }))),
    [{}],
  );
}

/** Choices that show every school option at least once: each row sets all schools, turning each dial by one. */
const longest = Math.max(...SCHOOL_IDS.map((id) => Object.keys(SCHOOLS[id].choices).length));
const choiceRows: SchoolChoices[] = [
  {},
  ...Array.from({ length: longest }, (_, row) =>
    Object.fromEntries(
      SCHOOL_IDS.map((id) => [
        id,
        Object.keys(SCHOOLS[id].choices).at(row % Object.keys(SCHOOLS[id].choices).length) ?? '',
      ]),
    ),
  ),
];
const schoolSetting = (build: Build, choices: SchoolChoices) => ({
  choices,
  context: { build, ageDays: null, weeklyMinutes: 0 },
});
const grownUp = { standing: 'grown-up', does: [...SKILLS] } as const;

const layers: readonly PracticeLayer[] = [...new Set(Object.values(PRACTICE_BOOK).flat())];
const allSteps = layers.flatMap(({ steps }) => steps);
const allItems = layers.flatMap(({ items }) => items);

const planFor = (
  kind: KindId,
  build: Build,
  practice: Practice,
  items: readonly CareItemId[],
  choices: SchoolChoices,
) =>
  planRun({
    kind: kindOf(kind),
    practice,
    items,
    schools: schoolSetting(build, choices),
    player: grownUp,
    playedMinutes: 45,
    roomCelsius: 20,
  });

describe('the practice book as data', () => {
  test('every id is unique and belongs to its layer', () => {
    for (const rows of [allItems, allSteps, layers.flatMap(({ neverDos }) => neverDos)])
      expect(new Set(rows.map(({ id }) => id)).size).toBe(rows.length);
    for (const layer of layers)
      for (const { id } of [...layer.items, ...layer.steps, ...layer.neverDos])
        expect(id).toMatch(new RegExp(`^${layer.id}/[a-z0-9-]+$`));
  });

  test('every reference in it leads somewhere', () => {
    const steps = new Set<StepId>(allSteps.map(({ id }) => id));
    const items = new Set<CareItemId>(allItems.map(({ id }) => id));
    for (const step of allSteps) {
      expect([step.id, items.has(step.item)]).toEqual([step.id, true]);
      for (const id of [...step.after, ...(step.wait?.until ?? [])])
        expect([step.id, id, steps.has(id)]).toEqual([step.id, id, true]);
      for (const id of step.alsoDoes ?? []) expect(items.has(id)).toBe(true);
      if (step.school)
        for (const choice of step.school.choices)
          expect(Object.keys(SCHOOLS[step.school.id].choices)).toContain(choice);
    }
    for (const item of allItems) {
      for (const id of item.includes ?? []) expect(items.has(id)).toBe(true);
      if (item.trigger.kind === 'clock-by-school')
        expect(Object.keys(item.trigger.limbs).toSorted()).toEqual(
          Object.keys(SCHOOLS[item.trigger.school].choices).toSorted(),
        );
    }
  });

  test('a step that waits names a follower that comes after it', () => {
    for (const step of allSteps)
      for (const id of step.wait?.until ?? []) {
        const reach = (from: StepId): readonly StepId[] =>
          (allSteps.find((one) => one.id === from)?.after ?? []).flatMap((before) => [before, ...reach(before)]);
        expect(reach(id)).toContain(step.id);
      }
  });

  test('ids once shipped never disappear: players’ histories point at them', () => {
    const shipped: CareItemId[] = [
      'wind/case-away',
      'wind/case-check',
      'wind/bench-service',
      'clarinet/reed-after-playing',
      'clarinet/take-apart',
      'clarinet/dry-mouthpiece',
      'clarinet/swab-bore',
      'clarinet/dry-sockets',
      'clarinet/blot-pads',
      'clarinet/wipe-keys',
      'clarinet/air-swab',
      'clarinet/swab-wash',
      'clarinet/mouthpiece-wash',
      'clarinet/mouthpiece-soak',
      'clarinet/thorough-clean',
      'clarinet/tone-holes',
      'clarinet/rod-dust',
      'clarinet/key-oil',
      'clarinet/bore-oil',
      'clarinet/screw-check',
      'clarinet/tenon-grease',
      'clarinet/tenon-wax',
      'brass/empty-water',
      'brass/mouthpiece-out',
      'brass/wipe',
      'brass/mouthpiece-wash',
      'brass/slide-grease',
      'brass/bath',
      'piston-brass/slides-in',
      'piston-brass/valve-oil',
      'piston-brass/mouthpipe-brush',
    ];
    expect(allItems.map(({ id }) => id)).toEqual(expect.arrayContaining(shipped));
  });
});

describe.each(KIND_IDS)('for every build and school of a %s', (kind) => {
  const parts = new Set([...kindOf(kind).tube, ...kindOf(kind).loose].map(({ id }) => id));
  const cases = buildsOf(kind).flatMap((build) =>
    choiceRows.map((choices) => ({ build, choices, practice: practiceFor(kind, build) })),
  );

  test('items and steps sit on parts the kind has', () => {
    for (const { practice } of cases)
      for (const { id, part } of [...practice.items, ...practice.steps])
        expect([id, parts.has(part)]).toEqual([id, true]);
  });

  test('everything at home has steps under every choice, and bench work has none', () => {
    for (const { build, choices, practice } of cases)
      for (const item of practice.items) {
        const count = stepsFor(practice, [item.id], schoolSetting(build, choices)).length;
        if (item.place === 'bench') expect([item.id, count]).toEqual([item.id, 0]);
        // A path that does not dry the mouthpiece by itself does so with its one pull.
        else if (item.id !== 'clarinet/dry-mouthpiece')
          expect([item.id, choices, count > 0]).toEqual([item.id, choices, true]);
      }
  });

  test('every order returned keeps every precedence, is complete, and is proved shortest', () => {
    for (const { build, choices, practice } of cases) {
      const moments = [
        practice.items.filter(({ trigger }) => trigger.kind === 'every-play' && trigger.moment === 'after'),
        practice.items.filter(({ trigger }) => trigger.kind === 'every-play' && trigger.moment === 'before'),
        practice.items,
        ...practice.items.map((item) => [item]),
      ];
      for (const items of moments) {
        const ids = items.map(({ id }) => id);
        const steps = stepsFor(practice, ids, schoolSetting(build, choices));
        const plan = planFor(kind, build, practice, ids, choices);
        const order = plan.steps.map(({ step }) => step.id);
        expect(order.toSorted()).toEqual(steps.map(({ id }) => id).toSorted());
        const broken = [...precedence(practice, steps)].flatMap(([id, before]) =>
          [...before]
            .filter((earlier) => order.indexOf(earlier) > order.indexOf(id))
            .map((earlier) => `${earlier} before ${id}`),
        );
        expect(broken).toEqual([]);
        expect(plan.because).toContainEqual({ rule: 'order', proved: true, gapMinutes: 0 });
      }
    }
  });
});

describe('what the book forbids', () => {
  const words = (practice: Practice) => practice.steps.map(({ action }) => action).join(' ');

  test('no bore oil on plastic or hard rubber; the never-do says so', () => {
    for (const build of buildsOf('clarinet')) {
      const practice = practiceFor('clarinet', build);
      const oiled =
        practice.items.some(({ id }) => id === 'clarinet/bore-oil') ||
        /bore oil/i.test(practice.steps.flatMap(({ supplies }) => supplies ?? []).join());
      expect(oiled).toBe(build.body === 'wood');
      expect(practice.neverDos.some(({ id }) => id === 'clarinet/no-bore-oil')).toBe(build.body !== 'wood');
    }
  });

  test('thread takes wax, cork takes grease', () => {
    for (const build of buildsOf('clarinet')) {
      const supplies = practiceFor('clarinet', build).steps.flatMap((step) => step.supplies ?? []);
      expect(supplies.includes('tenon wax')).toBe(build.tenons === 'thread');
      expect(supplies.includes('cork grease')).toBe(build.tenons === 'cork');
    }
  });

  test('a trumpet’s valves stay out of the bath, which runs soak → brush → rinse → dry → grease → oil', () => {
    const build = { finish: 'lacquer', brassMouthpiece: 'plated' } as const;
    const practice = practiceFor('trumpet', build);
    const order = planFor('trumpet', build, practice, ['brass/bath'], {}).steps.map(({ step }) =>
      step.id.replace('piston-brass/bath-', ''),
    );
    expect(order.indexOf('try-slides')).toBe(0);
    const stages = ['slides-out', 'soak', 'brush', 'rinse', 'dry', 'grease', 'oil', 'try'].map((stage) =>
      order.indexOf(stage),
    );
    expect(stages).toEqual(stages.toSorted((a, b) => a - b));
    expect(order.indexOf('valves')).toBeGreaterThan(order.indexOf('slides-out'));
    expect(order.indexOf('valves')).toBeLessThan(order.indexOf('brush'));
    expect(practice.steps.find(({ id }) => id === 'piston-brass/bath-slides-out')?.cautions).toContain(
      'Valves stay out of the bath.',
    );
    expect(words(practice)).not.toMatch(/hot water/i);
  });

  test('the reed comes off first and the case is latched last', () => {
    for (const build of buildsOf('clarinet'))
      for (const path of ['whole', 'body-only', 'by-joint']) {
        const practice = practiceFor('clarinet', build);
        const items = practice.items
          .filter(({ trigger }) => trigger.kind === 'every-play' && trigger.moment === 'after')
          .map(({ id }) => id);
        const plan = planFor('clarinet', build, practice, items, { 'clarinet-swab-path': path });
        expect(plan.steps[0]?.step.id).toBe('clarinet/reed-off');
        expect(plan.steps.at(-1)?.step.id).toBe('wind/latch-lid');
        // Practice: about 3–5 min at a practised pace, whichever path.
        expect(plan.elapsedMinutes).toBeGreaterThan(2.5);
        expect(plan.elapsedMinutes).toBeLessThan(5);
      }
  });
});
