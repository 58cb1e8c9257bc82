import { expect, test } from '@jest/globals';
import { PLAIN_FORMAT } from '#core/explain/format.ts';
import { nextConcertWords, secondReedWords } from '#core/reeds/next-concert-words.ts';
import { readinessFor } from '#core/reeds/readiness.ts';
import { livesOf } from '#core/reeds/reed-life.ts';
import type { ReedState } from '#core/reeds/reed-state.ts';
import type { ReedFeel, ReedFor } from '#core/reeds/reed.ts';
import { REED_TODAY, reedsOf, said, used } from '#core/testing/reeds.ts';
import { addDays } from '#core/time/local-date.ts';

const graded = (number: number, goodFor: ReedFor, feel: ReedFeel = 'right') =>
  said(number, addDays(REED_TODAY, -2), { what: 'graded', feel, goodFor, signs: [] });
const wordsIn = (days: number, reeds: readonly ReedState[], minutesUntil = 0): string => {
  const asked = { on: addDays(REED_TODAY, days), wanted: 2, today: REED_TODAY, reeds, lives: livesOf(reeds) };
  const ready = readinessFor({ ...asked, minutesUntil, breakIn: 'week' });
  return nextConcertWords(ready, reeds, REED_TODAY, PLAIN_FORMAT);
};
const broken = { before: [null, null, null, null] };

test('from when it is known until it is over it says what is ready, what to open, and what still helps', () => {
  const fresh = reedsOf([], { box: { before: Array<number>(10).fill(0) } });
  expect(wordsIn(30, fresh)).toMatch(
    /no reed is ready for it\. Open 7 more reeds by \S+: the chance of 2 concert reeds/,
  );
  // Fourteen new ones in the drawer and a show in three days is no silence.
  expect(wordsIn(3, fresh)).toMatch(/no reed is ready for it\. Open 4 reeds today all the same/);
  expect(wordsIn(3, reedsOf([]).slice(0, 0))).toMatch(/Buy or borrow a reed that has been played in\.$/);
  const breaking = reedsOf([used(1, 1, 5), used(2, 1, 5)]);
  expect(wordsIn(3, breaking)).toMatch(/Bring Fennel 2½, reed 1 and reed 2 on every day until then/);
  const untried = reedsOf([used(1, 3, 60), used(2, 4, 60)], { box: broken });
  expect(wordsIn(3, untried)).toMatch(/Play Fennel 2½, reed 1, reed 2, .* before then and grade them/);
  const rehearsal = reedsOf([used(1, 3, 60)], { box: { before: [null] }, sayings: [graded(1, 'rehearsal')] });
  expect(wordsIn(3, rehearsal)).toMatch(/Of those you have, Fennel 2½, reed 1 is the best for it\.$/);
  const two = reedsOf([used(1, 3, 60), used(2, 3, 60)], {
    box: { before: [null, null] },
    sayings: [graded(1, 'concert'), graded(2, 'concert')],
  });
  expect(wordsIn(3, two)).toMatch(/: Fennel 2½, reed 1 and reed 2 are ready for it\.$/);
  expect(wordsIn(0, two)).toBe('The concert is today: Fennel 2½, reed 1 and reed 2 are ready for it.');
});

test('a concert reed is kept by degrees, not to a cliff at half of its life', () => {
  const one = (before: number) =>
    reedsOf([used(1, 3, 60)], { box: { before: [before], breakIn: 'none' }, sayings: [graded(1, 'concert')] });
  const chances = [60, 300, 500, 700, 1300].map((before) => {
    const reeds = one(before);
    const asked = { on: addDays(REED_TODAY, 3), wanted: 1, today: REED_TODAY, reeds, lives: livesOf(reeds) };
    return readinessFor({ ...asked, minutesUntil: 0, breakIn: 'none' }).existing[0]?.chance ?? NaN;
  });
  expect(chances[0]).toBeGreaterThan(0.95);
  for (const [at, chance] of chances.entries()) if (at > 0) expect(chance).toBeLessThan(chances[at - 1] ?? 0);
  expect((chances[1] ?? 0) - (chances[2] ?? 0)).toBeLessThan(0.3);
  expect(wordsIn(3, one(1400))).toMatch(/no reed is ready for it, and Fennel 2½, reed 1 is probably too worn for it/);
});

test('of double reeds a second one is asked for until two can be played on the day', () => {
  const box = { kind: 'oboe', breakIn: 'none', before: [300, 0, 0] } as const;
  const of = (...uses: Parameters<typeof reedsOf>[0]) => reedsOf(uses, { box, setting: { family: 'double' } });
  expect(secondReedWords(of(), 10)).toMatch(/a second reed played in by then. Open one now/);
  // One opened yesterday has two of its first days before it.
  expect(secondReedWords(of(used(2, 1, 10)), 10)).toBeNull();
  expect(secondReedWords(of(used(2, 1, 10)), 1)).toMatch(/a second reed/);
  const bought = reedsOf([], { box: { ...box, before: [300] }, setting: { family: 'double' } });
  expect(secondReedWords(bought, 10)).toMatch(/Order today/);
  expect(secondReedWords([], 10)).toMatch(/two reeds/);
});
