import { setTimeout as pause } from 'node:timers/promises';
import { recordTrouble } from '#server/db/record-trouble.ts';

/** Another program that holds the record is waited for so long before a request is told that it is busy, ms. */
const PATIENCE_MS = 200;
const AGAIN_MS = 20;

/**
 * Writes, and where another program holds the record tries again in a moment: everybody else is answered meanwhile.
 *
 * @throws the fault of a record that was held all the time
 */
export async function whenFree<Result>(write: () => Result): Promise<Result> {
  const until = performance.now() + PATIENCE_MS;
  for (;;)
    try {
      return write();
    } catch (error) {
      if (recordTrouble(error)?.state !== 'busy' || performance.now() >= until) throw error;
      await pause(AGAIN_MS);
    }
}
