import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { CareItemId } from '#core/book/care-ids.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import type { DueThing } from '#core/sittings/due-things.ts';
import {
  carriedOn,
  freshSittings,
  shownAgain,
  withShownDays,
  type FreshSitting,
  type ShownSitting,
} from '#core/sittings/shown-plan.ts';
import { aThing } from '#core/testing/sittings.ts';
import { addDays, localDate, type LocalDate } from '#core/time/local-date.ts';

const today = localDate('2026-11-27');
const on = (days: number): LocalDate => addDays(today, days);
const thing = (itemId: string, over: Partial<ShownSitting['things'][number]> = {}) => ({
  instrumentId: 'clarinet' as InstrumentId,
  itemId: itemId as CareItemId,
  dueOn: today,
  lastDone: null,
  ...over,
});
const fresh = (days: number, ...things: string[]): FreshSitting => ({
  on: on(days),
  minutes: 10,
  things: things.map((one) => thing(one)),
});
const names = () => {
  let next = 0;
  return () => `u${next++}`;
};
const nothingDone = () => null;
const first = (...sittings: FreshSitting[]): ShownSitting[] =>
  carriedOn([], sittings, { today, mint: names(), lastDoneOn: nothingDone });
const later = (shown: readonly ShownSitting[], next: readonly FreshSitting[], over: object = {}) =>
  carriedOn(shown, next, { today, mint: () => 'new', lastDoneOn: nothingDone, ...over });

describe('sittings that have been shown', () => {
  test('keep their name while they change', () => {
    const shown = first(fresh(1, 'oil', 'wash'), fresh(8, 'wash'));
    expect(later(shown, [fresh(1, 'oil', 'wash'), fresh(8, 'wash')])).toEqual(shown);
    expect(later(shown, [fresh(2, 'oil', 'wash'), fresh(8, 'wash', 'grease')])).toMatchObject([
      { uid: 'u0', on: on(2) },
      { uid: 'u1', on: on(8) },
    ]);
  });

  test('what is dropped is gone, and what is new has a new name', () => {
    const shown = first(fresh(1, 'oil'));
    expect(later(shown, [fresh(3, 'grease')])).toMatchObject([{ uid: 'new', state: 'planned' }]);
  });

  test('what was done is told as done on its day, and what comes weekly is not done for all its weeks', () => {
    const shown = first(fresh(1, 'wash', 'oil'), fresh(8, 'wash'), fresh(15, 'wash'));
    const lastDoneOn = ({ itemId }: { itemId: string }) => (itemId === 'wash' || itemId === 'oil' ? today : null);
    const after = later(shown, [fresh(7, 'wash'), fresh(14, 'wash')], { lastDoneOn });
    expect(after.map(({ uid, state, on: day }) => [uid, state, day])).toEqual([
      ['u0', 'done', today],
      ['u1', 'planned', on(7)],
      ['u2', 'planned', on(14)],
    ]);
  });

  test('what was done counts for the first of them by its day, in whatever order they were kept', () => {
    const [early, late] = first(fresh(1, 'wash'), fresh(8, 'wash'));
    const lastDoneOn = () => today;
    for (const shown of [
      [early, late],
      [late, early],
    ] as ShownSitting[][])
      expect(later(shown, [fresh(8, 'wash')], { lastDoneOn }).map(({ uid, state }) => [uid, state])).toEqual([
        ['u0', 'done'],
        ['u1', 'planned'],
      ]);
  });

  test('was done on the day most of it was done, on the later of two that come as often', () => {
    const shown = first(fresh(1, 'wash', 'oil', 'grease'));
    const doneOn = (days: Readonly<Record<string, number>>) =>
      later(shown, [], { lastDoneOn: ({ itemId }: { itemId: string }) => on(days[itemId] ?? 0) })[0];
    expect(doneOn({ wash: 0, oil: -1, grease: -1 })).toMatchObject({ state: 'done', on: on(-1) });
    expect(doneOn({ wash: -1, oil: 0, grease: 0 })).toMatchObject({ state: 'done', on: today });
    const two = first(fresh(1, 'wash', 'oil'));
    for (const days of [
      { wash: 0, oil: -1 },
      { wash: -1, oil: 0 },
    ] as Record<string, number>[])
      expect(
        later(two, [], { lastDoneOn: ({ itemId }: { itemId: string }) => on(days[itemId] ?? 0) })[0],
      ).toMatchObject({ state: 'done', on: today });
  });

  test('one that was missed goes on under its name on its new day', () => {
    const shown = first(fresh(0, 'oil', 'grease'));
    const [missed] = later(shown, [{ ...fresh(3, 'oil', 'grease') }], { today: on(2) });
    expect(missed).toMatchObject({ uid: 'u0', state: 'planned', on: on(3) });
  });

  test('names are never given twice, whatever the next plans are', () => {
    const plan = fc.uniqueArray(
      fc.record({ day: fc.integer({ min: 0, max: 12 }), mask: fc.integer({ min: 1, max: 15 }) }),
      { selector: ({ day }) => day, maxLength: 5 },
    );
    fc.assert(
      fc.property(fc.array(plan, { maxLength: 5 }), (plans) => {
        const mint = names();
        let shown: ShownSitting[] = [];
        for (const [at, one] of plans.entries()) {
          const next = one.map(({ day, mask }) =>
            fresh(at + day, ...['a', 'b', 'c', 'd'].filter((_, bit) => mask & (1 << bit))),
          );
          shown = carriedOn(shown, next, { today: on(at), mint, lastDoneOn: nothingDone });
          const uids = shown.map(({ uid }) => uid);
          expect(new Set(uids).size).toBe(uids.length);
          expect(shown.map(({ on: day }) => day)).toEqual(next.map(({ on: day }) => day));
        }
      }),
      { seed: 5, numRuns: 200 },
    );
  });

  test('what was taken back is planned again under its name, and never stands twice', () => {
    const shown = first(fresh(1, 'wash', 'oil'), fresh(8, 'wash'));
    const done = later(shown, [fresh(7, 'wash')], { lastDoneOn: () => today });
    expect(done.map(({ uid, state }) => [uid, state])).toEqual([
      ['u0', 'done'],
      ['u1', 'planned'],
    ]);
    // Planned anew.
    expect(later(done, [fresh(1, 'wash', 'oil'), fresh(8, 'wash')]).map(({ uid, state }) => [uid, state])).toEqual([
      ['u0', 'planned'],
      ['u1', 'planned'],
    ]);
    // The plan of before once more.
    expect(shownAgain(done, shown, () => null)).toEqual(shown);
    // Done and taken back in part: most of it is still done.
    const mostly = ({ itemId }: { itemId: string }) => (itemId === 'wash' ? today : null);
    expect(shownAgain(done, shown, mostly).map(({ uid, state }) => [uid, state])).toEqual([
      ['u0', 'done'],
      ['u1', 'planned'],
    ]);
  });

  test('each thing remembers the days it was shown on, where it may still be on them', () => {
    const shown = first(fresh(1, 'wash'), fresh(9, 'wash'), fresh(3, 'oil'));
    const time = Array.from({ length: 42 }, () => 20);
    const days = (over: Parameters<typeof aThing>[0]) => {
      const due: DueThing = {
        instrumentId: 'clarinet' as InstrumentId,
        clock: { item: { id: 'wash' } } as unknown as DueThing['clock'],
        away: new Set(),
        settling: new Set(),
        thing: aThing({ due: 0, minutes: 5, every: 7, ...over }),
      };
      return withShownDays([due], shown, { today, time })[0]?.thing.shown;
    };
    expect(days({})).toEqual([1, 9]);
    expect(days({ barred: new Set([9]) })).toEqual([1]);
    expect(days({ from: 2 })).toEqual([9]);
  });

  test('a plan makes sittings of its days, each thing due where it is counted from', () => {
    const clock = (due: number | null) =>
      ({
        item: { id: 'wash' },
        lastDone: null,
        due: due === null ? null : { on: on(due) },
      }) as unknown as DueThing['clock'];
    const of = (due: number) => ({
      instrumentId: 'clarinet' as InstrumentId,
      clock: clock(due),
      away: new Set<number>(),
      settling: new Set<number>(),
      thing: aThing({ due: Math.max(0, due), minutes: 5, every: 7 }),
    });
    const dues = (due: number, ...days: number[]) =>
      freshSittings([of(due)], [days], { today }).map((one) => [one.on, one.things[0]?.dueOn, one.minutes]);
    expect(dues(2, 3, 9)).toEqual([
      [on(3), on(2), 5],
      [on(9), on(10), 5],
    ]);
    expect(dues(-4, 0, 8)).toEqual([
      [on(0), on(-4), 5],
      [on(8), on(7), 5],
    ]);
  });
});
