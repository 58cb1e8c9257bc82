import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { wallMinute } from '#core/plays/play.ts';
import { reedsToday, type ReedsTodayAsked } from '#core/reeds/reeds-today.ts';
import { reedsTodayWords } from '#core/reeds/reeds-today-words.ts';
import { reedStates, type ReedState } from '#core/reeds/reed-state.ts';
import type { ReedUse } from '#core/reeds/reed.ts';
import { whichReed } from '#core/reeds/which-reed.ts';
import { aBox, REED_TODAY, reedsOf, said, used } from '#core/testing/reeds.ts';
import { addDays, localDate } from '#core/time/local-date.ts';

const todayOf = (reeds: readonly ReedState[], over: Partial<ReedsTodayAsked> & { atMinute?: number } = {}) => {
  const { minutes = 45, isConcert = false, atMinute = 1140 } = over;
  const proposal = whichReed(reeds, {
    nowWall: wallMinute(REED_TODAY, atMinute),
    today: REED_TODAY,
    minutes,
    isConcert,
    shareOfLife: ({ playedMinutes }) => Math.min(1, playedMinutes / 1200),
  });
  return reedsToday({
    today: REED_TODAY,
    reeds,
    proposal,
    minutes,
    isConcert,
    family: 'single',
    forConcert: 0,
    ...over,
  });
};
const played = (today: ReturnType<typeof todayOf>) => today.play.map(({ reed, minutes }) => [reed.number, minutes]);

describe('reeds today', () => {
  test('a new box: four are opened, each for its first five minutes, and the rest of the play has its reed named', () => {
    const today = todayOf(reedsOf([], { box: { before: Array<number>(10).fill(0) } }), { minutes: 30 });
    expect(played(today)).toEqual([
      [1, 5],
      [2, 5],
      [3, 5],
      [4, 5],
    ]);
    expect(today.opened.map(({ number }) => number)).toEqual([1, 2, 3, 4]);
    expect(today.beyond).toMatchObject({ reed: { number: 1 }, minutes: 10 });
    expect(reedsTodayWords(today)).toEqual([
      'Open Fennel 2½, reeds 1, 2, 3 and 4 and play each for 5 min.',
      'If you play longer than that, the other 10 min are on Fennel 2½, reed 1. It wears sooner for it.',
    ]);
  });

  test('as many as the minutes bear: beside a reed that is broken in half of the play, however short it is one', () => {
    const mixed = (minutes: number) =>
      played(todayOf(reedsOf([used(4, 3, 60)], { box: { before: [0, 0, 0, null] } }), { minutes }));
    expect(mixed(20)).toEqual([
      [1, 5],
      [2, 5],
      [4, 10],
    ]);
    expect(mixed(8)).toEqual([[4, 8]]);
    expect(played(todayOf(reedsOf([], { box: { before: [0, 0] } }), { minutes: 4 }))).toEqual([[1, 4]]);
  });

  test('one reed in the house: it is played, and it is said on Mondays what to buy', () => {
    const today = todayOf(reedsOf([used(1, 1, 30)], { box: { before: [0] } }), { minutes: 30 });
    expect(played(today)).toEqual([[1, 30]]);
    const onMonday = { minutes: 40, today: localDate('2026-11-23') };
    const tired = todayOf(reedsOf([used(1, 0, 30)], { box: { before: [null] } }), onMonday);
    expect(tired).toMatchObject({ play: [], beyond: { reed: { number: 1 }, minutes: 40 } });
    expect(reedsTodayWords(tired)).toEqual([
      'Every reed has had its play. If you play all the same, play on Fennel 2½, reed 1: it wears sooner for it.',
      'You have 1 reed. With 4 in turn each of them lasts longer, so buy 3 more.',
    ]);
    expect(reedsTodayWords(todayOf([]))).toEqual(['You have no reed. Buy at least 4, or borrow one until they come.']);
  });

  test('what to buy is not said every day, but when a reed has ended, and while there is none', () => {
    const buys = (endedDaysAgo: number | null, on = REED_TODAY) =>
      todayOf(
        reedsOf([used(1, 20, 30)], {
          box: { before: [0, 0, 0] },
          sayings:
            endedDaysAgo === null
              ? []
              : [said(1, addDays(REED_TODAY, -endedDaysAgo), { what: 'ended', cause: 'split' })],
        }),
        { today: on },
      ).buy;
    // A Thursday.
    expect([buys(null), buys(0), buys(3), buys(4)]).toEqual([0, 2, 2, 0]);
    const week = [22, 23, 24, 25, 26, 27, 28].map((day) => buys(null, localDate(`2026-11-${day}`)));
    expect(week).toEqual([0, 1, 0, 0, 0, 0, 0]);
    expect(todayOf([]).buy).toBe(4);
  });

  test('four in turn: nothing is opened, but where a concert needs more and it is time', () => {
    const four = { box: { before: [null, null, null, null, 0, 0] } };
    const uses = [1, 2, 3, 4].map((number) => used(number, 2 + number, 45));
    expect(todayOf(reedsOf(uses, four)).opened).toEqual([]);
    expect(todayOf(reedsOf(uses, four), { forConcert: 2 }).opened.map(({ number }) => number)).toEqual([5, 6]);
  });

  test('at a concert: the concert reed, a second one where it is long, one to practise on before, and one beside it', () => {
    const grade = (number: number, goodFor: 'concert' | 'practice') =>
      said(number, addDays(REED_TODAY, -9), { what: 'graded', feel: 'right', goodFor, signs: [] });
    const reeds = reedsOf(
      [1, 2, 3].map((number) => used(number, 3, 45)),
      {
        box: { before: [null, null, null, 0] },
        sayings: [grade(1, 'practice'), grade(2, 'concert'), grade(3, 'concert')],
      },
    );
    const long = todayOf(reeds, { isConcert: true, minutes: 130 });
    expect(played(long)).toEqual([
      [2, 90],
      [3, 40],
    ]);
    // One reed does not both stand ready beside it and get practised on before it.
    expect(long).toMatchObject({ opened: [], beside: { reed: { number: 1 } }, before: null });
    expect(reedsTodayWords(todayOf(reeds, { isConcert: true, minutes: 80 })).slice(1)).toEqual([
      'Practise before it on Fennel 2½, reed 1.',
      'Have Fennel 2½, reed 3 ready beside it.',
    ]);
  });

  test('whatever the record: something is said, no dead reed is played, no minute twice, and a limit only where it is said', () => {
    const use = fc.record({
      number: fc.integer({ min: 1, max: 4 }),
      daysAgo: fc.integer({ min: 0, max: 12 }),
      minutes: fc.integer({ min: 1, max: 120 }),
    });
    const before = fc.array(fc.constantFrom(0, 0, 60, null), { minLength: 1, maxLength: 4 });
    fc.assert(
      fc.property(
        ...([fc.array(use, { maxLength: 20 }), before, fc.integer({ min: 1, max: 200 })] as const),
        fc.constantFrom('single' as const, 'double' as const),
        fc.subarray([1, 2, 3, 4]),
        fc.boolean(),
        (uses, of, minutes, family, dead, isConcert) => {
          const all: ReedUse[] = uses
            .filter(({ number }) => number <= of.length)
            .toSorted((a, b) => b.daysAgo - a.daysAgo)
            .map(({ number, daysAgo, minutes: one }) => used(number, daysAgo, one));
          const ends = dead.map((number) => said(number, REED_TODAY, { what: 'ended', cause: 'split' }));
          const reeds = reedStates(
            { box: aBox({ before: of }), boxName: 'Fennel 2½', uses: all, said: ends },
            { today: REED_TODAY, family },
          );
          const today = todayOf(reeds, { minutes, family, isConcert });
          expect(reedsTodayWords(today).join(' ').length).toBeGreaterThan(10);
          const living = reeds.filter(({ stage }) => stage !== 'retired');
          for (const { reed, minutes: session } of today.play) {
            expect(reed.stage).not.toBe('retired');
            expect(session).toBeGreaterThan(0);
            if (reed.leftToday !== null) expect(session).toBeLessThanOrEqual(reed.leftToday);
          }
          const told = today.play.reduce((sum, one) => sum + one.minutes, 0) + (today.beyond?.minutes ?? 0);
          expect(told).toBeLessThanOrEqual(minutes);
          // Less than five minutes are nobody's session; all else is covered as long as one reed lives.
          if (living.length > 0) expect(told).toBeGreaterThan(minutes - 5);
          expect(new Set(today.play.map(({ reed }) => reed.id)).size).toBe(today.play.length);
        },
      ),
    );
  });
});
