import { expect, test } from '@jest/globals';
import { torture } from '#tools/torture/torture.ts';

test('a short round: nothing confirmed is lost, nothing hangs, nothing answers with a fault of its own', async () => {
  const { faults, done } = await torture({ cycles: 1, seed: 26, oldPlays: 2000, pairing: 'each-once' });
  expect(faults).toEqual([]);
  for (const what of ['logging', 'starting', 'importing', 'copying', 'taking a copy back', 'migrating'])
    expect(done.get(`kills while ${what}`)).toBe(1);
  expect(done.get('kills while a document is taken in')).toBe(1);
  expect(done.get('confirmed entries looked for after the kill') ?? 0).toBeGreaterThan(0);
});
