import type { WallClock } from '#core/plays/play.ts';
import type { Instant } from '#core/time/instant.ts';

/** Something that was said on this device and is not confirmed yet. */
export type Waiting = {
  readonly key: string;
  readonly kind: string;
  /** Where it is sent. */
  readonly path: string;
  /** What is said. */
  readonly content: object;
  /** The key of the fact it takes the place of. */
  readonly corrects?: string | undefined;
  /** When it was said, by this device's clock; and where the wall clock stood, where that is sent as well. */
  readonly at: Instant;
  readonly now?: WallClock | undefined;
  /** How it is spoken of. */
  readonly says: string;
  /** Why the server refused it, when nobody was there any more to be told. It is not sent again. */
  readonly refused?: string;
};

/** Where what waits outlives the page, each entry by itself and in the order it was put there. */
export type Keep = {
  readonly load: () => Promise<readonly Waiting[]>;
  /** @throws where the device has no room for it */
  readonly put: (one: Waiting) => Promise<void>;
  readonly remove: (key: string) => Promise<void>;
};

type Shown = {
  /** To be sent, in the order it was said. */
  readonly waiting: readonly Waiting[];
  /** Refused, with the reason. */
  readonly refused: readonly Waiting[];
  /** How many of them would be lost with the page: the device had no room for them. */
  readonly unkept: number;
};

/**
 * What was said and is still to be sent. What the page shows is what it holds in memory; behind that it is kept on the
 * device, so that a page that is closed, a phone that sleeps or a server that stands still loses none of it. Several tabs
 * keep theirs in one place: each sends what it found when it opened and what was said in it.
 */
export function createOutbox(keep: Keep) {
  let all: readonly Waiting[] = [];
  let shown: Shown = { waiting: [], refused: [], unkept: 0 };
  const keeping = new Map<string, Promise<void>>();
  const unkept = new Set<string>();
  const listeners = new Set<() => void>();
  const show = (next: readonly Waiting[]): void => {
    all = next;
    shown = {
      waiting: all.filter(({ refused }) => refused === undefined),
      refused: all.filter(({ refused }) => refused !== undefined),
      unkept: all.filter(({ key }) => unkept.has(key)).length,
    };
    for (const listener of listeners) listener();
  };
  const put = (one: Waiting): void => {
    const kept = keep.put(one).then(
      () => void unkept.delete(one.key),
      () => void unkept.add(one.key),
    );
    keeping.set(
      one.key,
      kept.then(() => show(all)),
    );
  };
  // What cannot be read is as if nothing had been kept: nothing is shown that is not there.
  const ready = keep.load().then(
    (before) => show([...before.filter(({ key }) => !all.some((one) => one.key === key)), ...all]),
    () => undefined,
  );
  return {
    /** Told once what was kept before has been read. */
    ready,
    shown: (): Shown => shown,
    /** To be sent, in the order it was said. */
    waiting: (): readonly Waiting[] => shown.waiting,
    add: (one: Waiting): void => {
      if (all.some(({ key }) => key === one.key)) return;
      show([...all, one]);
      put(one);
    },
    /** Told once an entry is on the device, or the device has no room for it: only then is it sent. */
    kept: async (key: string): Promise<void> => {
      await ready;
      await keeping.get(key);
    },
    /** Confirmed, or taken back before it was sent. */
    remove: (key: string): void => {
      show(all.filter((one) => one.key !== key));
      unkept.delete(key);
      void Promise.resolve(keeping.get(key)).then(() => keep.remove(key).catch(() => undefined));
      keeping.delete(key);
    },
    /** Refused while nobody was there to be told: it stays, with the reason. */
    refuse: (key: string, why: string): void => {
      const refused = all.map((one) => (one.key === key ? { ...one, refused: why } : one));
      show(refused);
      const one = refused.find((entry) => entry.key === key);
      if (one) put(one);
    },
    subscribe: (listener: () => void) => {
      listeners.add(listener);
      return () => void listeners.delete(listener);
    },
  };
}
export type Outbox = ReturnType<typeof createOutbox>;
