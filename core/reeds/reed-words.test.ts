import { expect, test } from '@jest/globals';
import { PLAIN_FORMAT } from '#core/explain/format.ts';
import { pinWords, reedsTogether } from '#core/reeds/reed-words.ts';
import { REED_TODAY, said } from '#core/testing/reeds.ts';

test.each([
  [null, 'Reed 3: Thu 26 Nov is left to the plan.'],
  [0, 'Reed 3: not on Thu 26 Nov.'],
  [20, 'Reed 3: 20 min on Thu 26 Nov.'],
])('a session set by hand to %s reads as what was asked for', (minutes, words) => {
  const { reedId } = said(3, REED_TODAY, { what: 'flattened' });
  expect(pinWords('Reed 3', { reedId, on: REED_TODAY, minutes }, PLAIN_FORMAT)).toBe(words);
});

test.each([
  [['Fennel 2½, box 4, reed 4', 'Fennel 2½, box 4, reed 1'], 'Fennel 2½, box 4, reed 4 and reed 1'],
  [['Fennel 2½, box 4, reed 4', 'Fennel 2½, box 3, reed 10'], 'Fennel 2½, box 4, reed 4 and box 3, reed 10'],
  [
    ['Fennel 2½, box 4, reed 4', 'Gull Lane No. 3, box 4, reed 4'],
    'Fennel 2½, box 4, reed 4 and Gull Lane No. 3, box 4, reed 4',
  ],
  [['Sorrel, reed 7', 'Sorrel, reed 8', 'Sorrel, reed 9'], 'Sorrel, reed 7, reed 8 and reed 9'],
  [['Fennel 2½, box 4, reed 4'], 'Fennel 2½, box 4, reed 4'],
  [[], ''],
] as const)('%j together are “%s”', (names, words) => {
  expect(reedsTogether(names)).toBe(words);
});
