import { expect, test } from '@jest/globals';
import { conditionSuggested } from '#core/conditions/condition-suggested.ts';
import { localDate } from '#core/time/local-date.ts';

const TODAY = localDate('2026-11-24');
const rain = (...days: number[]) => days.map((day) => localDate(`2026-11-${String(day)}`));

test('rained on on three days of seven, today among them, speaks for a wet tour', () => {
  expect(conditionSuggested(rain(18, 20, 24), [], TODAY)).toEqual({ id: 'wet-tour', times: 3, days: 7 });
  // The eighth day back, the same day twice and a day to come do not count.
  expect(conditionSuggested(rain(17, 20, 24), [], TODAY)).toBeNull();
  expect(conditionSuggested(rain(20, 24, 24), [], TODAY)).toBeNull();
  expect(conditionSuggested(rain(20, 24, 25), [], TODAY)).toBeNull();
});

test('what has been said already is not said again', () => {
  expect(conditionSuggested(rain(18, 20, 24), ['dry-air'], TODAY)).not.toBeNull();
  expect(conditionSuggested(rain(18, 20, 24), ['wet-tour'], TODAY)).toBeNull();
});
