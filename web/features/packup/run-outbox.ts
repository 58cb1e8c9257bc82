import type { LoggedRunEvent, RunEvent } from '#core/packup/run-event.ts';
import type { WallClock } from '#core/plays/play.ts';

/** Something that happened in a run and is not confirmed yet. `event.at` goes by this device's clock. */
export type Unsent = LoggedRunEvent & {
  readonly runKey: string;
  /** The wall clock when the run was ended. */
  readonly now?: WallClock;
};

/** Where what is unsent outlives the page: one text that is read and written whole. */
export type Keep = { readonly read: () => string | null; readonly write: (text: string) => void };

const isUnsent = (value: unknown): value is Unsent => {
  if (typeof value !== 'object' || value === null) return false;
  const { key, runKey, event } = value as { readonly [field in keyof Unsent]?: unknown };
  return typeof key === 'string' && typeof runKey === 'string' && typeof (event as RunEvent | null)?.at === 'string';
};

function keptIn(keep: Keep): readonly Unsent[] {
  try {
    const kept: unknown = JSON.parse(keep.read() ?? '[]');
    return Array.isArray(kept) ? kept.filter(isUnsent) : [];
  } catch {
    return [];
  }
}

/**
 * What happened in runs and is still to be sent, in the order it happened. Kept on the device, so that a page that is
 * closed, a phone that sleeps or a server that stands still loses none of it. Several tabs keep theirs in one place: each
 * adds and takes away by key, and sends what it found when it opened and what it added.
 */
export function createOutbox(keep: Keep) {
  let unsent: readonly Unsent[] = keptIn(keep);
  const listeners = new Set<() => void>();
  const change = (next: readonly Unsent[], kept: readonly Unsent[]): void => {
    unsent = next;
    keep.write(JSON.stringify(kept));
    for (const listener of listeners) listener();
  };
  return {
    all: (): readonly Unsent[] => unsent,
    add: (one: Unsent): void => change([...unsent, one], [...keptIn(keep).filter(({ key }) => key !== one.key), one]),
    /** Sent and confirmed, refused, or taken back before it was sent. */
    remove: (key: string): void =>
      change(
        unsent.filter((one) => one.key !== key),
        keptIn(keep).filter((one) => one.key !== key),
      ),
    subscribe: (listener: () => void) => {
      listeners.add(listener);
      return () => void listeners.delete(listener);
    },
  };
}
export type Outbox = ReturnType<typeof createOutbox>;
