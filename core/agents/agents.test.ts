import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { HAZARDS, SURFACE_IDS, type Agent, type Verdict } from '#core/agents/agent.ts';
import { dilute, dilutionFaultWords, measured, type DilutionInput } from '#core/agents/dilution.ts';
import { agentWith, isAbout, mayIUse, mixing, surfacesOf } from '#core/agents/may-i-use.ts';
import { AGENTS } from '#core/agents/tables/agents.ts';
import { practiceFor } from '#core/care/practice-book.ts';
import { usualBuild } from '#core/care/check-book.ts';
import type { Build } from '#core/instruments/build.ts';
import { KIND_IDS, type KindId } from '#core/instruments/kind.ts';
import { barredChoice, isAsked, schoolOf } from '#core/schools/chosen-school.ts';
import { plainContext } from '#core/schools/practice-under.ts';
import { kindOf } from '#core/instruments/kinds.ts';
import { pairwise } from '#core/testing/pairwise.ts';

const agent = (id: string): Agent => {
  const found = agentWith(id);
  if (!found) throw new Error(`no agent ${id}`);
  return found;
};
const verdict = (id: string, kind: KindId, surface: string, over: Build = {}): Verdict => {
  const found = mayIUse(agent(id), kind, { ...usualBuild(kind), ...over }).find((one) => one.surface.id === surface);
  if (!found) throw new Error(`${kind} has no ${surface}`);
  return found.verdict;
};

const buildsOf = (kind: KindId): Build[] =>
  pairwise(
    Object.fromEntries(kindOf(kind).fields.map(({ field, options }) => [field, options.map(({ id }) => id)])),
  ) as Build[];

describe('may I use', () => {
  // The book's verdicts, one of each clause, common practice without a published source.
  test.each([
    ['cork-grease', 'clarinet', 'tenons', {}, 'yes'],
    ['cork-grease', 'clarinet', 'tenons', { tenons: 'thread' }, 'care'],
    ['cork-grease', 'alto-saxophone', 'neck-tenon', {}, 'no'],
    ['cork-grease', 'flute', 'metal-tenons', {}, 'no'],
    ['tenon-wax', 'bassoon', 'tenons', {}, 'yes'],
    ['bore-oil', 'oboe', 'bore', {}, 'yes'],
    ['bore-oil', 'clarinet', 'bore', { body: 'plastic' }, 'no'],
    ['bore-oil', 'alto-saxophone', 'tube', {}, 'no'],
    ['bore-oil', 'bamboo-flute', 'body', {}, 'no'],
    ['bore-oil', 'clarinet', 'pads', {}, 'no'],
    ['key-oil', 'flute', 'rods', {}, 'yes'],
    ['key-oil', 'clarinet', 'bore', {}, 'no'],
    ['piston-oil', 'trumpet', 'pistons', {}, 'yes'],
    ['piston-oil', 'horn', 'rotors', {}, 'no'],
    ['rotor-oil', 'horn', 'rotors', {}, 'yes'],
    ['slide-grease', 'trombone', 'hand-slide', {}, 'no'],
    ['slide-grease', 'trumpet', 'pistons', {}, 'no'],
    ['slide-cream', 'trombone', 'hand-slide', {}, 'yes'],
    ['petroleum-jelly', 'bamboo-flute', 'bamboo-joint', {}, 'care'],
    ['petroleum-jelly', 'oboe', 'tenons', {}, 'no'],
    ['tailless-swab', 'oboe', 'bore', {}, 'no'],
    ['tailless-swab', 'bassoon', 'bore', {}, 'care'],
    ['tailless-swab', 'clarinet', 'bore', {}, 'not-known'],
    ['rubbing-alcohol', 'piccolo', 'lip-plate', { body: 'plastic' }, 'no'],
    ['rubbing-alcohol', 'clarinet', 'bore', { body: 'plastic' }, 'not-known'],
    ['cool-water', 'trumpet', 'tube', {}, 'yes'],
    ['cool-water', 'clarinet', 'bore', {}, 'no'],
    ['hot-water', 'trumpet', 'finish', {}, 'no'],
    ['hot-water', 'clarinet', 'mouthpiece', {}, 'no'],
    ['dish-soap', 'trumpet', 'valve-felts', {}, 'no'],
    ['dishwasher', 'trumpet', 'brass-mouthpiece', {}, 'by-school'],
    ['dishwasher', 'trumpet', 'brass-mouthpiece', { brassMouthpiece: 'stainless' }, 'yes'],
    ['dishwasher', 'clarinet', 'bore', {}, 'no'],
    ['vinegar', 'clarinet', 'mouthpiece', {}, 'care'],
    ['vinegar', 'clarinet', 'bore', {}, 'no'],
    ['mouthwash-alcohol', 'clarinet', 'mouthpiece', {}, 'no'],
    ['rubbing-alcohol', 'flute', 'lip-plate', {}, 'yes'],
    ['rubbing-alcohol', 'piccolo', 'lip-plate', {}, 'no'],
    ['rubbing-alcohol', 'piccolo', 'lip-plate', { body: 'metal' }, 'yes'],
    ['rubbing-alcohol', 'clarinet', 'body', {}, 'no'],
    ['rubbing-alcohol', 'clarinet', 'body', { body: 'plastic' }, 'by-school'],
    ['rubbing-alcohol', 'alto-saxophone', 'finish', {}, 'no'],
    ['rubbing-alcohol', 'clarinet', 'pads', {}, 'no'],
    ['rubbing-alcohol', 'clarinet', 'reed', {}, 'no'],
    ['peroxide', 'clarinet', 'reed', {}, 'yes'],
    ['peroxide', 'highland-pipes', 'blowpipe', {}, 'care'],
    ['peroxide', 'flute', 'finish', {}, 'no'],
    ['contact-cleaner', 'alto-saxophone', 'pad-seats', {}, 'care'],
    ['contact-cleaner', 'clarinet', 'pad-seats', { body: 'plastic' }, 'no'],
    ['furniture-polish', 'alto-saxophone', 'finish', {}, 'by-school'],
    ['furniture-polish', 'trumpet', 'finish', { finish: 'silver' }, 'no'],
    ['silver-polish', 'trumpet', 'finish', { finish: 'silver' }, 'care'],
    ['brass-polish', 'alto-saxophone', 'neck-tenon', {}, 'no'],
    ['brass-cloth', 'alto-saxophone', 'neck-tenon', {}, 'care'],
    ['plain-paper', 'clarinet', 'pads', {}, 'yes'],
    ['coated-paper', 'clarinet', 'pads', {}, 'no'],
    ['toothpick', 'clarinet', 'tone-holes', {}, 'no'],
    ['pipe-cleaner', 'clarinet', 'rods', {}, 'no'],
    ['flexible-brush', 'clarinet', 'bore', {}, 'no'],
    ['metal-weight', 'bamboo-flute', 'bore', {}, 'care'],
    ['cored-swab', 'alto-saxophone', 'mouthpiece', {}, 'no'],
    ['reed-tools', 'oboe', 'double-reed', {}, 'care'],
    ['truing-tool', 'trumpet', 'brass-mouthpiece', {}, 'care'],
  ] as const)('%s on a %s’s %s %j: %s', (id, kind, surface, over, expected) => {
    expect(verdict(id, kind, surface, over)).toBe(expected);
  });

  test('what the book does not say is not known, never guessed', () => {
    expect(verdict('rotor-oil', 'trumpet', 'pistons')).toBe('not-known');
    expect(verdict('clear-tape', 'clarinet', 'pads')).toBe('not-known');
  });

  test('bleach is refused on every surface of every kind', () => {
    for (const kind of KIND_IDS)
      for (const { verdict: one, surface } of mayIUse(agent('bleach'), kind, usualBuild(kind)))
        expect([kind, surface.id, one]).toEqual([kind, surface.id, 'no']);
  });

  test('every surface occurs on some kind, every kind has surfaces with a material, every agent has distinct rows', () => {
    const builds = (kind: KindId) =>
      pairwise(
        Object.fromEntries(kindOf(kind).fields.map(({ field, options }) => [field, options.map(({ id }) => id)])),
      );
    const seen = new Set<string>();
    for (const kind of KIND_IDS)
      for (const build of builds(kind))
        for (const { id, material } of surfacesOf(kind, build as Build)) {
          seen.add(id);
          expect([kind, id, material]).toEqual([kind, id, expect.any(String)]);
        }
    expect([...seen].toSorted()).toEqual([...SURFACE_IDS].toSorted());
    expect(new Set(AGENTS.map(({ id }) => id)).size).toBe(AGENTS.length);
  });

  test('no run calls for what is refused everywhere on that instrument', () => {
    const supplyOf: Record<string, string> = {
      'cork grease': 'cork-grease',
      'tenon wax': 'tenon-wax',
      'bore oil': 'bore-oil',
      'key oil': 'key-oil',
      'valve oil': 'piston-oil',
      'rotor oil': 'rotor-oil',
      'slide grease': 'slide-grease',
      'slide cream or oil': 'slide-cream',
      'alcohol pad': 'rubbing-alcohol',
      'vinegar or lemon': 'vinegar',
      'silver cloth': 'silver-cloth',
      'flexible brush': 'flexible-brush',
      'cotton buds': 'cotton-bud',
      'soft brush': 'soft-brush',
      'plain absorbent paper': 'plain-paper',
      'mouthpiece spray': 'mouthpiece-spray',
    };
    for (const kind of KIND_IDS)
      for (const build of buildsOf(kind))
        for (const { id, supplies = [] } of practiceFor(kind, build).steps)
          for (const supply of supplies) {
            const known = supplyOf[supply];
            if (known === undefined) continue;
            const allowed = mayIUse(agent(known), kind, build).some((one) =>
              ['yes', 'care', 'by-school'].includes(one.verdict),
            );
            expect([kind, build, id, supply, allowed]).toEqual([kind, build, id, supply, true]);
          }
  });
});

describe('where practice differs', () => {
  const rows = AGENTS.flatMap((one) =>
    one.rows.flatMap((row) =>
      row.on.flatMap((surface) => (row.bySchool ? [{ one, row, surface, bySchool: row.bySchool }] : [])),
    ),
  );

  test('the answer to its question decides, on every instrument that has the surface and is asked', () => {
    const seen = new Set<string>();
    for (const { one, row, surface, bySchool } of rows)
      for (const kind of KIND_IDS)
        for (const build of buildsOf(kind)) {
          const here = mayIUse(one, kind, build).find((judged) => judged.surface.id === surface)?.surface;
          const isDecidedByRow = here !== undefined && one.rows.find((other) => isAbout(other, here)) === row;
          if (!isDecidedByRow || !isAsked(bySchool.school, kind, build)) continue;
          const context = plainContext(kind, build);
          for (const choice of Object.keys(schoolOf(bySchool.school).choices)) {
            if (barredChoice(bySchool.school, choice, {}, context) !== null) continue;
            const schools = { choices: { [bySchool.school]: choice }, context };
            const decided = mayIUse(one, kind, build, schools).find((judged) => judged.surface.id === surface);
            seen.add(`${one.id} ${surface}`);
            const wanted = bySchool.allowedBy.includes(choice) ? 'care' : 'no';
            expect([one.id, kind, surface, choice, decided?.verdict]).toEqual([one.id, kind, surface, choice, wanted]);
            expect(decided?.why).toContain(schoolOf(bySchool.school).question);
          }
        }
    const unseen = rows.map(({ one, surface }) => `${one.id} ${surface}`).filter((id) => !seen.has(id));
    expect(unseen).toEqual([]);
  });

  test('every choice that allows it is one of the question’s, and bleach is allowed by none', () => {
    for (const { one, bySchool } of rows) {
      expect(one.id).not.toBe('bleach');
      for (const choice of bySchool.allowedBy)
        expect([one.id, Object.hasOwn(schoolOf(bySchool.school).choices, choice)]).toEqual([one.id, true]);
    }
  });
});

describe('mixing', () => {
  test.each([
    ['bleach', 'vinegar', 'chlorine'],
    ['bleach', 'ammonia-cleaner', 'chloramine'],
    ['bleach', 'rubbing-alcohol', 'chlorinated'],
    ['bleach', 'sanitiser', 'chlorinated'],
    ['peroxide', 'vinegar', 'peracetic'],
  ])('%s and %s are refused both ways: %s', (a, b, gas) => {
    for (const found of [mixing(agent(a), agent(b)), mixing(agent(b), agent(a))]) {
      expect(found).toMatchObject({ danger: true, text: expect.stringContaining(gas) });
      expect(found.text).toContain('poison service');
    }
  });

  test('every hazard is somebody’s, pairs are symmetric, and a stranger is never mixed with bleach', () => {
    for (const hazard of HAZARDS) expect(AGENTS.some(({ hazards }) => hazards?.includes(hazard))).toBe(true);
    for (const a of AGENTS) for (const b of AGENTS) expect(mixing(a, b)).toEqual(mixing(b, a));
    expect(mixing(agent('bleach'), undefined).danger).toBe(true);
    expect(mixing(agent('dish-soap'), agent('cool-water')).danger).toBe(false);
    expect(mixing(agent('rubbing-alcohol'), agent('vinegar')).danger).toBe(false);
  });

  test('no step of the book calls for bleach or ammonia', () => {
    for (const kind of KIND_IDS)
      for (const { id, uses = [], supplies = [], action } of practiceFor(kind, usualBuild(kind)).book)
        expect([
          id,
          /bleach|ammonia/i.test([...supplies, action, ...uses.map(({ agent: one }) => one)].join(' ')),
        ]).toEqual([id, false]);
  });
});

describe('dilution', () => {
  // C1·V1 = C2·V2, computed from the formula beforehand.
  test.each([
    [3, 1, 300, 100, 200],
    [3, 0.5, 250, 41.6667, 208.3333],
    [3, 1.5, 100, 50, 50],
    [12, 3, 500, 125, 375],
    [12, 3, 100, 25, 75],
    [35, 6, 500, 85.7143, 414.2857],
    [30, 3, 250, 25, 225],
    [3, 3, 100, 100, 0],
  ])('%d %% to %d %%, %d mL', (stockPercent, targetPercent, finalMl, stockMl, waterMl) => {
    const made = dilute({ stockPercent, targetPercent, finalMl });
    if (!made.ok) throw new Error(made.failure.code);
    expect(made.value.stockMl).toBeCloseTo(stockMl, 4);
    expect(made.value.waterMl).toBeCloseTo(waterMl, 4);
    expect(made.value.cautions.some((one) => one.includes('12 %'))).toBe(stockPercent > 12);
  });

  test('shows no false decimals', () => {
    expect([measured(41.66667), measured(208.333), measured(100), measured(0.12345)]).toEqual([
      '41.7 mL',
      '208 mL',
      '100 mL',
      '0.123 mL',
    ]);
  });

  test.each([
    [{ stockPercent: 3, targetPercent: 6, finalMl: 100 }, 'stronger-than-stock', 'targetPercent'],
    [{ stockPercent: 3, targetPercent: 1, finalMl: 0 }, 'not-positive', 'finalMl'],
    [{ stockPercent: 3, targetPercent: 1, finalMl: -5 }, 'not-positive', 'finalMl'],
    [{ stockPercent: NaN, targetPercent: 1, finalMl: 5 }, 'not-a-number', 'stockPercent'],
    [{ stockPercent: 135, targetPercent: 1, finalMl: 5 }, 'over-100', 'stockPercent'],
    [{ stockPercent: 3, targetPercent: 1, finalMl: 20_000 }, 'too-much', 'finalMl'],
  ] as const)('%j is refused: %s', (input, code, field) => {
    const made = dilute(input);
    expect(made).toEqual({ ok: false, failure: { code, field } });
    if (!made.ok) expect(dilutionFaultWords(made.failure)).toMatch(/\.$/);
  });

  test('whatever is given, there is an answer that keeps the solute, or a clear error', () => {
    const anything = fc.oneof(fc.double(), fc.integer(), fc.constantFrom(NaN, Infinity, -Infinity, 0));
    fc.assert(
      fc.property(
        fc.record({ stockPercent: anything, targetPercent: anything, finalMl: anything }),
        (input: DilutionInput) => {
          const made = dilute(input);
          if (!made.ok) return expect(dilutionFaultWords(made.failure).length).toBeGreaterThan(10);
          const { stockMl, waterMl } = made.value;
          expect(stockMl + waterMl).toBeCloseTo(input.finalMl, 6);
          expect(Math.min(stockMl, waterMl)).toBeGreaterThanOrEqual(0);
          return expect((stockMl * input.stockPercent) / input.finalMl).toBeCloseTo(input.targetPercent, 6);
        },
      ),
      { seed: 21, numRuns: 500 },
    );
  });
});
