import { describe, expect, test } from '@jest/globals';
import { PLAIN_FORMAT } from '#core/explain/format.ts';
import { REFUSAL_TABLES, refusalWords } from '#core/failure/refusal.ts';
import { localDate } from '#core/time/local-date.ts';

const format = { ...PLAIN_FORMAT, date: (date: string) => `<${date}>` };

describe('what can be wrong', () => {
  test('has one code each, whatever the room', () => {
    const codes = REFUSAL_TABLES.flatMap((table) => Object.keys(table));
    expect(codes.filter((code, index) => codes.indexOf(code) !== index)).toEqual([]);
  });

  test('is said in a sentence with its figures and dates', () => {
    expect(refusalWords({ code: 'another-under-this-key', fields: ['minutes'] }, format)).toBe(
      'Another entry has this key: minutes differs.',
    );
    expect(refusalWords({ code: 'played-after-it-left', on: localDate('2026-11-01') }, format)).toBe(
      'It was played after that, last on <2026-11-01>.',
    );
    expect(refusalWords({ code: 'no-room', celsius: 80 }, format)).toContain('80 °F are 27 °C');
  });

  test('ends as a sentence does', () => {
    for (const table of REFUSAL_TABLES)
      for (const words of Object.values(table))
        if (words.length === 0) expect((words as () => string)()).toMatch(/^[A-Z].*[.?]$/);
  });
});
