import { openDB, type DBSchema } from 'idb';
import type { RunEvent } from '#core/packup/run-event.ts';
import { packupPaths } from '#contract/packup-paths.ts';
import type { Keep, Waiting } from '#web/record/outbox.ts';
import { forget, REMEMBERED, remembered } from '#web/session/stored.ts';

/** Entries in the order they were put there. */
type Kept = DBSchema & {
  readonly waiting: { key: number; value: Waiting & { readonly order?: number }; indexes: { key: string } };
};

const open = () =>
  openDB<Kept>('ulu', 1, {
    upgrade: (database) => {
      const store = database.createObjectStore('waiting', { keyPath: 'order', autoIncrement: true });
      store.createIndex('key', 'key', { unique: true });
    },
  });

/** An entry of the versions before, which kept events of runs alone, all in one text. */
type Before = {
  readonly key: string;
  readonly runKey: string;
  readonly event: RunEvent;
  readonly now?: Waiting['now'];
};
const isBefore = (value: unknown): value is Before => {
  if (typeof value !== 'object' || value === null) return false;
  const { key, runKey, event } = value as Partial<Before>;
  return typeof key === 'string' && typeof runKey === 'string' && typeof event?.at === 'string';
};

/** What versions before have kept and not sent. */
export function keptBefore(text: string | null): Waiting[] {
  try {
    const kept: unknown = JSON.parse(text ?? '[]');
    return (Array.isArray(kept) ? kept.filter(isBefore) : []).map(
      ({ key, runKey, event: { at, ...content }, now }) => ({
        ...{ key, kind: 'run-event', path: packupPaths.events(runKey), content, at, says: 'A step of a run' },
        ...(now ? { now } : {}),
      }),
    );
  } catch {
    return [];
  }
}

/** What waits, in the database of the browser. Without one it lives as long as the page. */
export function keepInBrowser(): Keep {
  const database = typeof indexedDB === 'undefined' ? null : open();
  const put = async (one: Waiting): Promise<void> => {
    const store = (await database)?.transaction('waiting', 'readwrite').store;
    if (store === undefined) throw new Error('nothing can be kept here');
    const order = await store.index('key').getKey(one.key);
    await store.put(order === undefined ? { ...one } : { ...one, order });
  };
  return {
    put,
    load: async () => {
      const before = keptBefore(remembered(REMEMBERED.unsent));
      for (const one of before) await put(one);
      if (before.length > 0) forget(REMEMBERED.unsent);
      const all = (await (await database)?.getAll('waiting')) ?? [];
      return all.map(({ order: _order, ...one }) => one);
    },
    remove: async (key) => {
      const store = (await database)?.transaction('waiting', 'readwrite').store;
      const order = await store?.index('key').getKey(key);
      if (store && order !== undefined) await store.delete(order);
    },
  };
}
