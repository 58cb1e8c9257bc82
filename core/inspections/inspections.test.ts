import { describe, expect, test } from '@jest/globals';
import type { CareItemId } from '#core/book/care-ids.ts';
import type { MeasureId, PlaceId, WayId } from '#core/book/measure.ts';
import type { WorkDone } from '#core/calendar/event.ts';
import { PLAIN_FORMAT } from '#core/explain/format.ts';
import { gradeOf, goodReading, isReadable, limitAhead } from '#core/inspections/grade.ts';
import { inspectionRefusal, type Inspection, type InspectionNoted } from '#core/inspections/inspection.ts';
import { headlineOf, limitsWords, lineWords, measureWhy, readingWords } from '#core/inspections/inspection-words.ts';
import {
  datesOf,
  inspectionsStanding,
  nextLook,
  type MeasureStanding,
} from '#core/inspections/inspections-standing.ts';
import { mayTake, measuresFor, TAKEN_BY, wayOf, type MeasureHere } from '#core/inspections/measures-for.ts';
import { KIND_IDS, type KindId } from '#core/instruments/kind.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';
import { STANDINGS } from '#core/players/player.ts';
import { BOOK } from '#core/tables/book.ts';
import { addDays, localDate } from '#core/time/local-date.ts';

const today = localDate('2026-11-27');
const buildOf = (kind: KindId) => usualBuild(BOOK.kinds[kind]);
const here = (kind: KindId) => measuresFor(BOOK, kind, buildOf(kind));
const measure = (kind: KindId, id: MeasureId): MeasureHere => {
  const found = here(kind).find((one) => one.id === id);
  if (!found) throw new Error(`${kind} has no ${id}`);
  return found;
};
const wayNamed = (kind: KindId, id: MeasureId, way: WayId) => {
  const found = wayOf(measure(kind, id), way);
  if (!found) throw new Error(`${id} is not read ${way}`);
  return found;
};

describe('what a reading says', () => {
  // The table of inspections in the practice book, a line for each; between its columns the more careful word holds.
  test.each<[KindId, MeasureId, WayId, readonly (readonly [number, string])[]]>([
    [
      'clarinet',
      'keyed/rattling-keys',
      'by-hand',
      [
        [0, 'good'],
        [1, 'sooner'],
        [2, 'sooner'],
        [3, 'bench'],
      ],
    ],
    [
      'clarinet',
      'keyed/proud-rods',
      'by-eye',
      [
        [0, 'good'],
        [1, 'bench'],
      ],
    ],
    [
      'clarinet',
      'keyed/pads-leaking',
      'feeler',
      [
        [0, 'good'],
        [1, 'sooner'],
        [2, 'sooner'],
        [3, 'bench'],
      ],
    ],
    [
      'clarinet',
      'keyed/pads-leaking-at-rest',
      'feeler',
      [
        [0, 'good'],
        [1, 'bench'],
      ],
    ],
    [
      'clarinet',
      'held-shut/upper-joint',
      'sucked-shut',
      [
        [5, 'good'],
        [4.5, 'sooner'],
        [2, 'sooner'],
        [1.5, 'bench'],
      ],
    ],
    [
      'bassoon',
      'wing-held-shut/wing-joint',
      'sucked-shut',
      [
        [5, 'good'],
        [2, 'sooner'],
        [1.5, 'bench'],
      ],
    ],
    [
      'alto-saxophone',
      'saxophone/neck-holds',
      'sucked-shut',
      [
        [2, 'good'],
        [1, 'sooner'],
        [0.5, 'bench'],
      ],
    ],
    [
      'alto-saxophone',
      'saxophone/octave-pin-gap',
      'by-eye',
      [
        [0.3, 'good'],
        [0.8, 'good'],
        [1.1, 'sooner'],
      ],
    ],
    [
      'alto-saxophone',
      'saxophone/neck-rocks',
      'by-hand',
      [
        [0, 'good'],
        [1, 'sooner'],
        [2, 'bench'],
      ],
    ],
    [
      'flute',
      'flute/pads-leaking',
      'feeler',
      [
        [0, 'good'],
        [1, 'sooner'],
        [2, 'bench'],
      ],
    ],
    [
      'oboe',
      'keyed/spring-standing-open',
      'spring-gauge',
      [
        [20, 'good'],
        [50, 'good'],
        [19, 'sooner'],
        [51, 'sooner'],
        [0, 'bench'],
      ],
    ],
    [
      'oboe',
      'keyed/spring-standing-closed',
      'spring-gauge',
      [
        [35, 'good'],
        [80, 'good'],
        [34, 'sooner'],
        [0, 'bench'],
      ],
    ],
    [
      'oboe',
      'corked/fit',
      'by-hand',
      [
        [3, 'good'],
        [4, 'good'],
        [2, 'sooner'],
        [5, 'sooner'],
        [1, 'bench'],
      ],
    ],
    [
      'trumpet',
      'piston/return',
      'of-ten',
      [
        [0, 'good'],
        [1, 'sooner'],
        [2, 'sooner'],
        [3, 'bench'],
      ],
    ],
    [
      'trumpet',
      'piston/return',
      'slow-film',
      [
        [0.25, 'good'],
        [0.3, 'sooner'],
        [4, 'sooner'],
      ],
    ],
    [
      'trumpet',
      'piston/side-play',
      'by-hand',
      [
        [0, 'good'],
        [1, 'sooner'],
        [2, 'bench'],
      ],
    ],
    [
      'trumpet',
      'brass/slide-pull',
      'by-hand',
      [
        [2, 'good'],
        [3, 'good'],
        [1, 'sooner'],
        [4, 'sooner'],
        [0, 'bench'],
        [5, 'bench'],
      ],
    ],
    [
      'trumpet',
      'brass/slide-pull',
      'spring-balance',
      [
        [5, 'good'],
        [15, 'good'],
        [16, 'sooner'],
        [20, 'sooner'],
        [21, 'bench'],
        [0, 'bench'],
      ],
    ],
    [
      'trumpet',
      'third-slide/pull',
      'by-hand',
      [
        [0, 'good'],
        [1, 'good'],
        [2, 'sooner'],
        [3, 'bench'],
      ],
    ],
    [
      'horn',
      'rotary/play',
      'by-hand',
      [
        [0, 'good'],
        [1, 'sooner'],
        [2, 'bench'],
      ],
    ],
    [
      'horn',
      'rotary/string',
      'by-eye',
      [
        [0, 'good'],
        [1, 'sooner'],
        [2, 'bench'],
      ],
    ],
    [
      'trombone',
      'hand-slide/drag',
      'by-hand',
      [
        [1, 'good'],
        [2, 'sooner'],
        [3, 'bench'],
      ],
    ],
    [
      'trombone',
      'hand-slide/scrape',
      'by-ear',
      [
        [0, 'good'],
        [1, 'bench'],
      ],
    ],
    [
      'trombone',
      'brass/water-key',
      'under-water',
      [
        [0, 'good'],
        [3, 'sooner'],
        [4, 'bench'],
      ],
    ],
    [
      'tuba',
      'brass/shank',
      'by-hand',
      [
        [0, 'good'],
        [1, 'sooner'],
        [2, 'bench'],
      ],
    ],
    [
      'tuba',
      'brass/pink-spots',
      'by-eye',
      [
        [0, 'good'],
        [3, 'sooner'],
      ],
    ],
    [
      'tuba',
      'brass/mouthpipe-holes',
      'by-eye',
      [
        [0, 'good'],
        [1, 'bench'],
      ],
    ],
    [
      'tuba',
      'brass/dent-depth',
      'ruler',
      [
        [0, 'good'],
        [2, 'sooner'],
        [2.5, 'bench'],
      ],
    ],
    [
      'tuba',
      'brass/dent-on-slide',
      'by-eye',
      [
        [0, 'good'],
        [1, 'bench'],
      ],
    ],
    [
      'bamboo-flute',
      'bamboo/crack',
      'ruler',
      [
        [0, 'good'],
        [1, 'bench'],
      ],
    ],
    [
      'bamboo-flute',
      'bamboo/joint-gap',
      'feeler-gauge',
      [
        [0, 'good'],
        [0.1, 'sooner'],
      ],
    ],
    [
      'highland-pipes',
      'pipes/bag-holds',
      'blown-full',
      [
        [30, 'good'],
        [29, 'sooner'],
        [10, 'sooner'],
        [9, 'bench'],
      ],
    ],
    [
      'recorder',
      'any/loose-in-case',
      'by-ear',
      [
        [0, 'good'],
        [1, 'sooner'],
      ],
    ],
    [
      'recorder',
      'any/hinges-latches',
      'by-hand',
      [
        [0, 'good'],
        [1, 'sooner'],
        [2, 'bench'],
      ],
    ],
    [
      'bassoon',
      'bassoon-reed/opening',
      'by-eye',
      [
        [0.9, 'good'],
        [1.4, 'good'],
        [1.5, 'sooner'],
        [0.4, 'sooner'],
      ],
    ],
  ])('%s: %s, read %s', (kind, id, way, says) => {
    const { limits } = wayNamed(kind, id, way);
    expect(says.map(([value]) => [value, gradeOf(limits, value)])).toEqual(says);
  });

  test('what is no number is refused', () => {
    const { limits } = wayNamed('clarinet', 'held-shut/upper-joint', 'sucked-shut');
    for (const wrong of [NaN, Infinity, -Infinity]) expect(() => gradeOf(limits, wrong)).toThrow(RangeError);
  });

  test('the limit a line heads for is where work for the bench begins on its side', () => {
    const pull = wayNamed('trumpet', 'brass/slide-pull', 'by-hand');
    expect([limitAhead(pull, true), limitAhead(pull, false)]).toEqual([5, 0]);
    const pads = wayNamed('clarinet', 'keyed/pads-leaking', 'feeler');
    expect([limitAhead(pads, true), limitAhead(pads, false)]).toEqual([3, null]);
    const held = wayNamed('clarinet', 'held-shut/upper-joint', 'sucked-shut');
    expect([limitAhead(held, true), limitAhead(held, false)]).toEqual([null, 2]);
    expect(limitAhead(wayNamed('trumpet', 'piston/return', 'slow-film'), true)).toBeNull();
  });

  test('what is counted is good unless it is said otherwise; what is measured is not made up', () => {
    expect(goodReading(wayNamed('clarinet', 'keyed/rattling-keys', 'by-hand'))).toBe(0);
    expect(goodReading(wayNamed('trumpet', 'brass/slide-pull', 'by-hand'))).toBe(3);
    expect(goodReading(wayNamed('tuba', 'brass/dent-depth', 'ruler'))).toBe(0);
    expect(goodReading(wayNamed('clarinet', 'held-shut/upper-joint', 'sucked-shut'))).toBeNull();
    for (const kind of KIND_IDS)
      for (const { ways } of here(kind))
        for (const way of ways) {
          const good = goodReading(way);
          if (good !== null)
            expect([kind, way.how, gradeOf(way.limits, good), isReadable(way, good)]).toEqual([
              kind,
              way.how,
              'good',
              true,
            ]);
        }
  });
});

describe('who reads what', () => {
  test('a child or a pupil takes nothing with a tool by themselves, and nobody but the bench what only it reads', () => {
    const wrong: string[] = [];
    for (const kind of KIND_IDS)
      for (const one of here(kind))
        for (const way of one.ways)
          for (const standing of STANDINGS)
            for (const by of TAKEN_BY) {
              const may = mayTake(one, way, by, standing);
              if (may && by !== 'bench' && one.hands === 'bench') wrong.push(`${kind} ${one.id} ${by}`);
              if (
                may &&
                by === 'player' &&
                standing !== 'grown-up' &&
                (way.tool !== undefined || one.hands !== undefined)
              )
                wrong.push(`${kind} ${one.id} ${way.id} ${standing}`);
              if (!may && by === 'bench') wrong.push(`${kind} ${one.id} not even the bench`);
            }
    expect(wrong).toEqual([]);
  });

  test('each kind has something to read, each at places it has, in every build once', () => {
    for (const kind of KIND_IDS) {
      const names = here(kind).flatMap(({ id, places }) =>
        (places ?? [null]).map((place) => `${id} ${place?.id ?? ''}`),
      );
      expect(names.length).toBeGreaterThan(1);
      expect(new Set(names).size).toBe(names.length);
    }
    const soprano = BOOK.kinds['soprano-saxophone'];
    const inOne = measuresFor(BOOK, 'soprano-saxophone', { ...usualBuild(soprano), pieces: 'one-piece' });
    expect(inOne.some(({ id }) => id.startsWith('saxophone/'))).toBe(false);
    const plain = measuresFor(BOOK, 'trombone', { ...buildOf('trombone'), rotor: 'none' });
    expect(plain.some(({ id }) => id.startsWith('rotary/'))).toBe(false);
    expect(measure('clarinet', 'corked/fit').places?.map(({ name }) => name)).toEqual([
      'mouthpiece and barrel',
      'barrel and upper joint',
      'upper joint and lower joint',
      'lower joint and bell',
    ]);
  });

  const inspection = (over: Partial<Inspection> = {}): Inspection => ({
    on: today,
    by: 'player',
    readings: [{ measure: 'brass/slide-pull', place: 'main-slide', way: 'by-hand', value: 3 }],
    ...over,
  });
  const reading = (over: object) => ({
    readings: [{ ...inspection().readings[0], ...over } as Inspection['readings'][number]],
  });
  test.each<[string | null, Partial<Inspection>]>([
    [null, {}],
    ['inspection-in-future', { on: addDays(today, 1) }],
    ['inspection-too-old', { on: addDays(today, -4000) }],
    ['inspection-before-it-came', { on: localDate('2020-01-01') }],
    ['reading-twice', { readings: [...inspection().readings, ...inspection().readings] }],
    ['reading-of-nothing-here', reading({ measure: 'keyed/pads-leaking' })],
    ['reading-of-nothing-here', reading({ place: null })],
    ['reading-of-nothing-here', reading({ place: 'third-slide' })],
    ['reading-of-nothing-here', reading({ way: 'by-ear' })],
    ['reading-not-so', reading({ value: 6 })],
    ['reading-not-so', reading({ value: 2.5 })],
    ['reading-not-so', reading({ value: NaN })],
    ['reading-not-alone', reading({ way: 'spring-balance', value: 10 })],
    [null, { by: 'teacher', ...reading({ way: 'spring-balance', value: 10 }) }],
  ])('%s', (code, over) => {
    const refusal = inspectionRefusal(inspection(over), here('trumpet'), {
      today,
      cameOn: localDate('2021-01-01'),
      standing: 'child',
    });
    expect(refusal?.code ?? null).toBe(code);
  });
});

type Read = readonly [daysAgo: number, value: number, way?: WayId];
const looked = (id: MeasureId, place: PlaceId | null, reads: readonly Read[]): InspectionNoted[] =>
  reads.map(([daysAgo, value, way = 'by-hand'], at) => ({
    key: `i${at}`,
    on: addDays(today, -daysAgo),
    by: 'player',
    readings: [{ measure: id, place, way, value }],
  }));
type DoneWork = readonly WorkDone[];
const at = (itemId: CareItemId, daysAgo: number): WorkDone => ({
  itemIds: [itemId],
  works: [],
  on: addDays(today, -daysAgo),
});
function stands(
  kind: KindId,
  id: MeasureId,
  place: PlaceId | null,
  reads: readonly Read[],
  done: DoneWork = [],
): MeasureStanding {
  const all = inspectionsStanding(BOOK, { kind, build: buildOf(kind) }, looked(id, place, reads), {
    today,
    done,
    mishaps: [],
  });
  const found = all.standing.find((one) => one.measure.id === id && (one.place?.id ?? null) === place);
  if (!found) throw new Error(`no standing of ${id}`);
  return found;
}
const pull = (reads: readonly Read[], done: DoneWork = []) =>
  stands('trumpet', 'brass/slide-pull', 'main-slide', reads, done);

describe('lines', () => {
  const RISING: readonly Read[] = [
    [200, 2],
    [160, 3],
    [120, 3],
    [80, 3],
    [40, 4],
    [0, 4],
  ];

  test('a pull that grows heads for stuck, between two days or not before one', () => {
    const trend = pull(RISING).trend();
    expect(trend?.limit).toBe(5);
    expect(((trend && datesOf(trend)?.from) ?? '') >= today).toBe(true);
    expect(lineWords(pull(RISING), PLAIN_FORMAT)).toMatch(
      /^It rises by about 0\.\d a month\. It (probably reaches 5, where work for the bench begins, between|reaches 5, where work for the bench begins, not before) \d{4}-\d\d-\d\d/,
    );
  });

  test('a repair begins a new line, and until it is read again nobody knows how it stands', () => {
    const freed = [at('brass/stuck', 60)];
    const after = pull(RISING, freed);
    expect(after.lines.map(({ reads, begins }) => [reads.length, begins])).toEqual([
      [4, null],
      [2, 'repair'],
    ]);
    expect(after.trend()).toBeNull();
    expect(lineWords(after, PLAIN_FORMAT)).toBe(
      '3 more readings until a line can be drawn. A new line began after it was seen to.',
    );
    const now = pull(RISING.slice(0, 4), freed);
    expect([now.newest, now.again]).toEqual([null, null]);
    expect(lineWords(now, PLAIN_FORMAT)).toMatch(/^Seen to since it was last read/);
    // Work that does not touch it begins none.
    expect(pull(RISING, [at('brass/dent', 60)]).lines).toHaveLength(1);
    // A cork or a slide that was seen to by name, too.
    expect(pull(RISING, [{ itemIds: [], works: ['slide-freed'], on: addDays(today, -60) }]).lines).toHaveLength(2);
    // What is read on the day it came back is read after the repair.
    expect(pull(RISING, [at('brass/stuck', 40)]).lines.at(-1)?.reads).toHaveLength(2);
  });

  test('another way of reading begins a new line, and so does the one before it again', () => {
    const turned = pull([
      [90, 3],
      [60, 12, 'spring-balance'],
      [30, 3],
      [0, 3],
    ]);
    expect(turned.lines.map(({ way, reads, begins }) => [way.id, reads.length, begins])).toEqual([
      ['by-hand', 1, null],
      ['spring-balance', 1, 'way'],
      ['by-hand', 2, 'way'],
    ]);
  });

  test('read twice on one day, the later entry stands; what is still to come is not read yet', () => {
    expect(
      pull([
        [5, 2],
        [5, 3],
      ]).newest,
    ).toMatchObject({ value: 3 });
    expect(
      pull([
        [5, 2],
        [5, 3],
      ]).lines[0]?.reads,
    ).toHaveLength(1);
    expect(
      pull([
        [5, 2],
        [-3, 4],
      ]).newest,
    ).toMatchObject({ value: 2 });
  });

  test('pinkish spots that grow within three months are work for the bench, however few', () => {
    const spots = (reads: readonly Read[]) =>
      stands(
        'tuba',
        'brass/pink-spots',
        null,
        reads.map(([ago, value]) => [ago, value, 'by-eye'] as const),
      );
    expect(
      spots([
        [60, 1],
        [0, 2],
      ]).newest?.grade,
    ).toBe('bench');
    expect(
      spots([
        [200, 1],
        [0, 2],
      ]).newest?.grade,
    ).toBe('sooner');
    expect(
      spots([
        [60, 2],
        [0, 2],
      ]).newest?.grade,
    ).toBe('sooner');
    expect(
      measureWhy(
        spots([
          [60, 1],
          [0, 2],
        ]),
        PLAIN_FORMAT,
      ).map(({ rule }) => rule),
    ).toContain('spreads');
  });

  test('of the opening of a reed no line is drawn: it is another reed each time', () => {
    const reads = [
      [90, 1.1],
      [70, 1.2],
      [50, 1.3],
      [30, 1.4],
      [10, 1.5],
    ].map(([ago = 0, value = 0]) => [ago, value, 'by-eye'] as const);
    expect(stands('bassoon', 'bassoon-reed/opening', null, reads).trend()).toBeNull();
  });
});

describe('when it is looked at again', () => {
  const days = (reads: readonly Read[]) => {
    const { again } = pull(reads);
    return again && [again.days, again.because];
  };
  test('as the book says, one and a half times as long after three good ones, twice after six, half after one that is not', () => {
    expect(
      days([
        [60, 3],
        [30, 3],
      ]),
    ).toEqual([30, 'book']);
    expect(
      days([
        [90, 3],
        [60, 3],
        [30, 2],
      ]),
    ).toEqual([45, 'longer']);
    expect(
      days([
        [180, 3],
        [150, 3],
        [120, 3],
        [90, 3],
        [60, 3],
      ]),
    ).toEqual([45, 'longer']);
    expect(
      days([
        [180, 3],
        [150, 3],
        [120, 3],
        [90, 3],
        [60, 3],
        [30, 3],
      ]),
    ).toEqual([60, 'twice-as-long']);
    expect(
      days([
        [90, 3],
        [60, 3],
        [30, 4],
      ]),
    ).toEqual([15, 'sooner']);
    expect(
      days([
        [120, 4],
        [90, 3],
        [60, 3],
      ]),
    ).toEqual([30, 'book']);
    expect(days([[30, 5]])).toEqual([15, 'bench']);
    expect(
      pull([
        [90, 3],
        [60, 3],
        [30, 2],
      ]).again?.on,
    ).toBe(addDays(today, 15));
  });

  test('a water key, a case and pads are never looked at more seldom', () => {
    const of = stands('tuba', 'brass/water-key', null, [
      [270, 0, 'under-water'],
      [180, 0, 'under-water'],
      [90, 0, 'under-water'],
    ]);
    expect(of.again).toMatchObject({ days: 91, because: 'never-longer' });
    const never = ['any/loose-in-case', 'any/hinges-latches', 'brass/water-key', 'bamboo/crack', 'keyed/pads-leaking'];
    for (const kind of KIND_IDS)
      for (const { id, neverLengthened, stops } of here(kind))
        if (never.includes(id) || stops) expect([id, neverLengthened]).toEqual([id, true]);
  });

  test('the next look of an instrument is the earliest of all', () => {
    const all = inspectionsStanding(
      BOOK,
      { kind: 'trumpet', build: buildOf('trumpet') },
      [...looked('brass/slide-pull', 'main-slide', [[10, 3]]), ...looked('brass/shank', null, [[170, 0]])],
      { today, done: [], mishaps: [] },
    );
    expect(nextLook(all)).toBe(addDays(today, 12));
    expect(headlineOf(all, PLAIN_FORMAT)).toBe('All that was read is good.');
    const none = inspectionsStanding(BOOK, { kind: 'trumpet', build: buildOf('trumpet') }, [], {
      today,
      done: [],
      mishaps: [],
    });
    expect([nextLook(none), headlineOf(none, PLAIN_FORMAT)]).toEqual([
      null,
      expect.stringMatching(/^Nothing has been read yet/),
    ]);
  });
});

describe('in words', () => {
  test('a reading says what its number means', () => {
    expect(readingWords(wayNamed('trumpet', 'brass/slide-pull', 'by-hand'), 4, PLAIN_FORMAT)).toBe('4 of 5, heavy');
    expect(readingWords(wayNamed('clarinet', 'held-shut/upper-joint', 'sucked-shut'), 4.5, PLAIN_FORMAT)).toBe('4.5 s');
    expect(readingWords(wayNamed('trumpet', 'brass/slide-pull', 'spring-balance'), 21, PLAIN_FORMAT)).toBe(
      'does not move at 20 N',
    );
    expect(
      headlineOf(
        inspectionsStanding(
          BOOK,
          { kind: 'trumpet', build: buildOf('trumpet') },
          looked('brass/slide-pull', 'main-slide', [[1, 5]]),
          { today, done: [], mishaps: [] },
        ),
        PLAIN_FORMAT,
      ),
    ).toBe('For the bench: pull of the slide: tuning slide.');
  });

  test('limits read as whole sentences, every one of the book', () => {
    expect(limitsWords(wayNamed('trumpet', 'brass/slide-pull', 'by-hand'), PLAIN_FORMAT)).toBe(
      'Good is 2–3. Within 1–4 it is looked at again sooner. Beyond that it is work for the bench.',
    );
    expect(limitsWords(wayNamed('trombone', 'hand-slide/scrape', 'by-ear'), PLAIN_FORMAT)).toBe(
      'Good is 0. Anything else is work for the bench.',
    );
    for (const kind of KIND_IDS)
      for (const { ways } of here(kind))
        for (const way of ways) expect(limitsWords(way, PLAIN_FORMAT)).toMatch(/^Good is [\w.– ]+\. (Within|Anything)/);
  });
});
