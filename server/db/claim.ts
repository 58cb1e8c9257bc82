import Database from 'better-sqlite3';
import path from 'node:path';
import { recordFault } from '#server/db/record-fault.ts';

/** Another Ulu looks after the folder. */
export class FolderTaken extends Error {}

const CLAIM_FILE = 'ulu.claim';

/**
 * Claims a data folder for this process: two servers on one record would not know of each other's facts. The claim is a
 * lock on a file of its own, so that a backup or a check may open the record beside it; the system lets go of it when
 * the process ends, however it ends.
 *
 * @returns how to let go of it
 * @throws FolderTaken when another process has it
 */
export function claimFolder(folder: string): () => void {
  const claim = new Database(path.join(folder, CLAIM_FILE), { timeout: 0 });
  try {
    claim.pragma('journal_mode = MEMORY');
    claim.exec('begin exclusive');
  } catch (error) {
    claim.close();
    if (recordFault(error)?.state !== 'busy') throw error;
    throw new FolderTaken(
      `Another Ulu looks after ${folder} already. Use that one, or choose another folder with --data FOLDER.`,
    );
  }
  return () => claim.close();
}
