import { statSync } from 'node:fs';
import type { DatabaseState } from '#contract/health.ts';
import { recordTrouble, RecordUnusable } from '#server/db/record-trouble.ts';

export type RecordWatch = {
  /** How the record is now. */
  readonly state: () => DatabaseState;
  /** @throws RecordUnusable when nothing may be written any more */
  readonly beforeWriting: () => void;
  /** Remembers what an error says of the file. */
  readonly noticed: (error: unknown) => void;
  /** Something was written: there is room again. */
  readonly written: () => void;
};

const inodeOf = (file: string): number | null => {
  try {
    return statSync(file).ino;
  } catch {
    return null;
  }
};

/**
 * Watches whether the file of the record is still there and whole. SQLite writes on into a file that was deleted or
 * replaced under it, and everything written there would be lost; so before each write the file is looked at. Damage
 * stays until a restart, for what was read before it may be wrong; a full disk may have room again.
 */
export function watchFile(file: string): RecordWatch {
  const inode = inodeOf(file);
  let damaged = false;
  let full = false;
  const state = (): DatabaseState => {
    if (damaged) return 'damaged';
    if (inodeOf(file) !== inode) return 'gone';
    return full ? 'full' : 'ok';
  };
  return {
    state,
    beforeWriting: () => {
      const now = state();
      // On a disk that was full there may be room again: only a try can tell.
      if (now !== 'ok' && now !== 'full') throw new RecordUnusable(now);
    },
    noticed: (error) => {
      const found = recordTrouble(error)?.state;
      damaged ||= found === 'damaged';
      full ||= found === 'full';
    },
    written: () => {
      full = false;
    },
  };
}
