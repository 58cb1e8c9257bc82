import { describe, expect, test } from '@jest/globals';
import { alike, type Part } from '#web/features/agents/alike.ts';

const part = (surface: Part['surface'], verdict: Part['verdict'], why: string): Part => ({
  surface,
  name: surface,
  material: null,
  verdict,
  why,
  mark: 'practice',
});

describe('parts with one answer', () => {
  test('stand together in their order, what is refused first, what nobody knows last', () => {
    const found = alike([
      part('mouthpiece', 'yes', 'cork dry'),
      part('bag', 'not-known', 'ask'),
      part('bore', 'no', 'pads'),
      part('tenons', 'no', 'corks'),
      part('pads', 'no', 'pads'),
      part('keys', 'care', 'lightly'),
    ]);
    expect(found.map(({ verdict, why, parts }) => [verdict, why, parts.map(({ surface }) => surface)])).toEqual([
      ['no', 'pads', ['bore', 'pads']],
      ['no', 'corks', ['tenons']],
      ['care', 'lightly', ['keys']],
      ['yes', 'cork dry', ['mouthpiece']],
      ['not-known', 'ask', ['bag']],
    ]);
  });

  test('the same words under another verdict stand apart, and nothing is lost', () => {
    const parts = [part('bore', 'no', 'so'), part('pads', 'yes', 'so'), part('rods', 'no', 'so')];
    const found = alike(parts);
    expect(found).toHaveLength(2);
    expect(found.flatMap((one) => one.parts)).toHaveLength(parts.length);
    expect(alike([])).toEqual([]);
  });
});
