import { describe, expect, test } from '@jest/globals';
import { benchWork, unknownBenchWork, waitsForTheStay, workOfCare, type BenchFault } from '#core/bench/bench-jobs.ts';
import { jobName } from '#core/bench/bench-words.ts';
import type { MeasureId, PlaceId, WayId } from '#core/book/measure.ts';
import type { ItemClock } from '#core/care/care-clock.ts';
import { causeHere, faultsFor } from '#core/faults/faults-for.ts';
import { inspectionsStanding } from '#core/inspections/inspections-standing.ts';
import { KIND_IDS, type KindId } from '#core/instruments/kind.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';
import { usualPractice } from '#core/methods/practice-under.ts';
import type { PlayerAbilities } from '#core/players/player.ts';
import type { Situation } from '#core/situation/situation.ts';
import { BOOK } from '#core/tables/book.ts';
import { addDays, localDate } from '#core/time/local-date.ts';

const today = localDate('2026-11-27');
const on = (days: number) => addDays(today, days);
const grownUp: PlayerAbilities = { standing: 'grown-up', does: [] };
const item = (over: object = {}) => ({
  id: 'wind/bench-service',
  name: 'Bench service',
  place: 'bench',
  trigger: { kind: 'clock' },
  severity: 'function',
  ...over,
});
/** Serviced so many days ago, once a year. */
const clock = (ago: number, over: object = {}): ItemClock => {
  const load = ago / 360;
  const due = on(Math.max(0, 360 - ago));
  return {
    item: item(),
    state: load >= 1.5 ? 'overdue' : load >= 1 ? 'due' : 'soon',
    load,
    due: { on: due, earliest: due, latest: due },
    because: [{ rule: 'counted-from', baseline: { kind: 'done', on: on(-ago), by: 'bench' } }],
    ...over,
  } as unknown as ItemClock;
};
type Read = readonly [daysAgo: number, value: number];
type Reads = {
  readonly id: MeasureId;
  readonly place: PlaceId | null;
  readonly way: WayId;
  readonly reads: readonly Read[];
};
const read = (kind: KindId, ...all: readonly Reads[]) =>
  inspectionsStanding(
    BOOK,
    { kind, build: usualBuild(BOOK.kinds[kind]) },
    all.flatMap(({ id, place, way, reads }) =>
      reads.map(([ago, value]) => ({
        key: `${id} ${place ?? ''} ${ago}`,
        on: on(-ago),
        by: 'player' as const,
        readings: [{ measure: id, place, way, value }],
      })),
    ),
    { today, done: [], mishaps: [] },
  );
const nothingRead = read('trumpet');
const situation = (clocks: readonly ItemClock[], inspections = nothingRead): Situation =>
  ({ today, care: { clocks }, inspections, faults: { stops: [] } }) as unknown as Situation;
const work = (clocks: readonly ItemClock[], inspections = nothingRead, faults: readonly BenchFault[] = []) =>
  benchWork(BOOK, situation(clocks, inspections), grownUp, faults);
const pull = (place: PlaceId, reads: readonly Read[]): Reads => ({
  id: 'brass/slide-pull',
  place,
  way: 'by-hand',
  reads,
});

test('what is due waits for a stay within eight weeks, and for none that is not planned or further off', () => {
  const today = localDate('2026-11-24');
  expect(waitsForTheStay(addDays(today, 56), today)).toBe(true);
  expect(waitsForTheStay(addDays(today, 57), today)).toBe(false);
  expect(waitsForTheStay(today, today)).toBe(true);
  expect(waitsForTheStay(null, today)).toBe(false);
});

describe('what an instrument has for the bench', () => {
  test('not due yet: early before three quarters of its year', () => {
    expect(work([clock(300)])?.jobs).toMatchObject([{ work: 'service', due: on(60), from: on(-30) }]);
  });

  test.each([
    ['due', 400, on(-40), on(-400 + 270)],
    // Two years after a yearly service its year is still a year: it is late since a year.
    ['overdue', 720, on(-360), on(-720 + 270)],
  ])('%s: since its interval had run, which its load tells', (_, ago, due, from) => {
    expect(work([clock(ago)])?.jobs).toMatchObject([{ due, from }]);
  });

  test('a new instrument counts from the day it came', () => {
    const came = clock(300, { because: [{ rule: 'counted-from', baseline: { kind: 'came-new', on: on(-300) } }] });
    expect(work([came])?.jobs).toMatchObject([{ from: on(-30) }]);
  });

  test('what a sign calls for is due since it was seen, and never early', () => {
    const dent = clock(0, { item: item({ id: 'brass/dent' }), state: 'due', load: null, due: null, because: [] });
    expect(work([clock(300), dent])).toMatchObject({
      due: today,
      jobs: [{ work: 'dent', due: today, from: null, reason: { kind: 'sign' } }],
    });
    const because = [{ rule: 'noticed', on: on(-6), sign: 'a dent', which: null, item: dent.item }] as const;
    const seen: ItemClock = { ...dent, because };
    expect(work([seen])?.jobs).toMatchObject([{ due: on(-6) }]);
  });

  test('what falls due within eight weeks goes along, what is later asks for a stay of its own', () => {
    const dent = clock(0, { item: item({ id: 'brass/dent' }), state: 'due', load: null, due: null, because: [] });
    const works = (ago: number) => work([clock(ago), dent])?.jobs.map((job) => job.work);
    expect(works(304)).toEqual(['dent', 'service']);
    expect(works(303)).toEqual(['dent']);
    expect(work([clock(177)])).toBeNull();
    expect(work([clock(178)])?.due).toBe(on(182));
  });

  test('home work its player leaves to the bench goes along; other home work, and what is far off or off, does not', () => {
    const oil = { id: 'keyed/key-oil', place: undefined, skill: 'key-oil' };
    expect(work([clock(350, { item: item(oil) })])?.jobs).toMatchObject([{ work: 'service' }]);
    const none = [
      clock(350, { item: item({ place: undefined }) }),
      clock(350, { item: item({ trigger: { kind: 'every-play' } }) }),
      clock(350, { state: 'off' }),
      clock(10),
    ];
    for (const one of none) expect(work([one])).toBeNull();
    expect(
      benchWork(BOOK, situation([clock(350, { item: item(oil) })]), { standing: 'grown-up', does: ['key-oil'] }),
    ).toBeNull();
    const unknown = clock(0, { state: 'unknown', due: null });
    expect(unknownBenchWork(situation([unknown, clock(350)]), grownUp)).toEqual([unknown]);
  });

  test('a reading beyond its limit asks since it was read; a line by the earlier end of its days', () => {
    expect(work([], read('trumpet', pull('main-slide', [[9, 5]])))?.jobs).toMatchObject([
      { work: 'slide-freed', due: on(-9), from: null, reason: { kind: 'reading' } },
    ]);
    const falling: Reads = {
      id: 'held-shut/upper-joint',
      place: null,
      way: 'sucked-shut',
      reads: [
        [250, 8],
        [200, 7],
        [150, 6],
        [100, 5],
        [50, 4],
        [0, 3],
      ],
    };
    // A second a fifty days: two seconds are reached in fifty, and three quarters of the line ran until 25 days ago.
    expect(work([], read('clarinet', falling))?.jobs).toMatchObject([
      { work: 'pads', due: on(50), from: on(-25), reason: { kind: 'trend' } },
    ]);
    const open: Reads = {
      ...falling,
      reads: [
        [200, 6],
        [150, 7],
        [100, 5.5],
        [50, 6.5],
        [0, 5],
      ],
    };
    expect(work([], read('clarinet', open))).toBeNull();
  });

  test('one piece of work is asked for once, however it is told; three slides are three', () => {
    const stuck = clock(0, { item: item({ id: 'brass/stuck' }), state: 'due', load: null, due: null, because: [] });
    const slides = read('trumpet', pull('main-slide', [[2, 5]]), pull('second-slide', [[2, 5]]));
    const jobs = work([stuck], slides)?.jobs ?? [];
    expect(jobs.map((one) => jobName(one, BOOK))).toEqual([
      'A slide freed: tuning slide',
      'A slide freed: second slide',
    ]);
    const pads: readonly Reads[] = [
      { id: 'keyed/pads-leaking', place: null, way: 'feeler', reads: [[1, 4]] },
      { id: 'held-shut/upper-joint', place: null, way: 'sucked-shut', reads: [[1, 1]] },
    ];
    expect(work([], read('clarinet', ...pads))?.jobs).toHaveLength(1);
  });

  test('what stops it until the bench has looked asks for the bench; what a teacher clears does not', () => {
    const stops = (['bench', 'maker', 'teacher', 'self'] as const).map((clearedBy, at) => ({
      ...{ key: clearedBy, unsure: false, since: on(-3 - at) },
      rule: { heading: 'A line in the wood', clearedBy, mark: 'practice' },
    }));
    const stopped = (some: readonly object[]) =>
      benchWork(BOOK, { ...situation([]), faults: { stops: some } } as unknown as Situation, grownUp);
    expect(stopped(stops.slice(0, 1))?.jobs).toMatchObject([{ work: 'look', due: on(-3), reason: { kind: 'stop' } }]);
    expect(stopped(stops.slice(1, 2))?.due).toBe(on(-4));
    expect(stopped(stops.slice(2))).toBeNull();
  });

  test('what is likely to be wrong asks for the work it is', () => {
    const here = faultsFor(BOOK, 'trumpet', usualBuild(BOOK.kinds.trumpet));
    const cause = causeHere(here, 'brass/water-key');
    if (!cause) throw new Error('a trumpet has a water key');
    const fault: BenchFault = { cause, word: 'likely', since: on(-3) };
    expect(work([], nothingRead, [fault])?.jobs).toMatchObject([{ work: 'water-key-cork', due: today }]);
  });

  test('whatever the book sends to the bench is a piece of work there, and so is every cause it puts right', () => {
    const wrong: string[] = [];
    for (const kind of KIND_IDS) {
      const build = usualBuild(BOOK.kinds[kind]);
      for (const care of usualPractice(BOOK, kind, build).items)
        if (care.place === 'bench' && BOOK.benchWorks.ofCare[care.id] === undefined) wrong.push(`${kind} ${care.id}`);
      for (const cause of faultsFor(BOOK, kind, build).causes)
        if (cause.remedy.hand !== 'bench' && BOOK.benchWorks.ofCause[cause.id])
          wrong.push(`${cause.id} is no work of a bench`);
    }
    expect(wrong).toEqual([]);
    expect(workOfCare(BOOK, { id: 'keyed/key-oil' })).toBe('service');
    for (const { workingDays, boxes, settlingDays } of Object.values(BOOK.benchWorks.works)) {
      expect(workingDays.least.value).toBeLessThanOrEqual(workingDays.most.value);
      expect(boxes.least.value).toBeLessThanOrEqual(boxes.most.value);
      expect(settlingDays.value).toBeGreaterThanOrEqual(0);
    }
  });
});
