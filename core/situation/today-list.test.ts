import { describe, expect, test } from '@jest/globals';
import type { CareItemId } from '#core/book/care-ids.ts';
import type { SignId } from '#core/book/fault.ts';
import type { ItemClock } from '#core/care/care-clock.ts';
import { PLAIN_FORMAT } from '#core/explain/format.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { todayList, type StandsToday } from '#core/situation/today-list.ts';
import { wetWords } from '#core/situation/today-words.ts';
import { BOOK } from '#core/tables/book.ts';
import { practiceOf } from '#core/testing/any-run.ts';

const clock = (state: ItemClock['state'], load: number, rule = 'limb') =>
  ({ state, load, because: [{ rule }] }) as unknown as ItemClock;
const stands = (id: string, over: Partial<StandsToday> = {}): StandsToday => ({
  id: id as InstrumentId,
  openRunKey: null,
  awaitsPackUp: false,
  playedAt: null,
  grams: 0,
  dampSince: null,
  isToBeLookedOver: false,
  looksDue: 0,
  isKnocked: false,
  handover: null,
  leftForLater: [],
  isAway: false,
  goesToday: false,
  stopped: null,
  asked: null,
  calling: [],
  ...over,
});
const NOW = 10_000;
const told = (...all: StandsToday[]) => todayList(all, NOW).lines.map(({ what, id }) => `${what} ${id}`);

describe('today', () => {
  test('is one list: a run, what stands wet longest, what comes first, what is furthest over', () => {
    const wet = { awaitsPackUp: true };
    expect(
      told(
        stands('due', { calling: [clock('overdue', 1.5), clock('soon', 0.9)] }),
        stands('later', { calling: [clock('overdue', 4)] }),
        stands('noticed', { calling: [clock('due', 1, 'noticed')], leftForLater: [clock('due', 1)] }),
        stands('short', { ...wet, playedAt: NOW - 10 }),
        stands('long', { ...wet, playedAt: NOW - 600 }),
        stands('unknown', wet),
        stands('running', { ...wet, openRunKey: 'r' }),
      ),
    ).toEqual([
      'run running',
      'wet unknown',
      'wet long',
      'wet short',
      'first noticed',
      'first noticed',
      'due later',
      'due due',
    ]);
  });

  test('of what stands wet equally long the wettest comes first; what ended just now, or by a fast clock later, is new', () => {
    const wet = (id: string, grams: number, playedAt = NOW - 30) => stands(id, { awaitsPackUp: true, grams, playedAt });
    expect(told(wet('a', 1), wet('b', 3), wet('c', 2))).toEqual(['wet b', 'wet c', 'wet a']);
    expect(told(wet('c', 3), wet('b', 1), wet('a', 2))).toEqual(['wet c', 'wet a', 'wet b']);
    const since = (playedAt: number) => todayList([wet('one', 1, playedAt)], NOW).lines[0];
    expect([since(NOW - 1), since(NOW), since(NOW + 5)]).toMatchObject(
      [1, 0, 0].map((wetMinutes) => ({ what: 'wet', wetMinutes })),
    );
  });

  test('what was noticed and is being asked about is one line', () => {
    const items = practiceOf(BOOK, { kind: 'clarinet' }).items;
    const noticed = (id: CareItemId, which: SignId | null) => {
      const item = items.find((one) => one.id === id);
      return { item, state: 'due', load: 1, because: [{ rule: 'noticed', which, item }] } as unknown as ItemClock;
    };
    const gurgle = noticed('keyed/water-in-hole', null);
    const screw = noticed('keyed/bench-work', 'keyed/screw-proud');
    const lines = (asked: readonly SignId[] | null) => told(stands('one', { asked, calling: [gurgle, screw] }));
    expect(lines(null)).toEqual(['first one', 'first one']);
    expect(lines(['keyed/gurgle'])).toEqual(['wrong one', 'first one']);
    expect(lines(['keyed/gurgle', 'keyed/screw-proud'])).toEqual(['wrong one']);
    // Which of several signs it was nobody said: it may be another.
    const unsaid = stands('one', { asked: ['keyed/rattle'], calling: [noticed('keyed/bench-work', null)] });
    expect(told(unsaid)).toEqual(['wrong one', 'first one']);
  });

  test('what has no line is fine, and nothing else is', () => {
    const all = [stands('a', { calling: [clock('soon', 0.8)] }), stands('b', { awaitsPackUp: true })];
    expect(todayList(all, NOW).fine).toEqual(['a']);
    expect(todayList([], NOW)).toEqual({ lines: [], fine: [], unknown: [], away: [] });
  });

  test('that of which some care is unknown is neither fine nor due, whatever else is known', () => {
    const known = stands('known', { calling: [clock('soon', 0.8)] });
    const partly = stands('partly', { calling: [clock('soon', 0.8), clock('unknown', 1)] });
    const { fine, unknown } = todayList([known, partly, stands('nothing')], NOW);
    expect([fine, unknown]).toEqual([['known', 'nothing'], ['partly']]);
  });

  test('what is at the bench is only named, whatever is due on it', () => {
    const away = stands('away', { isAway: true, calling: [clock('overdue', 2)], awaitsPackUp: true });
    const { lines, away: named } = todayList([away, stands('here', { calling: [clock('due', 1)] })], NOW);
    expect([lines.map(({ id }) => id), named]).toEqual([['here'], ['away']]);
  });

  test('what nothing is known of is neither fine nor due, and is said apart', () => {
    const all = [
      stands('new', { calling: [clock('unknown', 0)] }),
      stands('due', { calling: [clock('unknown', 0), clock('due', 1.1)] }),
      stands('a', { calling: [clock('soon', 0.8)] }),
    ];
    expect(todayList(all, NOW)).toMatchObject({ lines: [{ id: 'due' }], fine: ['a'], unknown: ['new'] });
  });

  test('what was knocked is looked over before what is due', () => {
    const due = stands('due', { calling: [clock('due', 1.1)] });
    const calm = stands('calm', { looksDue: 1 });
    const hit = stands('hit', { looksDue: 3, isKnocked: true });
    expect(todayList([due, calm, hit], 0).lines.map(({ id }) => id)).toEqual(['hit', 'due', 'calm']);
  });

  test('what goes to the bench today is packed, though it counts as away, and is named once', () => {
    const goes = stands('goes', { isAway: true, handover: 'pack' });
    const there = stands('there', { isAway: true });
    const back = stands('back', { stopped: 'laid-by', handover: 'fetch' });
    expect(todayList([goes, there, back], 0)).toMatchObject({
      lines: [
        { what: 'stopped', id: 'back' },
        { what: 'pack', id: 'goes' },
        { what: 'fetch', id: 'back' },
      ],
      away: ['there'],
      fine: [],
    });
  });

  test('what goes to the bench today and stands wet is packed up first; of what is packed nothing is asked', () => {
    const wet = { isAway: true, awaitsPackUp: true, calling: [clock('overdue', 2)] };
    const goes = stands('goes', { ...wet, goesToday: true, handover: 'pack' });
    const damp = stands('damp', { isAway: true, goesToday: true, handover: 'pack', dampSince: NOW - 600 });
    expect(told(goes, damp, stands('there', wet))).toEqual(['wet goes', 'damp damp', 'pack goes', 'pack damp']);
    expect(told({ ...goes, openRunKey: 'a-run' })).toEqual(['run goes', 'pack goes']);
    expect(told({ ...goes, stopped: 'laid-by' })).toEqual(['stopped goes', 'pack goes']);
  });

  test('what is to be measured again comes last, and not of what is at the bench or laid by', () => {
    const flute = stands('flute', { looksDue: 2 });
    const list = todayList([flute, { ...flute, id: 'away' as InstrumentId, isAway: true }], 0);
    expect(list.lines).toEqual([{ what: 'measure', id: 'flute' }]);
    expect(list.fine).toEqual([]);
    expect(todayList([{ ...flute, stopped: 'laid-by' }], 0).lines.map(({ what }) => what)).toEqual(['stopped']);
  });
});

test.each([
  [null, 0, 'Not packed up since it was last played'],
  [0, 1.6, 'Just played, about 1.6 g of water in it'],
  [25, 0, 'Wet for 25 min'],
  [130, 0, 'Wet for about 2 h'],
  [1500, 0, 'Wet for a day'],
  [4 * 1440, 0.4, 'Wet for 4 days, about 0.4 g of water in it'],
])('%s minutes and %s g: %s', (minutes, grams, words) => expect(wetWords(minutes, grams, PLAIN_FORMAT)).toBe(words));
