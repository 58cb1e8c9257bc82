import { expect, test } from '@jest/globals';
import { whenFree } from '#server/http/when-free.ts';

const busy = (): Error => Object.assign(new Error('held'), { code: 'SQLITE_BUSY' });

test('what another program lets go of in time is written, once, and others have their turn meanwhile', async () => {
  const did: string[] = [];
  let held = 3;
  const writing = whenFree(() => {
    did.push('try');
    if (held-- > 0) throw busy();
    return 'written';
  });
  setTimeout(() => did.push('somebody else'), 0);
  expect(await writing).toBe('written');
  expect([did[1], did.filter((one) => one === 'try').length]).toEqual(['somebody else', 4]);
});

test('what stays held is said to be, and any other fault is said at once', async () => {
  let tries = 0;
  const failing = (error: Error) =>
    whenFree(() => {
      tries += 1;
      throw error;
    });
  await expect(failing(busy())).rejects.toMatchObject({ code: 'SQLITE_BUSY' });
  expect(tries).toBeGreaterThan(2);
  tries = 0;
  await expect(failing(Object.assign(new Error('full'), { code: 'SQLITE_FULL' }))).rejects.toThrow('full');
  expect(tries).toBe(1);
});
