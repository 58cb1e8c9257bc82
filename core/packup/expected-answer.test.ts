import { describe, expect, test } from '@jest/globals';
import type { StepId } from '#core/book/care-ids.ts';
import type { LookAnswer } from '#core/book/step.ts';
import { answerExpected, answersExpected } from '#core/packup/expected-answer.ts';

const SEAT = 'highland-pipes/chanter-out' as StepId;
const answers: readonly LookAnswer[] = [
  { id: 'dry', words: 'Dry' },
  { id: 'mist', words: 'Mist' },
  { id: 'drops', words: 'Drops' },
  { id: 'split', words: 'Split', notice: 'pipes/wobbles', calls: 'highland-pipes/hemp' },
];
const expected = (...given: string[]) =>
  answersExpected([{ id: SEAT, look: { answers } }], new Map([[SEAT, given]])).get(SEAT)?.answer;
const times = (answer: string, count: number) => Array.from({ length: count }, () => answer);

describe('what a player usually finds', () => {
  test('is expected after six wet evenings, and one dry one is no end of it', () => {
    expect(expected(...times('drops', 6))).toBe('drops');
    expect(expected(...times('drops', 6), 'dry')).toBe('drops');
    expect(expected('dry', ...times('drops', 6), 'dry')).toBe('drops');
  });

  test('is the book’s until then, and where it is the book’s own nothing is said', () => {
    expect(expected(...times('drops', 3))).toBeUndefined();
    expect(expected(...times('drops', 4))).toBe('drops');
    expect(expected(...times('dry', 9))).toBeUndefined();
    expect(expected()).toBeUndefined();
  });

  test('is never an answer that stops something or asks for care', () => {
    expect(expected(...times('split', 12))).toBeUndefined();
    expect(expected(...times('split', 12), ...times('mist', 4))).toBe('mist');
  });

  test('is told with how often it was found', () => {
    const found = answersExpected([{ id: SEAT, look: { answers } }], new Map([[SEAT, [...times('mist', 5), 'dry']]]));
    expect(found.get(SEAT)).toEqual({ answer: 'mist', times: 5, looks: 6 });
  });

  test('stands in for the first answer', () => {
    expect(answerExpected({ answers }, null)).toBe('dry');
    expect(answerExpected({ answers }, 'mist')).toBe('mist');
    expect(answerExpected({ answers: [] }, null)).toBeUndefined();
  });
});
