import { asError } from '#core/kernel/as-error.ts';
import { Line, type Piece } from '#server/work/line.ts';
import type { Order } from '#server/work/long-work.ts';
import { createThread } from '#server/work/thread.ts';
import type { Works } from '#server/work/works.ts';

type Result<Name extends keyof Works> = Awaited<ReturnType<Works[Name]>>;
type Asking<Name extends keyof Works> = {
  /** Who wants it: each device in turn has a piece of its own done. */
  readonly device?: string;
  /** Ends the work: its promise is refused with the signal's reason, whether or not the thread listens. */
  readonly signal?: AbortSignal;
  /** The work is given so long, from when it begins: what waits behind others is not to blame. */
  readonly patienceMs?: number;
  /** Told what there is so far: a result that may still become better. */
  readonly onProgress?: (progress: Result<Name>) => void;
};

/**
 * Where long work is handed in, so that the thread that answers requests is never held up. One thread works, one piece
 * after the other, by device in turn; it starts with the first piece, and the program may end while it waits. Who has too
 * much waiting already is refused with `TooMuchAtOnce`.
 */
export type Desk = {
  readonly ask: <Name extends keyof Works>(
    name: Name,
    input: Parameters<Works[Name]>[0],
    asking?: Asking<Name>,
  ) => Promise<Result<Name>>;
  readonly close: () => Promise<void>;
};

/** The long work was ended by a fault of its thread, not by its own. */
export class WorkerTrouble extends Error {}

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

/** A desk of its own: the server has one. `firstFile` is where its thread begins, where that is not beside the program. */
export function createDesk(firstFile?: URL): Desk {
  let nextId = 1;
  const thread = createThread(
    {
      said: (word) => line.hear(word),
      lost: (cause) => line.refuseAll(new WorkerTrouble('the thread that worked on it has ended', { cause })),
    },
    firstFile,
  );
  const line = new Line(thread);

  return {
    ask: (name, input, { device = '', signal, onProgress, patienceMs } = {}) =>
      new Promise((resolve, reject) => {
        const refuse = (reason: unknown) => reject(asError(reason));
        if (signal?.aborted) {
          refuse(signal.reason);
          return;
        }
        const order: Order = { id: nextId++, name, input, stop: new SharedArrayBuffer(4) };
        const ended = heeding(signal, () => line.stop(piece, signal?.reason));
        const { begin, inTime } = patient(patienceMs, () => line.stop(piece, new OutOfPatience('it took too long')));
        const settled = { resolve: inTime(ended(resolve)), reject: inTime(ended(refuse)) };
        const piece: Piece = { order, device, ...settled, begin, ...(onProgress && { onProgress }) };
        line.add(piece);
      }),
    close: async () => {
      line.refuseAll(new WorkerTrouble('the desk was closed'));
      await thread.end();
    },
  };
}
