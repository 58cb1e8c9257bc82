import { expect, test } from '@jest/globals';
import { livesOf } from '#core/reeds/reed-life.ts';
import type { ReedState } from '#core/reeds/reed-state.ts';
import { mainLives } from '#server/features/reeds/reeds-of-kind.ts';

test('the lives that are shown are of cane, but where everything is synthetic', () => {
  const of = (material: 'cane' | 'synthetic') => ({ box: { material } }) as ReedState;
  const lives = livesOf([]);
  expect(mainLives([], lives)).toBe(lives.cane);
  expect(mainLives([of('cane')], lives)).toBe(lives.cane);
  expect(mainLives([of('cane'), of('synthetic')], lives)).toBe(lives.cane);
  expect(mainLives([of('synthetic'), of('synthetic')], lives)).toBe(lives.synthetic);
});
