import { asError } from '#core/kernel/as-error.ts';
import type { Order, Said } from '#server/work/long-work.ts';
import { createThread } from '#server/work/thread.ts';
import type { Works } from '#server/work/works.ts';

type Result<Name extends keyof Works> = Awaited<ReturnType<Works[Name]>>;
type Asking<Name extends keyof Works> = {
  /** Ends the work: its promise is refused with the signal's reason, whether or not the thread listens. */
  readonly signal?: AbortSignal;
  /** Told what there is so far: a result that may still become better. */
  readonly onProgress?: (progress: Result<Name>) => void;
};

/**
 * Where long work is handed in, so that the thread that answers requests is never held up. One thread works, one piece
 * after the other; it starts with the first piece, and the program may end while it waits.
 */
export type Desk = {
  readonly ask: <Name extends keyof Works>(
    name: Name,
    input: Parameters<Works[Name]>[0],
    asking?: Asking<Name>,
  ) => Promise<Result<Name>>;
  readonly close: () => Promise<void>;
};

/** What comes back from the thread is what the work of that name makes: methods, for the thread knows no types. */
type Waiting = {
  readonly order: Order;
  resolve(result: unknown): void;
  reject(reason: unknown): void;
  onProgress?(progress: unknown): void;
};

/** Work that does not listen is given so long before its thread is ended and the next one starts. */
const PATIENCE_MS = 2000;

/** The long work was ended by a fault of its thread, not by its own. */
export class WorkerFault extends Error {}

/** Calls `onAbort` when the signal says so, until one of the functions it wraps has been called. */
function heeding(signal: AbortSignal | undefined, onAbort: () => void) {
  signal?.addEventListener('abort', onAbort, { once: true });
  return <Value>(then: (value: Value) => void) =>
    (value: Value): void => {
      signal?.removeEventListener('abort', onAbort);
      then(value);
    };
}

/** A desk of its own: the server has one. */
export function createDesk(): Desk {
  let nextId = 1;
  /** In the order they were handed in; the first is the one being worked on. */
  const waiting = new Map<number, Waiting>();
  /** Pieces that were stopped while they were worked on, until the thread has noticed. */
  const stopping = new Map<number, NodeJS.Timeout>();

  const settle = (id: number, how: (one: Waiting) => void): void => {
    const one = waiting.get(id);
    waiting.delete(id);
    if (one) how(one);
    if (waiting.size === 0) thread.keepsAlive(false);
  };
  const refuseAll = (fault: WorkerFault): void => {
    for (const id of waiting.keys()) settle(id, ({ reject }) => reject(fault));
  };
  const said = (word: Said): void => {
    if (word.kind === 'progress') {
      waiting.get(word.id)?.onProgress?.(word.progress);
      return;
    }
    clearTimeout(stopping.get(word.id));
    stopping.delete(word.id);
    if (word.kind === 'done') settle(word.id, ({ resolve }) => resolve(word.result));
    else settle(word.id, ({ reject }) => reject(new Error(word.message)));
  };
  const thread = createThread({
    said,
    lost: (cause) => refuseAll(new WorkerFault('the thread that worked on it has ended', { cause })),
  });
  /** Ends a thread that does not listen, and hands what else was waiting to a new one. */
  const replace = async (): Promise<void> => {
    stopping.clear();
    await thread.end();
    for (const { order } of waiting.values()) thread.send(order);
  };
  /** Its promise ends at once; its thread is given a while to notice. */
  const stop = ({ id, stop: flag }: Order, reason: unknown): void => {
    Atomics.store(new Int32Array(flag), 0, 1);
    const isAtWork = waiting.keys().next().value === id;
    settle(id, ({ reject }) => reject(reason));
    if (isAtWork) stopping.set(id, setTimeout(() => void replace(), PATIENCE_MS).unref());
  };

  return {
    ask: (name, input, { signal, onProgress } = {}) =>
      new Promise((resolve, reject) => {
        const refuse = (reason: unknown) => reject(asError(reason));
        if (signal?.aborted) {
          refuse(signal.reason);
          return;
        }
        const order: Order = { id: nextId++, name, input, stop: new SharedArrayBuffer(4) };
        const ended = heeding(signal, () => stop(order, signal?.reason));
        const done = ended(resolve);
        waiting.set(order.id, { order, resolve: done, reject: ended(refuse), ...(onProgress && { onProgress }) });
        thread.send(order);
      }),
    close: async () => {
      refuseAll(new WorkerFault('the desk was closed'));
      await thread.end();
    },
  };
}
