import { asError } from '#core/kernel/as-error.ts';
import { Line } from '#server/work/line.ts';
import type { Order, Said } from '#server/work/long-work.ts';
import { createThread } from '#server/work/thread.ts';
import type { Works } from '#server/work/works.ts';

type Result<Name extends keyof Works> = Awaited<ReturnType<Works[Name]>>;
type Asking<Name extends keyof Works> = {
  /** Ends the work: its promise is refused with the signal's reason, whether or not the thread listens. */
  readonly signal?: AbortSignal;
  /** The work is given so long, from when it begins: what waits behind others is not to blame. */
  readonly patienceMs?: number;
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

/** Work that does not listen is given so long before its thread is ended and the next one starts. */
const PATIENCE_MS = 2000;

/** The long work was ended by a fault of its thread, not by its own. */
export class WorkerFault extends Error {}

/** The work was given a time, and took longer. */
export class OutOfPatience extends Error {}

/** Calls `onAbort` when the signal says so, until one of the functions it wraps has been called. */
function heeding(signal: AbortSignal | undefined, onAbort: () => void) {
  signal?.addEventListener('abort', onAbort, { once: true });
  return <Value>(then: (value: Value) => void) =>
    (value: Value): void => {
      signal?.removeEventListener('abort', onAbort);
      then(value);
    };
}

/** Calls `onEnd` so long after it has begun, unless one of the functions it wraps has been called before. */
function patient(patienceMs: number | undefined, onEnd: () => void) {
  let clock: NodeJS.Timeout | undefined;
  return {
    begin: (): void => {
      if (patienceMs !== undefined) clock = setTimeout(onEnd, patienceMs).unref();
    },
    inTime:
      <Value>(then: (value: Value) => void) =>
      (value: Value): void => {
        clearTimeout(clock);
        then(value);
      },
  };
}

/** A desk of its own: the server has one. */
export function createDesk(): Desk {
  let nextId = 1;
  const line = new Line(() => thread.keepsAlive(false));
  const said = (word: Said): void => {
    if (word.kind === 'progress') {
      line.progress(word.id, word.progress);
      return;
    }
    line.noticed(word.id);
    if (word.kind === 'done') line.settle(word.id, ({ resolve }) => resolve(word.result));
    else line.settle(word.id, ({ reject }) => reject(new Error(word.message)));
  };
  const thread = createThread({
    said,
    lost: (cause) => line.refuseAll(new WorkerFault('the thread that worked on it has ended', { cause })),
  });
  /** Ends a thread that does not listen, and hands what else was waiting to a new one. */
  const replace = async (): Promise<void> => {
    await thread.end();
    for (const order of line.orders()) thread.send(order);
    line.noticedAll();
  };
  /** Its promise ends at once; its thread is given a while to notice. */
  const stop = ({ id, stop: flag }: Order, reason: unknown): void => {
    Atomics.store(new Int32Array(flag), 0, 1);
    if (line.isFirst(id)) line.notYetNoticed(id, setTimeout(() => void replace(), PATIENCE_MS).unref());
    line.settle(id, ({ reject }) => reject(reason));
  };

  return {
    ask: (name, input, { signal, onProgress, patienceMs } = {}) =>
      new Promise((resolve, reject) => {
        const refuse = (reason: unknown) => reject(asError(reason));
        if (signal?.aborted) {
          refuse(signal.reason);
          return;
        }
        const order: Order = { id: nextId++, name, input, stop: new SharedArrayBuffer(4) };
        const ended = heeding(signal, () => stop(order, signal?.reason));
        const { begin, inTime } = patient(patienceMs, () => stop(order, new OutOfPatience('it took too long')));
        const settled = { resolve: inTime(ended(resolve)), reject: inTime(ended(refuse)) };
        thread.send(order);
        line.add({ order, ...settled, begin, ...(onProgress && { onProgress }) });
      }),
    close: async () => {
      line.refuseAll(new WorkerFault('the desk was closed'));
      await thread.end();
    },
  };
}
