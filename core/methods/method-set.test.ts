import { BOOK } from '#core/tables/book.ts';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { usualBuild } from '#core/instruments/usual-build.ts';
import { plainContext } from '#core/methods/practice-under.ts';
import { methodSetSchema } from '#core/methods/method-set-schema.ts';
import { readSet, methodSetOf } from '#core/methods/method-set.ts';
import type { MethodChoices } from '#core/book/method-setting.ts';
import type { KindId } from '#core/instruments/kind.ts';

const on = (kind: KindId, choices: MethodChoices = {}) => ({
  choices,
  context: plainContext(BOOK, kind, usualBuild(BOOK.kinds[kind])),
});
const fates = (choices: Record<string, string>, setting = on('clarinet')) =>
  Object.fromEntries(readSet({ choices }, setting).map(({ method, verdict }) => [method, verdict]));

describe('a method set', () => {
  test('holds what was chosen, not what follows the defaults', () => {
    const set = methodSetOf('Odile’s way', on('clarinet', { 'swab-wash': 'monthly', 'sax-strap': 'hooked-last' }));
    expect(set).toEqual({
      format: 'ulu-method-set',
      version: 2,
      name: 'Odile’s way',
      kind: 'clarinet',
      choices: { 'swab-wash': 'monthly' },
    });
  });

  test('a choice of a set is new, the same, not asked here, not to be had here, or not known', () => {
    expect(
      fates(
        {
          'swab-wash': 'monthly',
          'key-oil': '6-months',
          'sax-strap': 'hooked-last',
          'paper-use-wet': 'wipe',
          'swab-cloth': 'gossamer',
          'how-to-whistle': 'loudly',
        },
        on('clarinet', { 'key-oil': '6-months' }),
      ),
    ).toEqual({
      'swab-wash': 'new',
      'key-oil': 'same',
      'sax-strap': 'not-asked',
      'paper-use-wet': 'not-asked',
      'swab-cloth': 'unknown',
      'how-to-whistle': 'unknown',
    });
  });

  test('a default written down is new: it then no longer follows the rule', () => {
    expect(fates({ 'swab-wash': 'weekly' })).toEqual({ 'swab-wash': 'new' });
  });

  test('two choices of one set that rule each other out are both left, with the reason', () => {
    const lines = readSet(
      { choices: { 'sax-swab-path': 'neck-left-on', 'swab-cloth': 'cored' } },
      on('alto-saxophone'),
    );
    expect(lines.map(({ verdict }) => verdict)).toEqual(['barred', 'barred']);
    expect(lines[0]?.why).toMatch(/^A cored swab never/);
  });

  test('written and read again it says the same', () => {
    const choices = { 'swab-wash': 'monthly', 'clarinet-swab-path': 'body-only', 'reed-hygiene': 'spray' };
    const set = methodSetOf('x', on('clarinet', choices));
    expect(fates({ ...set.choices })).toEqual({
      'swab-wash': 'new',
      'clarinet-swab-path': 'new',
      'reed-hygiene': 'new',
    });
    expect(fates({ ...set.choices }, on('clarinet', choices))).toEqual({
      'swab-wash': 'same',
      'clarinet-swab-path': 'same',
      'reed-hygiene': 'same',
    });
  });

  test('whatever stands in a file, every line gets a fate and nothing unknown is taken', () => {
    const word = fc.oneof(fc.string(), fc.constantFrom('__proto__', 'constructor', 'swab-wash', 'weekly', 'toString'));
    fc.assert(
      fc.property(fc.dictionary(word, word), (choices) => {
        const lines = readSet({ choices }, on('clarinet'));
        expect(lines).toHaveLength(Object.keys(choices).length);
        for (const { method, choice, verdict } of lines)
          if (verdict === 'new') expect(`${method} ${choice}`).toBe('swab-wash weekly');
      }),
      { seed: 3, numRuns: 300 },
    );
  });

  test('the published schema is the one the program holds to', () => {
    expect(JSON.parse(readFileSync('docs/method-set.schema.json', 'utf8'))).toEqual(
      JSON.parse(JSON.stringify(methodSetSchema(BOOK))),
    );
  });
});
