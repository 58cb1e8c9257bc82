import { wallMinute } from '#core/plays/play.ts';
import { describe, expect, test } from '@jest/globals';
import { BOOK } from '#core/tables/book.ts';
import type { WorkDone } from '#core/calendar/event.ts';
import { PLAIN_FORMAT } from '#core/explain/format.ts';
import type { MishapNoted } from '#core/faults/fault-record.ts';
import { againWords, looksDueWords } from '#core/inspections/inspection-words.ts';
import type { InspectionNoted } from '#core/inspections/inspection.ts';
import { inspectionsStanding, looksDue, nextLook } from '#core/inspections/inspections-standing.ts';
import { KIND_IDS, type KindId } from '#core/instruments/kind.ts';
import { MISHAPS } from '#core/book/fault.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';
import { addDays, localDate } from '#core/time/local-date.ts';

const buildOf = (kind: KindId) => usualBuild(BOOK.kinds[kind]);
const today = localDate('2026-03-20');
const daysAgo = (days: number) => addDays(today, -days);
const knocked = (days: number, more: Partial<MishapNoted> = {}): MishapNoted => ({
  ...{ key: `k${days}`, mishap: 'knocked', part: null, on: daysAgo(days), end: null },
  ...more,
});
const read = (days: number, measure = 'brass/shank' as const): InspectionNoted => ({
  ...{ key: `r${days}`, on: daysAgo(days), by: 'player' },
  readings: [{ measure, place: null, way: 'by-hand', value: 0 }],
});
const standing = (
  kind: KindId,
  mishaps: readonly MishapNoted[],
  { inspections = [], done = [] }: { inspections?: readonly InspectionNoted[]; done?: readonly WorkDone[] } = {},
) => inspectionsStanding(BOOK, { kind, build: buildOf(kind) }, inspections, { today, done, mishaps });
const asked = (...given: Parameters<typeof standing>): string[] => [
  ...new Set(looksDue(standing(...given), today, 'grown-up').map(({ measure }) => measure.id)),
];

describe('what is looked at again after something happened', () => {
  test('a horn that was dropped is looked over, though nothing of it was ever read', () => {
    expect(asked('horn', [])).toEqual([]);
    expect(asked('horn', [knocked(1)])).toEqual(
      expect.arrayContaining(['brass/slide-pull', 'rotary/play', 'brass/dent-depth', 'brass/shank']),
    );
    expect(nextLook(standing('horn', [knocked(1)]))).toBe(daysAgo(1));
  });

  test('a knock on the mouthpiece asks for its shank alone, one on the body for everything but that', () => {
    expect(asked('trumpet', [knocked(1, { part: 'mouthpiece' })])).toEqual(['brass/shank']);
    const body = asked('trumpet', [knocked(1, { part: 'bell' })]);
    expect(body).toContain('piston/return');
    expect(body).not.toContain('brass/shank');
  });

  test('what was read since is not asked again, on the day itself neither', () => {
    for (const [days, isAsked] of [
      [3, true],
      [2, false],
      [1, false],
    ] as const)
      expect(asked('trumpet', [knocked(2)], { inspections: [read(days)] }).includes('brass/shank')).toBe(isAsked);
  });

  test('what the bench had since, what was looked at, what is long ago or still to come asks for nothing', () => {
    const done = [{ on: daysAgo(0), itemIds: ['wind/bench-service' as const], works: [] }];
    expect(asked('trumpet', [knocked(2)], { done })).not.toContain('brass/shank');
    expect(
      asked('trumpet', [
        knocked(2, { end: { key: 'e', by: 'teacher', on: daysAgo(1), atWallMinute: wallMinute(daysAgo(1), 600) } }),
      ]),
    ).toEqual([]);
    expect(asked('trumpet', [knocked(15)])).toEqual([]);
    expect(asked('trumpet', [knocked(14)])).not.toEqual([]);
    expect(asked('trumpet', [knocked(-1)])).toEqual([]);
  });

  test('a sweet drink moves nothing, heat asks for the pads of what has pads, and a child takes no tool', () => {
    expect(asked('clarinet', [knocked(1, { mishap: 'sweet-drink' })])).toEqual([]);
    const heat = standing('clarinet', [knocked(1, { mishap: 'hot-car' })]);
    expect(looksDue(heat, today, 'grown-up').map(({ measure }) => measure.id)).toContain('keyed/pads-leaking');
    const child = looksDue(heat, today, 'child').map(({ measure }) => measure.id);
    expect(child).not.toContain('keyed/pads-leaking');
  });

  test('after a knock there is something to look at on every kind', () => {
    for (const kind of KIND_IDS) expect([kind, asked(kind, [knocked(0)]).length > 0]).toEqual([kind, true]);
    const known = new Set(KIND_IDS.flatMap((kind) => standing(kind, []).measures.map(({ id }) => id)));
    for (const mishap of MISHAPS)
      for (const id of BOOK.measures.after[mishap]) expect([id, known.has(id)]).toEqual([id, true]);
  });

  test('it says what happened, and when', () => {
    const due = looksDue(standing('trumpet', [knocked(1, { part: 'mouthpiece' })]), today, 'grown-up');
    expect(looksDueWords(due, PLAIN_FORMAT)).toBe(
      'It was dropped or knocked on 2026-03-19. Look it over: rocking of the mouthpiece’s shank',
    );
    expect(due[0] && againWords(due[0], PLAIN_FORMAT)).toBe('It was dropped or knocked on 2026-03-19. Look at it now.');
  });
});
