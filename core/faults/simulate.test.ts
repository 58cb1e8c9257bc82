import { describe, expect, test } from '@jest/globals';
import prand from 'pure-rand';
import type { CauseId } from '#core/book/fault.ts';
import { faultsFor } from '#core/faults/faults-for.ts';
import { faultNet, NO_OUTCOMES } from '#core/faults/fault-net.ts';
import { QUICK_QUESTIONS, type Interview } from '#core/faults/interview.ts';
import { allAnswered, caseOf, fitOf, interviewed, worldOf, type Dice } from '#core/faults/simulate.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';
import { BOOK } from '#core/tables/book.ts';

const CASES = 150;
/** Of so many cases a share of one half is known to about eight points: what is within is no difference. */
const NOISE = 8;

/** A share of `npm run cases`: invented cases of one kind, one answer in twenty wrong. */
test('few questions find what all questions would have found; the quick way asks five', () => {
  const here = faultsFor(BOOK, 'highland-pipes', usualBuild(BOOK.kinds['highland-pipes']));
  const generator = prand.xoroshiro128plus(27);
  const dice: Dice = () => prand.unsafeUniformIntDistribution(0, 2 ** 30 - 1, generator) / 2 ** 30;
  const world = worldOf(here, 1, dice);
  const right = { sure: 0, all: 0, hands: 0, allHands: 0 };
  let longest = 0;
  const asked: number[] = [];
  for (let n = 0; n < CASES; n++) {
    const one = caseOf(here, world, dice);
    const sure = interviewed(here, one, 'sure').stands;
    const quick = interviewed(here, one, 'quick');
    const all = fitOf(here, one, allAnswered(here, one).stands);
    const fit = fitOf(here, one, sure);
    right.sure += Number(fit.cause);
    right.all += Number(all.cause);
    right.hands += Number(fit.hand);
    right.allHands += Number(all.hand);
    asked.push(sure.asked);
    const byRule = new Set<string>(here.stops.map(({ sign }) => sign));
    longest = Math.max(longest, quick.said.filter(({ noticed, sign }) => !noticed && !byRule.has(sign)).length);
  }
  const percent = (count: number) => (100 * count) / CASES;
  expect(percent(right.sure)).toBeGreaterThan(percent(right.all) - NOISE);
  expect(percent(right.hands)).toBeGreaterThan(percent(right.allHands) - NOISE);
  expect(longest).toBeLessThanOrEqual(QUICK_QUESTIONS);
  expect(asked.toSorted((a, b) => a - b)[CASES >> 1]).toBeLessThanOrEqual(8);
});

describe('a world', () => {
  const here = faultsFor(BOOK, 'flute', usualBuild(BOOK.kinds.flute));
  const plain = worldOf(here, 1, () => 0.5);
  const odds = (chance: number) => chance / (1 - chance);

  test('as the tables have it is the net itself: what shows nothing still shows nothing', () => {
    const net = faultNet(here, { risks: new Set(), outcomes: NO_OUTCOMES, ofPlayer: NO_OUTCOMES }, here.causes);
    plain.priors.forEach((prior, index) => expect(prior).toBeCloseTo(net.priors[index] ?? -1, 12));
    plain.signs.forEach(({ misses }, sign) =>
      misses.forEach((miss, cause) => expect(miss).toBeCloseTo(net.signs[sign]?.misses[cause] ?? -1, 12)),
    );
  });

  test('off by up to three: the least dice third the odds, the most times three, the middle leaves them', () => {
    const [least, middle, most] = [0, 0.5, 1].map((drawn) => worldOf(here, 3, () => drawn));
    plain.priors.forEach((prior, index) => {
      expect(odds(least?.priors[index] ?? 0) * 3).toBeCloseTo(odds(prior), 9);
      expect(middle?.priors[index]).toBeCloseTo(prior, 12);
      expect(odds(most?.priors[index] ?? 0) / 3).toBeCloseTo(odds(prior), 9);
    });
    const links = plain.signs.flatMap(({ misses }) => misses).filter((miss) => miss < 1);
    const moved = most?.signs.flatMap(({ misses }) => misses).filter((miss) => miss < 1) ?? [];
    moved.forEach((miss, index) => expect(odds(miss) / 3).toBeCloseTo(odds(links[index] ?? 0), 9));
  });

  test('a case notices a complaint that is there, and one answer in twenty is wrong', () => {
    const generator = prand.xoroshiro128plus(3);
    const dice: Dice = () => prand.unsafeUniformIntDistribution(0, 2 ** 30 - 1, generator) / 2 ** 30;
    const tally = { noticed: 0, two: 0, denied: 0, loose: 0 };
    for (let n = 0; n < 400; n++) {
      const one = caseOf(here, plain, dice);
      expect(one.answers.size).toBe(here.signs.length);
      for (const sign of one.noticed) {
        expect(here.signs.find(({ id }) => id === sign)?.sort).toBe('complaint');
        tally.noticed++;
        if (one.answers.get(sign) === 'no') tally.denied++;
      }
      if (one.noticed.length === 2) tally.two++;
      if (one.noticed.length > 2) tally.loose++;
    }
    expect(tally.loose).toBe(0);
    expect(tally.two).toBeGreaterThan(20);
    // Of some 500 that are there 25 are answered wrongly; four standard errors are 20.
    expect(Math.abs(tally.denied - 0.05 * tally.noticed)).toBeLessThan(20);
    expect(tally.denied).toBeGreaterThan(0);
  });

  test('a verdict fits by its first, its first three and its hands; what is stopped has the hands of the bench', () => {
    const [a, b, c, d] = here.causes.map(({ id }) => id) as [CauseId, CauseId, CauseId, CauseId];
    const verdict = (over: object) =>
      ({
        chances: new Map([
          [a, 0.4],
          [b, 0.3],
          [c, 0.2],
          [d, 0.1],
        ]),
        notInList: 0.05,
        stopped: null,
        ...over,
      }) as unknown as Interview;
    const fit = (causes: CauseId[], over: object = {}) =>
      fitOf(here, { causes, noticed: [], answers: new Map() }, verdict(over));
    expect(fit([a])).toMatchObject({ cause: true, firstThree: true, hand: true });
    expect(fit([c])).toMatchObject({ cause: false, firstThree: true });
    expect(fit([d])).toMatchObject({ cause: false, firstThree: false });
    expect(fit([])).toMatchObject({ cause: false, firstThree: false });
    expect(fit([], { notInList: 0.25 })).toMatchObject({ cause: false, firstThree: true });
    expect(fit([], { notInList: 0.5 })).toEqual({ cause: true, firstThree: true, hand: true });
    expect(fit([a], { notInList: 0.5 }).cause).toBe(false);
    expect(fit([d], { stopped: {} }).hand).toBe(true);
  });
});
