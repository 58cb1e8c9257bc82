import { fieldOf } from '#core/record/fact.ts';
import { RECORD_REFUSALS } from '#core/record/record-refusal-words.ts';
import type { DatabaseState } from '#contract/health.ts';

export type RecordTrouble = { readonly state: 'busy' | Exclude<DatabaseState, 'ok'>; readonly message: string };

/** The record takes nothing in any more; `state` says why. */
export class RecordUnusable extends Error {
  constructor(readonly state: Exclude<DatabaseState, 'ok'>) {
    super(RECORD_REFUSALS[state]());
  }
}

/** By SQLite's own result codes (sqlite.org/rescode.html); a longer code names a finer case of a shorter one. */
const STATE_OF: readonly (readonly [prefix: string, RecordTrouble['state']])[] = [
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
export function recordTrouble(error: unknown): RecordTrouble | null {
  if (error instanceof RecordUnusable) return { state: error.state, message: error.message };
  // Text of the file that is not what was written; what a request says badly comes with a status.
  if (error instanceof SyntaxError && error.message.includes('JSON') && !('status' in error))
    return { state: 'damaged', message: RECORD_REFUSALS.damaged() };
  // A copy was taken back while this was being answered: what it asked is closed, and the next try is answered.
  if (error instanceof TypeError && error.message === 'The database connection is not open')
    return { state: 'busy', message: RECORD_REFUSALS.busy() };
  const [code, cause] = [fieldOf(error, 'code'), fieldOf(error, 'cause')];
  const state = typeof code === 'string' ? STATE_OF.find(([prefix]) => code.startsWith(prefix))?.[1] : undefined;
  if (state !== undefined) return { state, message: RECORD_REFUSALS[state]() };
  return cause === undefined || cause === error ? null : recordTrouble(cause);
}
