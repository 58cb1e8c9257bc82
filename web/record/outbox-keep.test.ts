import 'fake-indexeddb/auto';
import { beforeEach, expect, test } from '@jest/globals';
import { IDBFactory } from 'fake-indexeddb';
import { instantOfMs } from '#core/time/instant.ts';
import { keepInBrowser, keptBefore } from '#web/record/outbox-keep.ts';
import type { Waiting } from '#web/record/outbox.ts';

const said = (key: string): Waiting => ({
  ...{ key, kind: 'play', path: '/api/plays', content: { minutes: 45 }, at: instantOfMs(0), says: '45 min logged.' },
});
const UNSENT = 'ulu.unsent';
const store = new Map<string, string>();
globalThis.localStorage = {
  getItem: (key: string) => store.get(key) ?? null,
  setItem: (key: string, value: string) => void store.set(key, value),
  removeItem: (key: string) => void store.delete(key),
} as unknown as Storage;
beforeEach(() => {
  store.clear();
  // A browser of its own for each test.
  globalThis.indexedDB = new IDBFactory();
});

const keysIn = async () => (await keepInBrowser().load()).map(({ key }) => key);

test('what waits is there for the next page, in its order, each by itself', async () => {
  const keep = keepInBrowser();
  // The keys are no order, and what is put there again keeps its place.
  for (const key of ['c', 'a', 'b']) await keep.put(said(key));
  await keep.put({ ...said('a'), refused: 'Too late.' });
  expect(await keepInBrowser().load()).toEqual([said('c'), { ...said('a'), refused: 'Too late.' }, said('b')]);
  await keep.remove('a');
  await keep.remove('nobody');
  expect(await keysIn()).toEqual(['c', 'b']);
});

test('what versions before have kept comes along, once', async () => {
  const event = { kind: 'ticked', stepKey: 'horn:wipe', at: instantOfMs(1000) };
  const now = { on: '2026-11-24', atMinute: 1200 };
  const finished = { kind: 'finished', at: instantOfMs(2000) };
  store.set(
    UNSENT,
    JSON.stringify([
      { key: 'a', runKey: 'run', event },
      { key: 'b', runKey: 'run', event: finished, now },
    ]),
  );
  const [first, second] = await keepInBrowser().load();
  expect(first).toMatchObject({
    ...{ key: 'a', kind: 'run-event', path: '/api/runs/run/events', at: instantOfMs(1000) },
    content: { kind: 'ticked', stepKey: 'horn:wipe' },
  });
  expect(first?.content).not.toHaveProperty('at');
  expect(second).toMatchObject({ key: 'b', content: { kind: 'finished' }, now });
  expect(store.has(UNSENT)).toBe(false);
  expect(await keysIn()).toEqual(['a', 'b']);
});

test.each(['{"not":"a list"}', 'no JSON', '[null,7,{"key":"x"}]', null])('of %s nothing was kept', (text) => {
  expect(keptBefore(text)).toEqual([]);
});
