import { describe, expect, test } from '@jest/globals';
import { bookItem } from '#core/book/book.ts';
import { signsOf } from '#core/book/care-item.ts';
import { MISHAPS, type Cause, type FaultPage, type FaultSign } from '#core/book/fault.ts';
import { faultsFor } from '#core/faults/faults-for.ts';
import { handsOfRemedy } from '#core/faults/fault-words.ts';
import { partHere, signHere } from '#core/faults/faults-for.ts';
import { reedFamilyOf, signInList, SIGNS_OF } from '#core/reeds/reed.ts';
import type { Build, BuildOption } from '#core/instruments/build.ts';
import { KIND_IDS, type InstrumentKind } from '#core/instruments/kind.ts';
import { BOOK } from '#core/tables/book.ts';
import { practiceOf } from '#core/testing/any-run.ts';
import { casesOf } from '#core/testing/cases.ts';
import { pairwise } from '#core/testing/pairwise.ts';

const pages: FaultPage[] = [...new Set(KIND_IDS.flatMap((kind) => BOOK.faults.pagesOf[kind].map(({ page }) => page)))];
const signs: FaultSign[] = pages.flatMap((page) => page.signs);
const causes: Cause[] = pages.flatMap((page) => page.causes);
const stops = pages.flatMap((page) => page.stops);
const repeated = (ids: readonly string[]) => ids.filter((id, index) => ids.indexOf(id) !== index);

/** Builds of a kind in which every two options of two questions meet. */
const buildsOf = (kind: InstrumentKind): Build[] =>
  pairwise(Object.fromEntries(kind.fields.map(({ field, options }) => [field, options.map(({ id }) => id)]))) as Record<
    string,
    BuildOption<'body'>
  >[];

describe('the tables of faults', () => {
  test('every id stands once, on its page', () => {
    expect(repeated([...signs, ...causes].map(({ id }) => id).sort())).toEqual([]);
    const strayed = pages.flatMap((page) =>
      [...page.signs, ...page.causes].filter(({ id }) => !id.startsWith(`${page.id}/`)).map(({ id }) => id),
    );
    expect(strayed).toEqual([]);
  });

  test('every sign a cause or a rule speaks of is there, and every care', () => {
    const known = new Set<string>(signs.map(({ id }) => id));
    const named = [
      ...causes.flatMap(({ shows }) => Object.values(shows).flat()),
      ...stops.flatMap(({ sign, onSigns }) => [sign, ...onSigns]),
    ];
    expect(named.filter((id) => !known.has(id))).toEqual([]);
    const cares = causes.flatMap(({ remedy }) => remedy.care ?? []);
    expect(cares.filter((id) => bookItem(BOOK, id) === undefined)).toEqual([]);
  });

  test('a sign no cause shows, no rule asks for and no care is called for by is on no page', () => {
    const shown = new Set([
      ...causes.flatMap(({ shows }) => Object.values(shows).flat()),
      ...stops.map(({ sign }) => sign),
      ...KIND_IDS.flatMap((kind) =>
        casesOf(BOOK, kind).flatMap((one) =>
          practiceOf(BOOK, one).items.flatMap((item) => signsOf(item).map(({ id }) => id)),
        ),
      ),
    ]);
    expect(signs.filter(({ id }) => !shown.has(id)).map(({ id }) => id)).toEqual([]);
  });

  test('each cause is complained of, and has something to look at or to try', () => {
    const sortOf = new Map(signs.map(({ id, sort }) => [id, sort]));
    const without = causes.filter(({ shows }) => {
      const sorts = Object.values(shows)
        .flat()
        .map((id) => sortOf.get(id));
      return !sorts.includes('complaint') && !sorts.includes('look');
    });
    expect(without.map(({ id }) => id)).toEqual([]);
  });

  test('nothing that is for the bench alone is a player’s work, nor the other way about', () => {
    const wrong = causes.filter(({ remedy: { hand, care = [] } }) =>
      care.some((id) => (bookItem(BOOK, id)?.place === 'bench') !== (hand !== 'player')),
    );
    expect(wrong.map(({ id }) => id)).toEqual([]);
  });

  test('the care a player’s remedy names is a run on every instrument that has it, and some instrument does', () => {
    const practices = KIND_IDS.map((kind) => practiceOf(BOOK, { kind }));
    const wrong = causes
      .filter(({ remedy }) => remedy.hand === 'player')
      .flatMap(({ remedy }) => remedy.care ?? [])
      .filter((id) => {
        const having = practices.filter(({ items }) => items.some((item) => item.id === id));
        return having.length === 0 || having.some(({ steps }) => steps.every(({ item }) => item !== id));
      });
    expect(wrong).toEqual([]);
  });

  test('a player’s remedy is a run, or said among the reeds, or one of these: one act of the hands, a wait, or how it is played', () => {
    const ONE_ACT = [
      ...['swabbed/jammed', 'swabbed/left-inside', 'linked/bridge-out', 'corked/not-home', 'flute-foot/turned'],
      ...[
        'saxophone/neck-cork-dry',
        'bassoon/reed-seats-badly',
        'bamboo/water',
        'bamboo/edge-needs-wipe',
        'bits/loose',
      ],
      ...['recorder/dirt-in-hole', 'recorder/joint-loose', 'pipes/tape', 'pipes/zip', 'piston/stem', 'third-slide/dry'],
      ...['brass/cap-loose', 'brass/cloth-in-bell'],
    ];
    const WAITS = [
      ...['any/cold', 'any/stored-damp', 'keyed/pads-after-heat', 'wooden/swollen', 'single-reed/unsettled'],
      ...['pipes/swollen', 'pipes/chanter-reed-wet', 'pipes/chanter-reed-strong'],
    ];
    const HOW_IT_IS_PLAYED = [
      ...['double-reed/lips-near-tip', 'double-reed/lips-too-deep', 'double-reed/held-off-angle', 'flute/hole-covered'],
      ...['bamboo/hole-open', 'bamboo/lip-off-place', 'bamboo/end-in-the-way', 'recorder/leaking-finger'],
      'recorder/thumb-off',
    ];
    const said = causes.filter(
      ({ remedy: { hand, care, inReeds, atTable } }) => hand === 'player' && !care && !inReeds && !atTable,
    );
    expect(said.map(({ id }) => id).sort()).toEqual([...ONE_ACT, ...WAITS, ...HOW_IT_IS_PLAYED].sort());
  });

  test('a hand that is not the player’s says what is not done meanwhile, or needs nothing said', () => {
    const harmful = /\b(force|bend|hammer|pliers|glue|heat|needle|stick|sand|polish)\b/i;
    const wrong = causes.filter(({ remedy }) => harmful.test(remedy.how) && !/\b(no|never|not)\b/i.test(remedy.how));
    expect(wrong.map(({ id }) => id)).toEqual([]);
  });

  test('what one look shows is looked at, by nobody but this question, and stops nothing', () => {
    const looks = BOOK.faults.together;
    expect(repeated(looks.flatMap((look) => look.signs))).toEqual([]);
    const stopping = new Set(stops.map(({ sign }) => sign));
    const wrong = looks.flatMap((look) =>
      look.signs.filter((id) => {
        const sign = signs.find((one) => one.id === id);
        const isPlain = sign?.sort === 'look' && sign.tool === undefined && sign.notAlone !== true;
        // What comes apart for one of them comes apart for the look.
        return !isPlain || stopping.has(id) || (sign.apart ?? false) !== (look.apart ?? false);
      }),
    );
    expect(wrong).toEqual([]);
    expect(looks.filter((look) => new Set(look.signs.map((id) => id.split('/')[0])).size > 1)).toEqual([]);
    // Each is a question of some instrument, and where it is there are two things to be named at the least.
    const here = KIND_IDS.flatMap((kind) =>
      buildsOf(BOOK.kinds[kind]).flatMap((build) => faultsFor(BOOK, kind, build).together),
    );
    expect(here.filter((look) => look.signs.length < 2)).toEqual([]);
    const met = new Set(here.map(({ question }) => question));
    expect(looks.filter(({ question }) => !met.has(question))).toEqual([]);
  });

  test('what is said of a reed is a sign of each instrument it plays on', () => {
    const wrong = KIND_IDS.flatMap((kind) => {
      const family = reedFamilyOf(BOOK.kinds[kind]);
      if (family === null) return [];
      return buildsOf(BOOK.kinds[kind]).flatMap((build) => {
        const here = faultsFor(BOOK, kind, build);
        return SIGNS_OF[family].filter((said) => signHere(here, signInList(family, said) ?? '') === undefined);
      });
    });
    expect(wrong).toEqual([]);
  });

  test('headings are short imperatives, sentences whole and short', () => {
    const headings = [...causes.map(({ remedy }) => remedy.heading), ...stops.map(({ heading }) => heading)];
    expect(headings.filter((one) => one.length > 62 || /[.!]$/.test(one))).toEqual([]);
    const texts = [
      ...causes.flatMap(({ remedy: { how, never } }) => [how, ...(never ? [never] : [])]),
      ...[...signs, ...BOOK.faults.together].flatMap(({ question, how }) => [question, ...(how ? [how] : [])]),
      ...stops.map(({ meanwhile }) => meanwhile),
    ];
    expect(texts.filter((one) => !/[.?]$/.test(one) || /!/.test(one))).toEqual([]);
    const sentences = texts.flatMap((one) => one.split(/(?<=[.?])\s/));
    expect(sentences.filter((one) => one.split(/\s+/).length > 24)).toEqual([]);
  });

  test('nobody is blamed', () => {
    const all = [...causes.map(({ name }) => name), ...causes.map(({ remedy }) => remedy.how)];
    expect(all.filter((one) => /\byour fault\b|careless|wrongly done|you forgot|you did/i.test(one))).toEqual([]);
  });
});

/** The lines of the book on what is noticed, and the causes of these tables they are (common practice, no source). */
const LINES: Readonly<Record<string, readonly string[]>> = {
  'a note gurgles': ['keyed/water-in-hole', 'keyed/torn-pad'],
  'it smells, furry': ['any/stored-damp'],
  'keys rattle': ['keyed/screw-loose', 'keyed/cork-lost', 'keyed/dry-rods'],
  'the case, again and again': ['any/case-worn'],
  'the swab is stuck': ['swabbed/jammed'],
  'off with the weather': ['single-reed/unsettled', 'double-reed/unsettled', 'any/cold'],
  'pads after heat': ['keyed/pads-after-heat'],
  'a sticky key': ['keyed/dirty-pad'],
  'stuffy, low register fails': [
    'keyed/torn-pad',
    'keyed/cork-lost',
    'linked/bridge-out',
    'saxophone/neck-leaks',
    'linked/leak-above',
  ],
  'a fuzzy note': ['keyed/dirt-in-hole', 'keyed/water-in-hole'],
  'a key not flat': ['keyed/cork-lost', 'keyed/bent'],
  'the saxophone’s octave': ['saxophone/octave-bent', 'saxophone/neck-out-of-line'],
  'mouthpiece and neck': ['saxophone/neck-cork-dry'],
  'the neck will not enter': ['saxophone/screw-tight', 'saxophone/end-dirty', 'saxophone/end-out-of-round'],
  'the tip of the mouthpiece': ['single-reed/mouthpiece-damaged'],
  'a pad missing': ['keyed/pad-lost'],
  'a spring off': ['keyed/spring-off'],
  'a joint tight or loose': ['corked/dry', 'corked/worn', 'wooden/swollen'],
  'a line in the wood': ['wooden/crack'],
  'lime in the holes': ['keyed/dirt-in-hole'],
  'the tube of an oboe reed': ['oboe/tube-cork-dry'],
  'a flute after a knock': ['keyed/bent'],
  bamboo: ['bamboo/crack', 'bamboo/edge-damaged', 'bamboo/water', 'bamboo/joint-loose'],
  'a single reed squeaks': [
    'single-reed/back-bulged',
    'single-reed/tip-chipped',
    'single-reed/set-crooked',
    'single-reed/fibre',
    'single-reed/taken-in-deep',
    'single-reed/taken-in-shallow',
  ],
  'a single reed too hard': ['single-reed/too-strong', 'single-reed/back-bulged'],
  'a single reed flabby': ['single-reed/spent'],
  'a double reed fell': ['double-reed/crack'],
  'high or low weak': ['double-reed/corners-gone', 'double-reed/low-missing'],
  'slowly harder': ['double-reed/corners-gone'],
  'hiss at the side': ['double-reed/flush'],
  'nothing sounds': ['double-reed/lips-near-tip', 'double-reed/shut', 'double-reed/corners-gone', 'double-reed/dry'],
  'coarse and sharp': ['double-reed/lips-too-deep'],
  'spread and flat': ['double-reed/gaping'],
  'biting, whole range flat': ['double-reed/too-soft'],
  'one lip': ['double-reed/held-off-angle'],
  'air at the bocal': ['bassoon/reed-seats-badly', 'double-reed/dry'],
  'a slow valve': ['piston/film', 'piston/dry', 'piston/wrong-oil', 'piston/casing-bent', 'piston/wrong-casing'],
  'a silent valve': ['piston/wrong-casing'],
  'a stem that clicks': ['piston/stem'],
  'a clank': ['piston/felts', 'rotary/string', 'rotary/stops-worn'],
  'stuffy brass': ['brass/shank', 'brass/pipe-dirty', 'brass/water-key', 'brass/cloth-in-bell'],
  'a slide stuck': ['brass/slide-set', 'brass/slide-dry'],
  'a mouthpiece stuck': ['brass/mouthpiece-jammed'],
  'a hand slide drags': ['hand-slide/dirty', 'hand-slide/dry', 'hand-slide/bent'],
  'red rot': ['brass/red-rot'],
  'a water key': ['brass/water-key'],
  'a dent': ['brass/dent'],
  'the bag loses': ['pipes/hemp', 'pipes/zip', 'pipes/flap', 'pipes/in-line', 'pipes/hide-dry'],
  'a drone stops or roars': ['pipes/drone-reed-shut', 'pipes/drone-reed-too-open'],
  'the chanter goes flat': ['pipes/chanter-reed-wet'],
  'crown and head cork': ['flute/stopper-moved'],
  'whisper key, bocal vent': ['bassoon/whisper-link', 'bassoon/vent-clogged'],
  'water in the wing': ['bassoon/water-in-wing'],
  'register vent': ['clarinet/vent-clogged'],
  'not pushed home': ['corked/not-home'],
  'rotor string, rotor off its mark': ['rotary/string', 'rotary/set-wrong'],
  'slide lock': ['hand-slide/lock-worn'],
  'loose bits': ['bits/loose'],
  'third slide': ['third-slide/dry', 'third-slide/bent'],
  'caps not snug': ['brass/cap-loose'],
};
test('every line of the book is a cause of these tables, each with its remedy', () => {
  const known = new Map<string, Cause>(causes.map((cause) => [cause.id, cause]));
  const missing = Object.entries(LINES).flatMap(([line, ids]) =>
    ids.filter((id) => !known.get(id)?.remedy.heading).map((id) => `${line}: ${id}`),
  );
  expect(missing).toEqual([]);
});

describe('each kind', () => {
  test.each(KIND_IDS)('%s: at least 12 causes and 18 signs in every build, each with its part and its hands', (id) => {
    const kind = BOOK.kinds[id];
    const few: string[] = [];
    for (const build of buildsOf(kind)) {
      const here = faultsFor(BOOK, id, build);
      if (here.causes.length < 12 || here.signs.length < 18)
        few.push(`${JSON.stringify(build)}: ${here.causes.length} causes, ${here.signs.length} signs`);
      for (const cause of here.causes) {
        const hands = handsOfRemedy(cause, { standing: 'child', does: ['key-oil', 'screws', 'solvents', 'blades'] });
        if (cause.remedy.skill && hands === 'player') few.push(`${cause.id} is left to a child`);
      }
    }
    expect(few).toEqual([]);
  });

  test('wood is asked about only where there is some, skin only where pads are of it', () => {
    const plastic = faultsFor(BOOK, 'clarinet', { body: 'plastic', tenons: 'cork', pads: 'leather' });
    expect(plastic.signs.filter(({ id }) => id.startsWith('wooden/'))).toEqual([]);
    expect(plastic.stops.filter(({ sign }) => sign.startsWith('wooden/'))).toEqual([]);
    expect(faultsFor(BOOK, 'trombone', { rotor: 'none' }).causes.some(({ id }) => id.startsWith('rotary/'))).toBe(
      false,
    );
    expect(faultsFor(BOOK, 'trombone', { rotor: 'one' }).causes.some(({ id }) => id.startsWith('rotary/'))).toBe(true);
  });

  test('a part a kind has not is never named', () => {
    const unnamed: string[] = [];
    for (const id of KIND_IDS) {
      const kind = BOOK.kinds[id];
      for (const build of buildsOf(kind))
        for (const cause of faultsFor(BOOK, id, build).causes)
          if (partHere(kind, cause.part) === null) unnamed.push(`${id}: ${cause.id} is on ${cause.part}`);
    }
    expect([...new Set(unnamed)]).toEqual([]);
  });

  test('every mishap counts for something on some kind', () => {
    const counts = new Set(causes.flatMap(({ likelier = {} }) => Object.keys(likelier)));
    const stopping = new Set(pages.flatMap(({ mishapStops }) => mishapStops.map(({ mishap }) => mishap)));
    expect(MISHAPS.filter((one) => !counts.has(one) && !stopping.has(one))).toEqual([]);
  });
});
