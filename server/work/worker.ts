// The thread long work is done in. Started by `desk.ts`; it does one piece after the other and answers each once.
import { constants, setPriority } from 'node:os';
import process from 'node:process';
import { parentPort } from 'node:worker_threads';
import { asError } from '#core/kernel/as-error.ts';
import type { LongWork, Order, Said } from '#server/work/long-work.ts';
import { WORKS } from '#server/work/works.ts';

const say = (words: Said) => parentPort?.postMessage(words);
const works: Readonly<Record<string, LongWork>> = WORKS;

async function work({ id, name, input, stop }: Order): Promise<void> {
  const flag = new Int32Array(stop);
  try {
    const one = Object.hasOwn(works, name) ? works[name] : undefined;
    if (one === undefined) throw new Error(`there is no long work called ${name}`);
    const result = await one(input as never, {
      stop: {
        get aborted() {
          return Atomics.load(flag, 0) !== 0;
        },
      },
      report: (progress) => say({ id, kind: 'progress', progress }),
    });
    say({ id, kind: 'done', result });
  } catch (error) {
    say({ id, kind: 'failed', message: asError(error).message });
  }
}

// On Linux this is the priority of the thread alone: long work takes what those who wait for an answer leave.
if (process.platform === 'linux') setPriority(constants.priority.PRIORITY_LOW);

let last = Promise.resolve();
parentPort?.on('message', (order: Order) => {
  last = last.then(() => work(order));
});
