import { describe, expect, test } from '@jest/globals';
import type { CareItemId } from '#core/book/care-ids.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { addDays, localDate } from '#core/time/local-date.ts';
import type { PlacedItemView, SittingsView } from '#contract/sittings.ts';
import { lanesOf, ribbonSittings } from '#web/features/calendar/parts/ribbon-lanes.ts';

const today = localDate('2026-11-27');
const on = (days: number) => addDays(today, days);
const [clarinet, alto] = ['clarinet' as InstrumentId, 'alto' as InstrumentId];
const item = (instrumentId: InstrumentId, name: string, over: Partial<PlacedItemView> = {}): PlacedItemView => ({
  instrumentId,
  instrumentName: instrumentId,
  itemId: `swab/${name}` as CareItemId,
  name,
  words: '',
  dueOn: on(3),
  earliest: on(2),
  latest: on(5),
  hands: '',
  isSet: false,
  ...over,
});
const VIEW = {
  today,
  sittings: [
    {
      uid: 's1',
      on: on(1),
      minutes: 10,
      words: '',
      items: [item(clarinet, 'wash'), item(alto, 'oil', { isSet: true })],
    },
    {
      uid: 's2',
      on: on(9),
      minutes: 5,
      words: '',
      items: [item(clarinet, 'wash', { dueOn: on(10), earliest: null, latest: null })],
    },
  ],
  left: [item(clarinet, 'bath', { dueOn: on(20) })],
  past: [
    { on: on(-6), items: [{ instrumentId: clarinet, instrumentName: 'clarinet', itemId: 'swab/wash', name: 'wash' }] },
  ],
  events: [
    { key: 'a', what: 'concert', on: on(4), until: on(4), words: 'Gala', instrumentIds: [clarinet] },
    { key: 'b', what: 'bench', on: on(-30), until: on(2), words: 'Stay', instrumentIds: [alto] },
    { key: 'c', what: 'holiday', on: on(40), until: on(60), words: 'Break', instrumentIds: [clarinet, alto] },
  ],
  instruments: [
    { instrumentId: clarinet, name: 'Clarinet', onReeds: true },
    { instrumentId: alto, name: 'Alto horn', onReeds: false },
  ],
} as unknown as SittingsView;
const REEDS = {
  breakIn: [{ kind: 'clarinet' as const, instrumentIds: [clarinet], on: on(0), name: 'Clarinet', words: 'Reed 4.' }],
  buy: [],
};
const marks = (of: ReturnType<typeof lanesOf>[number] | undefined) =>
  of?.marks.map(({ kind, from, to }) => [kind, from, to]);

describe('the lanes of the ribbon', () => {
  test('of all: what is on, each instrument with what was done and is planned, the reeds; cut to the days drawn', () => {
    const [on_, first, second, reeds, ...more] = lanesOf(VIEW, REEDS, null);
    expect(marks(on_)).toEqual([
      ['audience', 4, 4],
      ['off', 40, 41],
    ]);
    expect(marks(first)).toEqual([
      ['done', -6, -6],
      ['planned', 1, 1],
      ['planned', 9, 9],
    ]);
    expect(marks(second)).toEqual([
      ['away', -14, 2],
      ['planned', 1, 1],
    ]);
    expect(marks(reeds)).toEqual([['break-in', 0, 0]]);
    expect(more).toEqual([]);
    // The lane is there before its days are: nothing moves when they come.
    expect(lanesOf(VIEW, undefined, null).map(({ key, marks }) => [key, marks.length])).toContainEqual(['reeds', 0]);
  });

  test('of one: a lane for each thing, with when it may fall due, when it probably does, and where it lies', () => {
    const [on_, wash, bath, reeds, ...more] = lanesOf(VIEW, REEDS, clarinet);
    expect(on_?.marks.map(({ words }) => words)).toEqual(['Gala', 'Break']);
    expect(marks(wash)).toEqual([
      ['done', -6, -6],
      ['range', 2, 5],
      ['due', 3, 3],
      ['planned', 1, 1],
      ['due', 10, 10],
      ['planned', 9, 9],
    ]);
    // What finds no day has its date all the same.
    expect(marks(bath)).toEqual([
      ['range', 2, 5],
      ['due', 20, 20],
    ]);
    expect(marks(reeds)).toEqual([['break-in', 0, 0]]);
    expect(more).toEqual([]);
    // The reeds are the clarinet's.
    expect(lanesOf(VIEW, REEDS, alto).map(({ key }) => key)).not.toContain('reeds');
  });

  test('the sittings are those it is in, and one is set where a thing of it is', () => {
    const told = (only: InstrumentId | null) =>
      ribbonSittings(VIEW, only).map(({ uid, day, isSet }) => [uid, day, isSet]);
    expect(told(null)).toEqual([
      ['s1', 1, true],
      ['s2', 9, false],
    ]);
    expect(told(alto)).toEqual([['s1', 1, true]]);
  });
});
