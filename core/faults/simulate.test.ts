import { expect, test } from '@jest/globals';
import prand from 'pure-rand';
import { faultsFor } from '#core/faults/faults-for.ts';
import { QUICK_QUESTIONS } from '#core/faults/interview.ts';
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
