import { BOOK } from '#core/tables/book.ts';
import { usualWetness } from '#core/water/wetness.ts';
import { describe, expect, test } from '@jest/globals';
import { forbiddenUses } from '#core/agents/guard.ts';
import { usualPractice } from '#core/methods/practice-under.ts';
import { METHODS } from '#core/tables/methods/methods.ts';
import { PAGES_OF } from '#core/tables/care/pages.ts';
import type { Practice } from '#core/book/practice.ts';
import type { PageUse, Page } from '#core/book/page.ts';
import { MILESTONES } from '#core/book/milestone.ts';
import type { MethodSetting } from '#core/book/method-setting.ts';
import { isCalledBy, type CareItem } from '#core/book/care-item.ts';
import type { CareItemId, StepId } from '#core/book/care-ids.ts';
import { buildMeets, type Build } from '#core/instruments/build.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { KIND_IDS, type KindId } from '#core/instruments/kind.ts';
import { precedence, stepsFor } from '#core/packup/collect-steps.ts';
import { planRun } from '#core/packup/plan-run.ts';
import { SKILLS } from '#core/players/player.ts';
import { clashesIn } from '#core/testing/clashes-in.ts';
import { practiceOf } from '#core/testing/any-run.ts';
import { buildDials, casesOf as casesIn } from '#core/testing/cases.ts';
import { pairwise } from '#core/testing/pairwise.ts';
import { plainContext } from '#core/methods/practice-under.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';

/** Builds in which every pair of options of every two questions occurs. */
const builds = new Map(KIND_IDS.map((kind) => [kind, pairwise(buildDials(BOOK, kind)) as Build[]]));
const buildsOf = (kind: KindId): Build[] => builds.get(kind) ?? [];

/** A kind as somebody might have it: a build, a choice for every question asked of it, and what is in force. */
type Case = { readonly build: Build; readonly methods: MethodSetting; readonly practice: Practice };
const casesOf = (kind: KindId): Case[] =>
  casesIn(BOOK, kind).map((one) => {
    const build = { ...usualBuild(BOOK.kinds[kind]), ...one.build };
    const context = { ...plainContext(BOOK, kind, build), conditions: one.conditions ?? [] };
    return { build, methods: { choices: one.methods ?? {}, context }, practice: practiceOf(BOOK, one) };
  });
const grownUp = { standing: 'grown-up', does: [...SKILLS] } as const;

const pages: readonly Page[] = [
  ...new Set(Object.values<readonly PageUse[]>(PAGES_OF).flatMap((uses) => uses.map(({ page }) => page))),
];
const allSteps = pages.flatMap(({ steps }) => steps);
const allItems = pages.flatMap(({ items }) => items);

const planFor = (kind: KindId, practice: Practice, items: readonly CareItemId[]) =>
  planRun({
    parts: [
      {
        instrumentId: 'one' as InstrumentId,
        kind: BOOK.kinds[kind],
        practice,
        items,
        playedMinutes: 45,
        roomCelsius: 20,
        wetness: usualWetness,
        loads: new Map(),
      },
    ],
    player: grownUp,
    minutesAtHand: null,
    learned: new Map(),
  });

/** Pinned: wording and intervals may change, ids may not. */
const SHIPPED_ITEMS: CareItemId[] = [
  'baritone-saxophone/water',
  'brass/dent',
  'brass/red-rot',
  'clarinet/fuzzy-note',
  'cor-anglais/bocal-rinse',
  'keyed/low-register',
  'keyed/slips-out',
  'keyed/sticky-pad',
  'keyed/water-in-hole',
  'oboe/case-age',
  'piston-brass/silent-valve',
  'rotary-tuba/slides-in',
  'saxophone/octave-key',
  'sousaphone/down',
  'wind/case-moves',
  'wind/crack',
  'bamboo-flute/join',
  'bamboo-flute/edge-bare',
  'bamboo-flute/wipe',
  'bamboo-flute/part',
  'bamboo-flute/cap',
  'bamboo-flute/rim-smell',
  'bamboo-flute/hole-dust',
  'bamboo-flute/loose-joint',
  'bamboo-flute/tight-joint',
  'bamboo-flute/crack',
  'bass-clarinet/join',
  'bass-clarinet/take-apart',
  'bass-clarinet/dry-mouthpiece',
  'bass-clarinet/dry-neck',
  'bass-clarinet/swab-bore',
  'bass-clarinet/dry-sockets',
  'bass-clarinet/thorough-clean',
  'bassoon/join',
  'bassoon/bocal-dry',
  'bassoon/take-apart',
  'bassoon/boot-dry',
  'bassoon/wing-dry',
  'bassoon/long-damp',
  'bassoon/bocal-rinse',
  'brass/make-ready',
  'brass/empty-water',
  'brass/mouthpiece-out',
  'brass/wipe',
  'brass/mouthpiece-wash',
  'brass/slide-grease',
  'brass/stuck',
  'brass/water-key-cork',
  'clarinet/join',
  'clarinet/take-apart',
  'clarinet/dry-mouthpiece',
  'clarinet/swab-bore',
  'clarinet/dry-sockets',
  'clarinet/thorough-clean',
  'clarinet/tone-holes',
  'cor-anglais/bocal',
  'cor-anglais/bocal-off',
  'double-reed/soak',
  'double-reed/look',
  'double-reed/after-playing',
  'double-reed/reed-hygiene',
  'flute/join',
  'flute/swab',
  'flute/wipe',
  'flute/lip-plate',
  'highland-pipes/make-ready',
  'highland-pipes/trap',
  'highland-pipes/valve-rinse',
  'highland-pipes/blowpipe',
  'highland-pipes/chanter',
  'highland-pipes/drones',
  'highland-pipes/bag-after',
  'highland-pipes/rest',
  'highland-pipes/stocks-hold',
  'highland-pipes/mould',
  'highland-pipes/seasoning',
  'highland-pipes/hemp',
  'highland-pipes/sweeten',
  'horn/grip',
  'horn/bell-apart',
  'horn/bell-off',
  'horn/drain',
  'horn/weekly-flush',
  'horn/monthly-slides',
  'keyed/blot-pads',
  'keyed/wipe-keys',
  'keyed/rod-dust',
  'keyed/key-oil',
  'keyed/screw-check',
  'keyed/bench-work',
  'low-brass/lift',
  'low-brass/lower-slides',
  'tuba/lift',
  'oboe/join',
  'oboe/take-apart',
  'oboe/swab-bore',
  'oboe/vents',
  'oboe/dry-sockets',
  'piccolo/warm',
  'piston-brass/slides-in',
  'piston-brass/valve-oil',
  'piston-brass/mouthpipe-brush',
  'piston-brass/bath',
  'rotary-brass/rotor-oil',
  'rotary-brass/rotors-bench',
  'rotary-tuba/flush',
  'saxophone/join',
  'saxophone/take-apart',
  'saxophone/dry-mouthpiece',
  'saxophone/dry-neck',
  'saxophone/swab-body',
  'saxophone/plug',
  'saxophone/outside',
  'saxophone/new-cork',
  'saxophone/neck-cork',
  'single-reed/wet',
  'single-reed/after-playing',
  'single-reed/mouthpiece-wash',
  'single-reed/mouthpiece-soak',
  'single-reed/reed-hygiene',
  'sousaphone/shoulder',
  'swab/air',
  'swab/wash',
  'tenons/grease-stiff',
  'tenons/grease',
  'tenons/new-cork',
  'tenons/wax',
  'trombone/join',
  'trombone/take-apart',
  'trombone/slide-wipe',
  'trombone/slide-oil',
  'trombone/bath',
  'trombone/mouthpipe-brush',
  'trombone/outer-slide-bench',
  'wind/clean-hands',
  'wind/unpack',
  'wind/case-away',
  'wind/case-check',
  'wind/bench-service',
  'wooden-bore/oil',
];

describe('the practice book as data', () => {
  test('every id is unique and belongs to its page', () => {
    for (const rows of [allItems, allSteps, pages.flatMap(({ neverDos }) => neverDos)])
      expect(new Set(rows.map(({ id }) => id)).size).toBe(rows.length);
    for (const page of pages)
      for (const { id } of [...page.items, ...page.steps, ...page.neverDos])
        expect(id).toMatch(new RegExp(`^${page.id}/[a-z0-9-]+$`));
  });

  test('every reference in it leads somewhere', () => {
    const steps = new Set<StepId>(allSteps.map(({ id }) => id));
    const items = new Set<CareItemId>(allItems.map(({ id }) => id));
    for (const step of allSteps) {
      expect([step.id, items.has(step.item)]).toEqual([step.id, true]);
      for (const id of [...step.after, ...(step.wait?.until ?? [])])
        expect([step.id, id, steps.has(id)]).toEqual([step.id, id, true]);
      for (const id of step.alsoDoes ?? []) expect(items.has(id)).toBe(true);
      for (const { notice } of step.look?.answers ?? [])
        expect([step.id, notice, notice === undefined || allItems.some((item) => isCalledBy(item, notice))]).toEqual([
          step.id,
          notice,
          true,
        ]);
      if (step.calledBy) {
        const look = allSteps.find(({ id }) => id === step.calledBy?.look)?.look;
        const answers = look?.answers.map(({ id }) => id) ?? [];
        expect([step.id, answers]).toEqual([step.id, expect.arrayContaining([...step.calledBy.answers])]);
      }
      if (step.method)
        for (const choice of step.method.choices)
          expect(Object.keys(METHODS[step.method.id].choices)).toContain(choice);
    }
    for (const item of allItems) {
      for (const id of item.includes ?? []) expect(items.has(id)).toBe(true);
      if (item.blockedBy) expect(allItems.find(({ id }) => id === item.blockedBy)?.place).toBe('bench');
      if (item.trigger.kind === 'clock-by-method')
        expect(Object.keys(item.trigger.limbs).toSorted()).toEqual(
          Object.keys(METHODS[item.trigger.method].choices).toSorted(),
        );
    }
  });

  test('every milestone has steps that lead there and steps that need it', () => {
    for (const milestone of MILESTONES) {
      expect([milestone, allSteps.some(({ reaches }) => reaches?.includes(milestone))]).toEqual([milestone, true]);
      expect([milestone, allSteps.some(({ needs }) => needs?.includes(milestone))]).toEqual([milestone, true]);
    }
  });

  test('ids once shipped never disappear: players’ histories point at them', () => {
    const shipped: CareItemId[] = SHIPPED_ITEMS;
    expect(allItems.map(({ id }) => id)).toEqual(expect.arrayContaining(shipped));
  });
});

const everyPlay = (practice: Practice, moment: 'before' | 'after') =>
  practice.items.filter(({ trigger }) => trigger.kind === 'every-play' && trigger.moment === moment);

describe.each(KIND_IDS)('for every pair of build options, method choices and conditions of a %s', (kind) => {
  const cases = casesOf(kind);

  test('items and steps sit on parts this build has', () => {
    const nowhere = cases.flatMap(({ practice, build }) => {
      const tube = BOOK.kinds[kind].tube.filter(({ when }) => buildMeets(build, when));
      const parts = new Set([...tube, ...BOOK.kinds[kind].loose].map(({ id }) => id));
      return [...practice.items, ...practice.steps].filter(({ part }) => !parts.has(part));
    });
    expect(nowhere.map(({ id, part }) => [id, part])).toEqual([]);
  });

  test('everything at home has steps under every choice, and bench work has none', () => {
    const wrong = cases.flatMap(({ methods, practice }) =>
      practice.items
        .filter((item) => {
          const hasSteps = stepsFor(practice, [item.id]).length > 0;
          if (item.place === 'bench' || practice.off.has(item.id)) return hasSteps;
          // Slips come out only where somebody leaves them in.
          if (item.id === 'keyed/slips-out') return false;
          return !hasSteps && !practice.steps.some(({ alsoDoes }) => alsoDoes?.includes(item.id));
        })
        .map(({ id }) => [id, methods.choices]),
    );
    expect(wrong).toEqual([]);
  });

  test('it is packed up after a play: something must be done, and the case or a soft place ends it', () => {
    for (const { practice } of cases) {
      const after = everyPlay(practice, 'after').map(({ id }) => id);
      const steps = practice.steps.filter(({ item }) => after.includes(item));
      expect(steps.some(({ must }) => must)).toBe(true);
      expect(steps.some(({ closing }) => closing)).toBe(true);
      expect(everyPlay(practice, 'before').length).toBeGreaterThan(2);
    }
  });

  test('a must-step, and a step a build or method leaves to chance, says what is lost without it', () => {
    const silent = cases.flatMap(({ practice }) =>
      practice.steps.filter(
        ({ must, harm, why, item }) => must && !(harm ?? why ?? practice.items.find(({ id }) => id === item)?.why),
      ),
    );
    expect(silent.map(({ id }) => id)).toEqual([]);
  });

  test('no step calls for what the same verdicts forbid on this build, and every agent named is in the book', () => {
    const forbidden = cases.flatMap(({ practice, methods }) =>
      practice.steps.flatMap((step) => forbiddenUses(step, methods)),
    );
    expect(forbidden).toEqual([]);
  });

  test('a wait holds a follower that comes after it', () => {
    const idle = cases.flatMap(({ practice }) => {
      const before = precedence(practice, practice.steps);
      return practice.steps
        .filter(({ wait }) => wait)
        .filter((step) => {
          const followers = practice.steps.filter(({ id }) => step.wait?.until.includes(id));
          return followers.length === 0 || followers.some(({ id }) => !before.get(id)?.has(step.id));
        });
    });
    expect(idle.map(({ id }) => id)).toEqual([]);
  });

  test('every order returned keeps every precedence, is complete, and is proved shortest', () => {
    const proved = new Set<string>();
    const isBefore = ({ trigger }: CareItem) => trigger.kind === 'every-play' && trigger.moment === 'before';
    for (const { practice } of cases) {
      const moments = [
        everyPlay(practice, 'after'),
        everyPlay(practice, 'before'),
        // Nobody puts together and packs up in one run.
        practice.items.filter((item) => !isBefore(item)),
        ...practice.items.map((item) => [item]),
      ];
      for (const items of moments) {
        const ids = items.map(({ id }) => id);
        const steps = stepsFor(practice, ids);
        const before = precedence(practice, steps);
        // Most choices leave most runs as they are: what has been proved once is not proved again.
        const instance = JSON.stringify(steps.map((step) => [step, [...(before.get(step.id) ?? [])]]));
        if (proved.has(instance)) continue;
        proved.add(instance);
        const plan = planFor(kind, practice, ids);
        const order = plan.steps.map(({ step }) => step.id);
        const at = new Map(order.map((id, index) => [id, index]));
        const broken = [...before].flatMap(([id, earlierOnes]) =>
          [...earlierOnes]
            .filter((earlier) => (at.get(earlier) ?? 0) > (at.get(id) ?? 0))
            .map((earlier) => `${earlier} → ${id}`),
        );
        expect({
          order: order.toSorted(),
          clashes: clashesIn(plan.steps, practice.agents),
          broken,
          proof: plan.because.find(({ rule }) => rule === 'order'),
        }).toEqual({
          order: steps.map(({ id }) => id).toSorted(),
          clashes: [],
          broken: [],
          proof: { rule: 'order', proved: true, gapMinutes: 0 },
        });
      }
    }
  });
});

describe('what the book forbids', () => {
  const words = (practice: Practice) => practice.steps.map(({ heading }) => heading).join(' ');

  test('no bore oil on plastic or hard rubber; the never-do says so', () => {
    for (const build of buildsOf('clarinet')) {
      const practice = usualPractice(BOOK, 'clarinet', build);
      const oiled =
        practice.items.some(({ id }) => id === 'wooden-bore/oil') ||
        /bore oil/i.test(practice.steps.flatMap(({ supplies }) => supplies ?? []).join());
      expect(oiled).toBe(build.body === 'wood');
      expect(practice.neverDos.some(({ id }) => id === 'clarinet/no-bore-oil')).toBe(build.body !== 'wood');
    }
  });

  test('thread takes wax, cork takes grease', () => {
    for (const build of buildsOf('clarinet')) {
      const supplies = usualPractice(BOOK, 'clarinet', build).steps.flatMap((step) => step.supplies ?? []);
      expect(supplies.includes('tenon wax')).toBe(build.tenons === 'thread');
      expect(supplies.includes('cork grease')).toBe(build.tenons === 'cork');
    }
  });

  test('a trumpet’s valves stay out of the bath, which runs soak → brush → rinse → dry → grease → oil', () => {
    const build = { finish: 'lacquer', brassMouthpiece: 'plated' } as const;
    const practice = usualPractice(BOOK, 'trumpet', build);
    const order = planFor('trumpet', practice, ['piston-brass/bath']).steps.map(({ step }) =>
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
        const practice = usualPractice(BOOK, 'clarinet', build, { 'clarinet-swab-path': path });
        const items = practice.items
          .filter(({ trigger }) => trigger.kind === 'every-play' && trigger.moment === 'after')
          .map(({ id }) => id);
        const plan = planFor('clarinet', practice, items);
        expect(plan.steps[0]?.step.id).toBe('single-reed/reed-off');
        expect(plan.steps.at(-1)?.step.id).toBe('wind/latch-lid');
        // Practice: about 3–5 min at a practised pace, whichever path.
        expect(plan.elapsedMinutes).toBeGreaterThan(2.5);
        expect(plan.elapsedMinutes).toBeLessThan(5);
      }
  });

  test('brass is lifted before anything else, the empty case is shut, and the mouthpiece goes in last', () => {
    for (const kind of ['trumpet', 'euphonium', 'tuba', 'horn', 'trombone', 'sousaphone'] as const)
      for (const build of buildsOf(kind)) {
        const practice = usualPractice(BOOK, kind, build);
        const ids = practice.items
          .filter(({ trigger }) => trigger.kind === 'every-play' && trigger.moment === 'before')
          .map(({ id }) => id);
        const order = planFor(kind, practice, ids).steps.map(({ step }) => step);
        const at = (test: (id: string) => boolean) => order.findIndex(({ id }) => test(id));
        const lift = at((id) => /lift|shoulder/.test(id));
        expect([kind, lift]).toEqual([kind, at((id) => !id.startsWith('wind/'))]);
        expect(at((id) => id === 'brass/shut-case')).toBeGreaterThan(lift);
        const later = order.slice(at((id) => id === 'brass/mouthpiece-in') + 1).map(({ id }) => id);
        expect([kind, later.filter((id) => id !== 'trombone/oil-if-drags')]).toEqual([kind, []]);
      }
  });

  test('a trombone’s slide is locked before the mouthpiece comes off; a cor anglais loses its bocal before its joints', () => {
    const orderOf = (kind: KindId) => {
      const build = buildsOf(kind)[0] ?? {};
      const practice = usualPractice(BOOK, kind, build);
      const ids = practice.items
        .filter(({ trigger }) => trigger.kind === 'every-play' && trigger.moment === 'after')
        .map(({ id }) => id);
      return planFor(kind, practice, ids).steps.map(({ step }) => step.id as string);
    };
    const trombone = orderOf('trombone');
    expect(trombone.indexOf('trombone/lock')).toBeLessThan(trombone.indexOf('brass/mouthpiece-off'));
    const cor = orderOf('cor-anglais');
    expect(cor.indexOf('double-reed/reed-off')).toBeLessThan(cor.indexOf('cor-anglais/bocal-out'));
    for (const later of ['oboe/bell-off', 'oboe/part-joints'])
      expect(cor.indexOf('cor-anglais/bocal-out')).toBeLessThan(cor.indexOf(later));
  });

  test('rotors never come out at home, a synthetic bag is opened and a hide bag closed, no grease on metal tenons', () => {
    for (const kind of KIND_IDS)
      for (const build of buildsOf(kind)) {
        const practice = usualPractice(BOOK, kind, build);
        const said = practice.steps.map(({ heading, how = '' }) => `${heading} ${how}`).join('\n');
        expect(said).not.toMatch(/rotors? out|take (the )?rotor/i);
        if (kind === 'highland-pipes') {
          expect(/Open the zip of the bag and let it dry/.test(said)).toBe(build.bag === 'synthetic');
          expect(/Leave the hide bag closed/.test(said)).toBe(build.bag === 'hide');
        }
        const onMetal = practice.steps.filter(
          ({ supplies = [], part }) => supplies.includes('cork grease') && part === 'body',
        );
        expect([kind, onMetal.map(({ id }) => id)]).toEqual([kind, []]);
        if (kind === 'flute')
          expect(practice.steps.flatMap(({ supplies = [] }) => supplies)).not.toContain('cork grease');
      }
  });

  test('what the bench does is never a step, and whoever cannot oil a bore is sent there', () => {
    const forbidden = /\b(solder|dent|recork|unsolder|straighten the (rod|key)|bend the key)\b/i;
    const offered = KIND_IDS.flatMap((kind) =>
      buildsOf(kind).flatMap((build) =>
        usualPractice(BOOK, kind, build).steps.filter(({ heading }) => forbidden.test(heading)),
      ),
    );
    expect(offered.map(({ id }) => id)).toEqual([]);
  });
});
