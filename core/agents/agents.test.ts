import { BOOK } from '#core/tables/book.ts';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { HAZARDS, SURFACE_IDS, type Agent, type Verdict } from '#core/book/agent.ts';
import { dilute, dilutionRefusalWords, measured, type DilutionInput } from '#core/agents/dilution.ts';
import { agentWith } from '#core/book/book.ts';
import { isAbout, mayIUse, surfacesOf } from '#core/agents/may-i-use.ts';
import { mixing } from '#core/agents/mixing.ts';
import { mayIUseAnywhere } from '#core/agents/anywhere.ts';
import { AGENTS } from '#core/tables/agents/agents.ts';
import { practiceFor } from '#core/methods/practice-for.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';
import type { Build } from '#core/instruments/build.ts';
import { WOODWIND } from '#core/tables/instruments/kind-groups.ts';
import { KIND_IDS, type KindId } from '#core/instruments/kind.ts';
import { barredChoice, isAsked, methodOf } from '#core/methods/chosen-method.ts';
import { plainContext } from '#core/methods/practice-under.ts';
import { pairwise } from '#core/testing/pairwise.ts';

const agent = (id: string): Agent => {
  const found = agentWith(BOOK, id);
  if (!found) throw new Error(`no agent ${id}`);
  return found;
};
const verdict = (id: string, kind: KindId, surface: string, over: Build = {}): Verdict => {
  const found = mayIUse(agent(id), { book: BOOK, kind, build: { ...usualBuild(BOOK.kinds[kind]), ...over } }).find(
    (one) => one.surface.id === surface,
  );
  if (!found) throw new Error(`${kind} has no ${surface}`);
  return found.verdict;
};

const buildsOf = (kind: KindId): Build[] =>
  pairwise(
    Object.fromEntries(BOOK.kinds[kind].fields.map(({ field, options }) => [field, options.map(({ id }) => id)])),
  ) as Build[];

describe('may I use', () => {
  // The book's verdicts, one of each clause, common practice without a published source.
  test.each([
    ['cork-grease', 'clarinet', 'tenons', {}, 'yes'],
    ['cork-grease', 'clarinet', 'tenons', { tenons: 'thread' }, 'no'],
    ['cork-grease', 'alto-saxophone', 'neck-tenon', {}, 'no'],
    ['cork-grease', 'flute', 'metal-tenons', {}, 'no'],
    ['tenon-wax', 'bassoon', 'tenons', {}, 'yes'],
    ['bore-oil', 'oboe', 'bore', {}, 'yes'],
    ['bore-oil', 'oboe', 'body', {}, 'care'],
    ['bore-oil', 'bassoon', 'bore', {}, 'no'],
    ['silver-cloth', 'trumpet', 'brass-mouthpiece', {}, 'yes'],
    ['silver-cloth', 'trumpet', 'brass-mouthpiece', { brassMouthpiece: 'bare-brass' }, 'not-known'],
    ['cotton-bud', 'flute', 'lip-plate', {}, 'yes'],
    ['bore-oil', 'clarinet', 'bore', { body: 'plastic' }, 'no'],
    ['bore-oil', 'alto-saxophone', 'bore', {}, 'no'],
    ['bore-oil', 'trumpet', 'tube', {}, 'no'],
    ['bore-oil', 'bamboo-flute', 'body', {}, 'no'],
    ['bore-oil', 'clarinet', 'pads', {}, 'no'],
    ['key-oil', 'flute', 'rods', {}, 'yes'],
    ['key-oil', 'clarinet', 'bore', {}, 'no'],
    ['piston-oil', 'trumpet', 'pistons', {}, 'yes'],
    ['cool-water', 'bamboo-flute', 'body', { body: 'plastic' }, 'yes'],
    ['cool-water', 'bamboo-flute', 'bore', { body: 'wood' }, 'no'],
    ['cool-water', 'bamboo-flute', 'blowing-edge', {}, 'care'],
    ['cool-water', 'highland-pipes', 'double-reed', {}, 'no'],
    ['peroxide', 'highland-pipes', 'double-reed', {}, 'no'],
    ['peroxide', 'oboe', 'double-reed', {}, 'yes'],
    ['peroxide', 'alto-saxophone', 'mouthpiece', { mouthpiece: 'metal' }, 'no'],
    ['peroxide', 'clarinet', 'mouthpiece', {}, 'not-known'],
    ['mouthwash-alcohol', 'clarinet', 'mouthpiece', {}, 'no'],
    ['mouthwash-alcohol', 'clarinet', 'mouthpiece', { mouthpiece: 'glass' }, 'care'],
    ['ammonia-cleaner', 'trumpet', 'finish', {}, 'no'],
    ['ammonia-cleaner', 'clarinet', 'body', {}, 'no'],
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
    ['cool-water', 'trumpet', 'finish', {}, 'yes'],
    ['cool-water', 'trumpet', 'pistons', {}, 'no'],
    ['cool-water', 'trumpet', 'valve-ports', {}, 'no'],
    ['toothbrush', 'clarinet', 'mouthpiece', {}, 'no'],
    ['cool-water', 'clarinet', 'bore', {}, 'no'],
    ['cool-water', 'clarinet', 'mouthpiece', {}, 'yes'],
    ['cool-water', 'alto-saxophone', 'bore', {}, 'no'],
    ['cool-water', 'flute', 'bore', {}, 'no'],
    ['cool-water', 'bamboo-flute', 'blowing-edge', {}, 'care'],
    ['cool-water', 'bamboo-flute', 'bore', {}, 'no'],
    ['cool-water', 'bassoon', 'bocal', {}, 'yes'],
    ['cool-water', 'oboe', 'double-reed', {}, 'yes'],
    ['cool-water', 'flute', 'lip-plate', {}, 'care'],
    ['cool-water', 'clarinet', 'body', { body: 'plastic' }, 'care'],
    ['cork-grease', 'oboe', 'tube-cork', {}, 'yes'],
    ['peroxide', 'oboe', 'tube-cork', {}, 'no'],
    ['tenon-wax', 'highland-pipes', 'hemp-joints', {}, 'yes'],
    ['cork-grease', 'highland-pipes', 'hemp-joints', {}, 'care'],
    ['hot-water', 'alto-saxophone', 'bore', {}, 'no'],
    ['hot-water', 'trumpet', 'finish', {}, 'no'],
    ['hot-water', 'clarinet', 'mouthpiece', {}, 'no'],
    ['dish-soap', 'trumpet', 'valve-felts', {}, 'no'],
    ['dish-soap', 'trumpet', 'tube', {}, 'yes'],
    ['dish-soap', 'alto-saxophone', 'finish', {}, 'no'],
    ['dish-soap', 'alto-saxophone', 'mouthpiece', {}, 'yes'],
    ['dish-soap', 'alto-saxophone', 'pads', {}, 'no'],
    ['dishwasher', 'trumpet', 'brass-mouthpiece', {}, 'by-method'],
    ['dishwasher', 'trumpet', 'brass-mouthpiece', { brassMouthpiece: 'stainless' }, 'yes'],
    ['dishwasher', 'clarinet', 'bore', {}, 'no'],
    ['vinegar', 'clarinet', 'mouthpiece', {}, 'care'],
    ['vinegar', 'clarinet', 'bore', {}, 'no'],
    ['mouthwash-alcohol', 'clarinet', 'mouthpiece', {}, 'no'],
    ['rubbing-alcohol', 'flute', 'lip-plate', {}, 'yes'],
    ['rubbing-alcohol', 'piccolo', 'lip-plate', {}, 'no'],
    ['rubbing-alcohol', 'piccolo', 'lip-plate', { body: 'metal' }, 'yes'],
    ['rubbing-alcohol', 'clarinet', 'body', {}, 'no'],
    ['rubbing-alcohol', 'clarinet', 'body', { body: 'plastic' }, 'by-method'],
    ['rubbing-alcohol', 'alto-saxophone', 'finish', {}, 'no'],
    ['rubbing-alcohol', 'clarinet', 'pads', {}, 'no'],
    ['rubbing-alcohol', 'clarinet', 'reed', {}, 'no'],
    ['peroxide', 'clarinet', 'reed', {}, 'yes'],
    ['peroxide', 'highland-pipes', 'blowpipe', {}, 'care'],
    ['peroxide', 'flute', 'finish', {}, 'no'],
    ['peroxide', 'clarinet', 'keys', {}, 'no'],
    ['sanitiser', 'trumpet', 'pistons', {}, 'no'],
    ['contact-cleaner', 'alto-saxophone', 'pad-seats', {}, 'care'],
    ['contact-cleaner', 'clarinet', 'pad-seats', { body: 'plastic' }, 'no'],
    ['furniture-polish', 'alto-saxophone', 'finish', {}, 'by-method'],
    ['furniture-polish', 'trumpet', 'finish', { finish: 'silver' }, 'no'],
    ['silver-polish', 'trumpet', 'finish', { finish: 'silver' }, 'care'],
    ['brass-polish', 'alto-saxophone', 'neck-tenon', {}, 'no'],
    ['brass-cloth', 'alto-saxophone', 'neck-tenon', {}, 'care'],
    ['plain-paper', 'clarinet', 'pads', {}, 'yes'],
    ['coated-paper', 'clarinet', 'pads', {}, 'no'],
    ['toothpick', 'clarinet', 'tone-holes', {}, 'no'],
    ['pipe-cleaner', 'clarinet', 'rods', {}, 'no'],
    ['flexible-brush', 'clarinet', 'bore', {}, 'no'],
    ['flexible-brush', 'alto-saxophone', 'bore', {}, 'no'],
    ['flexible-brush', 'trombone', 'hand-slide', {}, 'yes'],
    ['cotton-bud', 'trumpet', 'brass-mouthpiece', {}, 'yes'],
    ['contact-cleaner', 'clarinet', 'body', { body: 'plastic' }, 'no'],
    ['furniture-polish', 'alto-saxophone', 'pads', {}, 'no'],
    ['metal-weight', 'bamboo-flute', 'bore', {}, 'care'],
    ['cored-swab', 'alto-saxophone', 'mouthpiece', {}, 'no'],
    ['cored-swab', 'alto-saxophone', 'bore', {}, 'yes'],
    ['cored-swab', 'clarinet', 'bore', {}, 'no'],
    ['reed-tools', 'oboe', 'double-reed', {}, 'care'],
    ['reamer', 'bassoon', 'double-reed', {}, 'care'],
    ['reamer', 'oboe', 'double-reed', {}, 'not-known'],
    ['truing-tool', 'trumpet', 'brass-mouthpiece', {}, 'care'],
  ] as const)('%s on a %s’s %s %j: %s', (id, kind, surface, over, expected) => {
    expect(verdict(id, kind, surface, over)).toBe(expected);
  });

  test('what the book does not say is not known, never guessed', () => {
    expect(verdict('rotor-oil', 'trumpet', 'pistons')).toBe('not-known');
    expect(verdict('clear-tape', 'clarinet', 'pads')).toBe('not-known');
  });

  describe('what holds for a material or a family holds on every instrument, however it is built', () => {
    /** Every verdict there is, of every kind and build, before any method decides. */
    const verdicts = KIND_IDS.flatMap((kind) =>
      buildsOf(kind).flatMap((build) =>
        AGENTS.flatMap(({ id }) =>
          mayIUse(agent(id), { book: BOOK, kind, build }).map((judged) => ({ agentId: id, kind, judged })),
        ),
      ),
    );
    type Found = (typeof verdicts)[number];
    const refused = ({ judged }: Found) => judged.verdict === 'no';
    const sight = ({ agentId, kind, judged }: Found) =>
      `${agentId} on a ${kind}’s ${judged.surface.id} (${judged.surface.material}): ${judged.verdict}`;
    const notRefused = (about: (found: Found) => boolean) => {
      const found = verdicts.filter(about);
      expect(found.length).toBeGreaterThan(0);
      return [...new Set(found.filter((one) => !refused(one)).map(sight))];
    };
    const WOODWINDS: readonly KindId[] = WOODWIND;

    test('no woodwind body meets water, soap or a brass brush', () => {
      const mayBeWet = ['mouthpiece', 'blowpipe', 'bocal', 'blowing-edge', 'reed', 'double-reed', 'bag', 'hemp-joints'];
      // A plastic flute without keys has no pads: the practice book has it washed, lukewarm, and dried.
      const isKeylessPlastic = ({ kind, judged }: Found) =>
        ['bamboo-flute', 'recorder'].includes(kind) &&
        !judged.surface.beside.includes('pads') &&
        judged.surface.material === 'plastic';
      // A barely damp cloth is all that is meant there.
      const mayBeDamp = ({ id, material }: Found['judged']['surface']) =>
        id === 'lip-plate' || (id === 'body' && material === 'plastic');
      expect(
        notRefused(
          ({ agentId, kind, judged, ...found }) =>
            !isKeylessPlastic({ agentId, kind, judged, ...found }) &&
            ['cool-water', 'hot-water', 'dish-soap'].includes(agentId) &&
            WOODWINDS.includes(kind) &&
            !mayBeWet.includes(judged.surface.id) &&
            !(agentId === 'cool-water' && mayBeDamp(judged.surface)),
        ),
      ).toEqual([]);
      expect(
        verdicts
          .filter(({ agentId, judged }) => agentId === 'cool-water' && mayBeDamp(judged.surface))
          .filter((one) => !isKeylessPlastic(one))
          .filter(({ judged }) => judged.verdict !== 'care' || !judged.why.includes('barely damp'))
          .map(sight),
      ).toEqual([]);
      expect(notRefused(({ agentId, judged }) => agentId === 'flexible-brush' && judged.surface.id === 'bore')).toEqual(
        [],
      );
    });

    test('no acid and no alcohol on wood or bamboo, no solvent and no soap on skin pads', () => {
      expect(
        notRefused(
          ({ agentId, judged }) =>
            ['vinegar', 'rubbing-alcohol', 'mouthwash-alcohol', 'sanitiser', 'dishwasher'].includes(agentId) &&
            ['wood', 'bamboo'].includes(judged.surface.material ?? ''),
        ),
      ).toEqual([]);
      expect(
        notRefused(
          ({ agentId, judged }) =>
            judged.surface.material === 'skin' &&
            ['rubbing-alcohol', 'contact-cleaner', 'dish-soap', 'cool-water', 'vinegar', 'coated-paper'].includes(
              agentId,
            ),
        ),
      ).toEqual([]);
    });

    test('the sanitiser is for hands, and nothing but a mouthpiece of steel goes into a dishwasher', () => {
      expect(notRefused(({ agentId }) => agentId === 'sanitiser')).toEqual([]);
      const offered = verdicts.filter(
        ({ agentId, judged }) => agentId === 'dishwasher' && judged.surface.material !== 'stainless',
      );
      expect(offered.filter(({ judged }) => ['yes', 'care'].includes(judged.verdict)).map(sight)).toEqual([]);
      expect(
        notRefused(({ agentId, judged }) => agentId === 'dishwasher' && !judged.surface.id.includes('mouthpiece')),
      ).toEqual([]);
    });

    test('no oil, grease or cleaner is good for pads, no metal remover for lacquer', () => {
      const ALLOWED = ['yes', 'care'];
      const onPads = verdicts.filter(
        ({ agentId, judged }) =>
          judged.surface.id === 'pads' && ALLOWED.includes(judged.verdict) && agentId !== 'plain-paper',
      );
      expect(onPads.map(sight)).toEqual([]);
      expect(
        notRefused(
          ({ agentId, judged }) =>
            judged.surface.material === 'lacquer' &&
            ['hot-water', 'rubbing-alcohol', 'brass-polish', 'silver-polish', 'brass-cloth', 'peroxide'].includes(
              agentId,
            ),
        ),
      ).toEqual([]);
    });
  });

  test('on anything: each surface once for whatever it may be made of, and the rest of it last', () => {
    for (const one of AGENTS) {
      const said = mayIUseAnywhere(BOOK, one).map(({ on, of }) => `${on} ${of}`);
      expect([one.id, said.length - new Set(said).size]).toEqual([one.id, 0]);
      // What is said of a surface whatever it is made of is the last word on it.
      const ended = new Set<string>();
      for (const { on, of } of mayIUseAnywhere(BOOK, one)) {
        expect([one.id, on, ended.has(on)]).toEqual([one.id, on, false]);
        if (of === null || of === 'anything else') ended.add(on);
      }
    }
    const vinegar = mayIUseAnywhere(BOOK, agent('vinegar'));
    expect(vinegar.filter(({ of }) => of === 'wood').map(({ on }) => on)).not.toContain('pistons');
    expect(vinegar.filter(({ of }) => of === 'bamboo').map(({ on }) => on)).not.toContain('lip-plate');
    expect(vinegar.find(({ on, of }) => on === 'bore' && of === 'wood')?.verdict).toBe('no');
    const water = mayIUseAnywhere(BOOK, agent('cool-water')).filter(({ on }) => on === 'finish');
    expect(water.map(({ of, verdict: one }) => [of, one])).toEqual([
      ['brass instruments', 'yes'],
      ['woodwind', 'no'],
    ]);
    // A cork is of cork only: nothing else is meant by it.
    expect(mayIUseAnywhere(BOOK, agent('cool-water')).find(({ on }) => on === 'neck-cork')?.of).toBeNull();
    const contact = mayIUseAnywhere(BOOK, agent('contact-cleaner')).filter(({ on }) => on === 'pad-seats');
    expect(contact.at(-1)).toMatchObject({ of: 'anything else', verdict: 'care' });
  });

  test('an instrument has the valves it is built with, and no others', () => {
    const surfaces = (kind: KindId, over: Build) =>
      surfacesOf(BOOK, kind, { ...usualBuild(BOOK.kinds[kind]), ...over }).map(({ id }) => id as string);
    expect(surfaces('tuba', { valves: 'piston' })).not.toContain('rotors');
    expect(surfaces('tuba', { valves: 'rotary' })).not.toContain('pistons');
    expect(surfaces('tuba', { valves: 'rotary' })).toContain('rotors');
    expect(surfaces('trombone', { rotor: 'none' })).not.toContain('rotors');
    expect(surfaces('trombone', { rotor: 'one' })).toContain('rotors');
    expect(surfaces('bamboo-flute', { pieces: 'one-piece' })).not.toContain('bamboo-joint');
  });

  test('bleach is refused on every surface of every kind', () => {
    for (const kind of KIND_IDS)
      for (const { verdict: one, surface } of mayIUse(agent('bleach'), {
        book: BOOK,
        kind,
        build: usualBuild(BOOK.kinds[kind]),
      }))
        expect([kind, surface.id, one]).toEqual([kind, surface.id, 'no']);
  });

  test('every surface occurs on some kind, every kind has surfaces with a material, every agent has distinct rows', () => {
    const builds = (kind: KindId) =>
      pairwise(
        Object.fromEntries(BOOK.kinds[kind].fields.map(({ field, options }) => [field, options.map(({ id }) => id)])),
      );
    const seen = new Set<string>();
    for (const kind of KIND_IDS)
      for (const build of builds(kind))
        for (const { id, material } of surfacesOf(BOOK, kind, build as Build)) {
          seen.add(id);
          expect([kind, id, material]).toEqual([kind, id, expect.any(String)]);
        }
    expect([...seen].toSorted()).toEqual([...SURFACE_IDS].toSorted());
    expect(new Set(AGENTS.map(({ id }) => id)).size).toBe(AGENTS.length);
  });

  test('a step that calls for an agent, or rinses, says on what: so the guard sees it', () => {
    const AGENT_OF: Readonly<Record<string, string>> = {
      'cork grease': 'cork-grease',
      'tenon wax': 'tenon-wax',
      wax: 'tenon-wax',
      'light grease': 'hair-wax',
      'bore oil': 'bore-oil',
      'key oil': 'key-oil',
      'valve oil': 'piston-oil',
      'rotor oil': 'rotor-oil',
      'slide grease': 'slide-grease',
      'slide cream or oil': 'slide-cream',
      'alcohol pad': 'rubbing-alcohol',
      'vinegar or lemon': 'vinegar',
      'hydrogen peroxide 3 %': 'peroxide',
      'dish soap': 'dish-soap',
      'mild dish soap': 'dish-soap',
      'clear tape': 'clear-tape',
      'silver cloth': 'silver-cloth',
      'flexible brush': 'flexible-brush',
      'bocal brush': 'flexible-brush',
      'cotton buds': 'cotton-bud',
      'pipe cleaner': 'pipe-cleaner',
      'soft brush': 'soft-brush',
      'plain absorbent paper': 'plain-paper',
      'mouthpiece spray': 'mouthpiece-spray',
    };
    // The mouth and the cloth are no parts of an instrument.
    const ELSEWHERE = ['wind/rinse-mouth', 'swab/wash-cloth'];
    const silent = new Set<string>();
    for (const kind of KIND_IDS)
      for (const build of buildsOf(kind))
        for (const { id, heading, supplies = [], uses = [] } of practiceFor(BOOK, kind, build).book) {
          const called = supplies.flatMap((supply) => AGENT_OF[supply] ?? []);
          if (/\brinsed?\b|running|cup of (warm |room-temperature )?water/i.test(heading)) called.push('cool-water');
          const missing = called.filter((one) => !uses.some((use) => use.agent === one));
          if (!ELSEWHERE.includes(id)) for (const one of missing) silent.add(`${id}: ${one}`);
        }
    expect([...silent]).toEqual([]);
  });
});

describe('where practice differs', () => {
  const rows = AGENTS.flatMap((one) =>
    one.rows.flatMap((row) =>
      row.on.flatMap((surface) => (row.byMethod ? [{ one, row, surface, byMethod: row.byMethod }] : [])),
    ),
  );

  test('the answer to its question decides, on every instrument that has the surface and is asked', () => {
    const seen = new Set<string>();
    for (const { one, row, surface, byMethod } of rows)
      for (const kind of KIND_IDS)
        for (const build of buildsOf(kind)) {
          const here = mayIUse(one, { book: BOOK, kind, build }).find(
            (judged) => judged.surface.id === surface,
          )?.surface;
          const isDecidedByRow = here !== undefined && one.rows.find((other) => isAbout(other, here)) === row;
          if (!isDecidedByRow || !isAsked(BOOK, byMethod.method, kind, build)) continue;
          const context = plainContext(BOOK, kind, build);
          for (const choice of Object.keys(methodOf(BOOK, byMethod.method).choices)) {
            if (barredChoice(byMethod.method, choice, {}, context) !== null) continue;
            const methods = { choices: { [byMethod.method]: choice }, context };
            const decided = mayIUse(one, { book: BOOK, kind, build }, methods).find(
              (judged) => judged.surface.id === surface,
            );
            seen.add(`${one.id} ${surface}`);
            const wanted = byMethod.allowedBy.includes(choice) ? 'care' : 'no';
            expect([one.id, kind, surface, choice, decided?.verdict]).toEqual([one.id, kind, surface, choice, wanted]);
            expect(decided?.why).toContain(methodOf(BOOK, byMethod.method).question);
          }
        }
    const unseen = rows.map(({ one, surface }) => `${one.id} ${surface}`).filter((id) => !seen.has(id));
    expect(unseen).toEqual([]);
  });

  test('every choice that allows it is one of the question’s, and bleach is allowed by none', () => {
    for (const { one, byMethod } of rows) {
      expect(one.id).not.toBe('bleach');
      for (const choice of byMethod.allowedBy)
        expect([one.id, Object.hasOwn(methodOf(BOOK, byMethod.method).choices, choice)]).toEqual([one.id, true]);
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
    for (const one of AGENTS) {
      const withStranger = mixing(one, undefined);
      expect(mixing(undefined, one)).toEqual(withStranger);
      expect([one.id, withStranger.danger]).toEqual([one.id, (one.hazards ?? []).length > 0]);
      expect(withStranger.text).not.toContain('No hazard');
    }
    expect(mixing(undefined, undefined).text).not.toContain('No hazard');
    expect(mixing(agent('dish-soap'), agent('cool-water')).danger).toBe(false);
    expect(mixing(agent('rubbing-alcohol'), agent('vinegar')).danger).toBe(false);
  });

  test('no step of the book calls for bleach or ammonia', () => {
    for (const kind of KIND_IDS)
      for (const { id, uses = [], supplies = [], heading } of practiceFor(BOOK, kind, usualBuild(BOOK.kinds[kind]))
        .book)
        expect([
          id,
          /bleach|ammonia/i.test([...supplies, heading, ...uses.map(({ agent: one }) => one)].join(' ')),
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
    [100, 50, 100, 50, 50],
  ])('%d %% to %d %%, %d mL', (stockPercent, targetPercent, finalMl, stockMl, waterMl) => {
    const made = dilute({ stockPercent, targetPercent, finalMl });
    if (!made.ok) throw new Error(made.failure.code);
    expect(made.value.stockMl).toBeCloseTo(stockMl, 4);
    expect(made.value.waterMl).toBeCloseTo(waterMl, 4);
    expect(made.value.cautions.some((one) => one.includes('12 %'))).toBe(stockPercent > 12);
  });

  test('shows what a cup can measure, and the water as the rest', () => {
    const inCup = (stockPercent: number, targetPercent: number, finalMl: number) => {
      const made = dilute({ stockPercent, targetPercent, finalMl });
      return made.ok ? measured(made.value, finalMl) : null;
    };
    // Worked by hand: 6 % to 1 % in 250 mL is 41.67 mL of stock; the water is what is left of the cup.
    expect(inCup(6, 1, 250)).toEqual({ stock: '42 mL', water: '208 mL' });
    expect(inCup(12, 3, 600)).toEqual({ stock: '150 mL', water: '450 mL' });
    expect(inCup(3, 0.1, 20)).toEqual({ stock: '0.5 mL', water: '19.5 mL' });
    // The same strength needs no water, not even −4 · 10⁻¹⁵ mL of it.
    for (const [percent, ml] of [
      [3, 0.3],
      [0.7, 33.3],
      [2.1, 77.7],
    ] as const)
      expect(inCup(percent, percent, ml)?.water).toBe('0 mL');
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
    if (!made.ok) expect(dilutionRefusalWords(made.failure)).toMatch(/\.$/);
  });

  test('whatever is given, there is an answer that keeps the solute, or a clear error', () => {
    const anything = fc.oneof(fc.double(), fc.integer(), fc.constantFrom(NaN, Infinity, -Infinity, 0));
    fc.assert(
      fc.property(
        fc.record({ stockPercent: anything, targetPercent: anything, finalMl: anything }),
        (input: DilutionInput) => {
          const made = dilute(input);
          if (!made.ok) return expect(dilutionRefusalWords(made.failure).length).toBeGreaterThan(10);
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
