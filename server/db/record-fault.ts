import type { DatabaseState } from '#contract/health.ts';

export type RecordFault = { readonly state: 'busy' | Exclude<DatabaseState, 'ok'>; readonly message: string };

/** The record takes nothing in any more; `state` says why. */
export class RecordUnusable extends Error {
  constructor(readonly state: Exclude<DatabaseState, 'ok'>) {
    super(UNUSABLE_WORDS[state]);
  }
}

/** What a person is told, in one line: what is wrong, what was kept, what to do. */
export const UNUSABLE_WORDS: Readonly<Record<Exclude<DatabaseState, 'ok'>, string>> = {
  damaged:
    'The file of your record is damaged, so nothing more is written into it. Stop Ulu and put a copy of the file in its place.',
  gone: 'The file of your record is no longer in its folder, so nothing more is written down. Put it back and start Ulu again.',
  full: 'The disk is full, so nothing more can be written down. Nothing that was recorded is lost. Make room and try again.',
};
const BUSY_WORDS = 'Another program holds your record just now. Nothing was lost; try again in a moment.';

/** By SQLite's own result codes (sqlite.org/rescode.html); a longer code names a finer case of a shorter one. */
const STATE_OF: readonly (readonly [prefix: string, RecordFault['state']])[] = [
  ['SQLITE_BUSY', 'busy'],
  ['SQLITE_LOCKED', 'busy'],
  ['SQLITE_CORRUPT', 'damaged'],
  ['SQLITE_NOTADB', 'damaged'],
  ['SQLITE_FULL', 'full'],
  ['SQLITE_IOERR', 'gone'],
  ['SQLITE_READONLY', 'gone'],
  ['SQLITE_CANTOPEN', 'gone'],
];

/** What an error says of the record; null where it says nothing of it. Looks at causes as well: Drizzle wraps. */
export function recordFault(error: unknown): RecordFault | null {
  if (error instanceof RecordUnusable) return { state: error.state, message: error.message };
  const { code, cause } = (error ?? {}) as { readonly code?: unknown; readonly cause?: unknown };
  const state = typeof code === 'string' ? STATE_OF.find(([prefix]) => code.startsWith(prefix))?.[1] : undefined;
  if (state !== undefined) return { state, message: state === 'busy' ? BUSY_WORDS : UNUSABLE_WORDS[state] };
  return cause === undefined || cause === error ? null : recordFault(cause);
}
