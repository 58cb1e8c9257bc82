import { Worker } from 'node:worker_threads';
import type { Order, Said } from '#server/work/long-work.ts';

/** A thread that is there when it is needed. */
export type Thread = {
  /** Starts it where there is none. */
  readonly send: (order: Order) => void;
  /** Whether the program may end while it is there. */
  readonly keepsAlive: (does: boolean) => void;
  /** Ends it, whatever it is doing; nothing is said of it any more. The next order starts another. */
  readonly end: () => Promise<void>;
};

type Hearing = {
  readonly said: (said: Said) => void;
  /** It has ended by itself, and took its orders with it. */
  readonly lost: (why: unknown) => void;
};

/** Its first file in the sources brings the loader along; in what is built, it is the thread itself. */
const FIRST_FILE = new URL('./thread.mjs', import.meta.url);

export function createThread({ said, lost }: Hearing, firstFile = FIRST_FILE): Thread {
  let worker: Worker | undefined;
  const start = (): Worker => {
    const started = new Worker(firstFile);
    const gone = (why: unknown): void => {
      if (worker !== started) return;
      worker = undefined;
      lost(why);
    };
    started.on('message', said);
    started.on('error', gone);
    started.on('exit', gone);
    return started;
  };
  return {
    send: (order) => {
      worker ??= start();
      worker.ref();
      worker.postMessage(order);
    },
    keepsAlive: (does) => {
      if (does) worker?.ref();
      else worker?.unref();
    },
    end: async () => {
      const ending = worker;
      worker = undefined;
      await ending?.terminate();
    },
  };
}
