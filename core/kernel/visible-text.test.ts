import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { hasHidden, hasVisibleText, plainName } from '#core/kernel/visible-text.ts';

describe('a name', () => {
  test.each([
    ['a NUL', 'A\u0000da'],
    ['a bell', 'Ada\u0007'],
    ['an end of line', 'Ada\nX'],
    ['an end of paragraph', 'Ada\u2029X'],
    ['writing turned round', 'A\u202Eda'],
    ['a mark of direction', '\u200EAda'],
    ['an isolate', '\u2067Ada\u2069'],
    ['half a character', 'Ada\uD83C'],
  ])('with %s in it has something hidden, and is read without it', (_, text) => {
    expect(hasHidden(text)).toBe(true);
    expect(hasHidden(plainName(text))).toBe(false);
    expect(plainName(text).replace(' ', '')).toMatch(/^AdaX?$/);
  });

  test.each([['Ada'], ['Zoë Ø. Ångström'], ['नमस्ते'], ['می‌خواهم'], ['👩‍🎤'], ['Ada 🎷'], ['a\u0301da']])(
    '“%s” has nothing hidden in it and stays as it is',
    (text) => {
      expect([hasHidden(text), plainName(text)]).toEqual([false, text]);
    },
  );

  test('a blank is a blank, however it was typed', () => {
    expect(plainName('  Ada \t of\u00A0 the  Quay \n')).toBe('Ada of the Quay');
    expect(plainName(' \u200E\n')).toBe('');
  });

  test('can be seen or cannot', () => {
    for (const text of ['a', '1', '?', '𝄞', '🎷']) expect([text, hasVisibleText(text)]).toEqual([text, true]);
    for (const text of ['', ' ', '\u200D', '\u3164', '\u2800', '\u115F\u1160 \uFFA0'])
      expect([text, hasVisibleText(text)]).toEqual([text, false]);
  });

  test('read once is read for good, whatever it was', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary' }), (text) => {
        const name = plainName(text);
        expect(plainName(name)).toBe(name);
        expect(hasHidden(name)).toBe(false);
      }),
      { seed: 4 },
    );
  });
});
