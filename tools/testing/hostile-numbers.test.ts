import { expect, test } from '@jest/globals';
import { spawnSync } from 'node:child_process';
import process from 'node:process';
import type { Called } from '#core/testing/hostile-numbers.ts';

/** All of it takes a second; a loop without end does not end. */
const PATIENCE_MS = 90_000;

test('numbers nobody means are refused or answered, without one that is none, and every call comes to an end', () => {
  const script = 'tools/testing/call-with-hostile-numbers.ts';
  const { stdout } = spawnSync(process.execPath, ['--import', 'tsx', script], {
    timeout: PATIENCE_MS,
    encoding: 'utf8',
  });
  // Where one does not end, the last line is what was called.
  const last = stdout.trimEnd().split('\n').at(-1) ?? '';
  expect(last).toMatch(/^\{/);
  const { calls, wrong } = JSON.parse(last) as Called;
  expect(wrong).toEqual([]);
  expect(calls).toBeGreaterThan(700);
});
