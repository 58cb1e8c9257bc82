import Database from 'better-sqlite3';
import path from 'node:path';
import { asError } from '#core/kernel/as-error.ts';
import { recordTrouble } from '#server/db/record-trouble.ts';

/** Another Ulu looks after the folder. */
export class FolderTaken extends Error {}

/** The file of the claim itself cannot be used: the record is not to blame. */
export class ClaimRefusal extends Error {}

const claimRefusalWords = (file: string, why: string): string =>
  `${file}, the file by which Ulu knows that no other looks after this folder, cannot be used (${why}). Nothing is kept in it: delete it while no Ulu is running, and start again.`;

/** @throws ClaimFault */
function openClaim(file: string): Database.Database {
  try {
    return new Database(file, { timeout: 0 });
  } catch (error) {
    throw new ClaimRefusal(claimRefusalWords(file, asError(error).message));
  }
}

const CLAIM_FILE = 'ulu.claim';

/**
 * Claims a data folder for this process: two servers on one record would not know of each other's facts. The claim is a
 * lock on a file of its own, so that a backup or a check may open the record beside it; the system lets go of it when
 * the process ends, however it ends.
 *
 * @returns how to let go of it
 * @throws FolderTaken when another process has it
 * @throws ClaimFault when its file cannot be used
 */
export function claimFolder(folder: string): () => void {
  const file = path.join(folder, CLAIM_FILE);
  const claim = openClaim(file);
  try {
    claim.pragma('journal_mode = MEMORY');
    claim.exec('begin exclusive');
  } catch (error) {
    claim.close();
    if (recordTrouble(error)?.state !== 'busy') throw new ClaimRefusal(claimRefusalWords(file, asError(error).message));
    throw new FolderTaken(
      `Another Ulu looks after ${folder} already. Use that one, or choose another folder with --data FOLDER.`,
    );
  }
  return () => claim.close();
}
