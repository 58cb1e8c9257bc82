import { once } from 'node:events';
import { Worker } from 'node:worker_threads';

/** How a record was found: whether its pages hold together, and how many rows point at nothing. */
export type LookedOver = { readonly isWhole: boolean; readonly orphans: number };
export type LookingOver = {
  /** Null where it was ended before, or could not be looked over. */
  readonly found: Promise<LookedOver | null>;
  readonly end: () => Promise<unknown>;
};

/** Looks a record over in a thread of its own: of a large one that takes longer than anybody waits for a server to start. */
export function lookOver(file: string): LookingOver {
  const thread = new Worker(new URL('./look-over.mjs', import.meta.url), { workerData: file });
  thread.unref();
  const gone = once(thread, 'exit').then(() => null);
  const lookedOver = once(thread, 'message').then(([found]: unknown[]) => found as LookedOver);
  return { found: Promise.race([lookedOver, gone]).catch(() => null), end: () => thread.terminate() };
}

/** What a person who starts Ulu is told of rows that point at nothing; null where there are none. */
export function orphanWords(file: string, { orphans }: LookedOver): string | null {
  if (orphans === 0) return null;
  const rows = orphans === 1 ? 'one row points' : `${orphans} rows point`;
  return `In ${file} ${rows} at nothing, so something is missing. Ulu goes on with the rest; npm run check-record says what.`;
}
