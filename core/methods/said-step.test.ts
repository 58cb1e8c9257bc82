import { describe, expect, test } from '@jest/globals';
import { join, uncover } from '#core/book/deed.ts';
import type { StepText } from '#core/book/words.ts';
import { inTurn, textSaid } from '#core/methods/said-step.ts';

const saying = {
  build: { mouthpiece: 'glass' },
  chosen: new Map([['sax-strap', 'hooked-first']]),
  conditions: [],
} as const;
const does = [uncover('mouthpiece'), join('mouthpiece', 'neck')];
const said = (text: StepText, deeds = does) => textSaid(text, deeds, saying);

describe('a line of a step', () => {
  test('is said where its build holds, and nowhere else', () => {
    const rubber = { say: 'Rubber greys.', when: { build: { mouthpiece: ['hard-rubber'] } } } as const;
    const glass = { say: 'Glass cracks.', when: { build: { mouthpiece: ['glass'] } } } as const;
    expect(said({ why: [rubber, glass] })).toEqual({ why: 'Glass cracks.' });
    expect(said({ cautions: [rubber] })).toEqual({});
  });

  test('is said under its choice only, and not before any is made', () => {
    const text = {
      why: { say: 'Two hands are free.', when: { method: { id: 'sax-strap', choices: ['hooked-first'] } } },
    } as const;
    expect(said(text)).toEqual({ why: 'Two hands are free.' });
    expect(textSaid(text, does, { ...saying, chosen: new Map([['sax-strap', 'hooked-last']]) })).toEqual({});
    expect(textSaid(text, does, { ...saying, chosen: new Map() })).toEqual({});
  });

  test('is said while its condition lasts', () => {
    const text = { how: ['Rub it in.', { say: 'Do it at each joining.', when: { condition: 'new-cork' } }] } as const;
    expect(said(text)).toEqual({ how: 'Rub it in.' });
    expect(textSaid(text, does, { ...saying, conditions: ['new-cork'] })).toEqual({
      how: 'Rub it in. Do it at each joining.',
    });
  });

  test('goes with the deed it speaks of', () => {
    const text = { how: [{ say: 'Take the cap off first.', of: uncover('mouthpiece') }, 'Turn it on.'] } as const;
    expect(said(text)).toEqual({ how: 'Take the cap off first. Turn it on.' });
    expect(said(text, [join('mouthpiece', 'neck')])).toEqual({ how: 'Turn it on.' });
  });
});

test('sentences follow one another, of harms the first is said, lists stay lists', () => {
  const lines = ['one', 'two'] as const;
  expect(said({ how: lines, why: lines, harm: lines, cautions: lines, supplies: lines })).toEqual({
    how: 'one two',
    why: 'one two',
    harm: 'one',
    cautions: ['one', 'two'],
    supplies: ['one', 'two'],
  });
  expect(inTurn('one', { say: 'two' })).toEqual([{ say: 'one' }, { say: 'two' }]);
  expect(inTurn(undefined, 'two')).toBe('two');
});
