import { asError } from '#core/kernel/as-error.ts';
import { dateOfDay, type LocalDate } from '#core/time/local-date.ts';
import { copyOfTheDay, type Folders } from '#server/backup/kept-copies.ts';
import type { OpenDatabase } from '#server/db/connection.ts';

const MS_PER_DAY = 86_400_000;
/** Not while somebody waits for the first page. */
const FIRST_AFTER_MS = 120_000;
const AGAIN_AFTER_MS = 3_600_000;

/** The day by the clock of this machine, which keeps the copies. */
export const dayHere = (nowMs: number): LocalDate => {
  const minutes = -new Date(nowMs).getTimezoneOffset();
  return dateOfDay(Math.floor((nowMs + minutes * 60_000) / MS_PER_DAY));
};

/**
 * Makes the copy of the day while Ulu runs: some minutes after the start, and looks again every hour. Where none can be
 * made it says so once, and tries on.
 *
 * @param record the record as it is open now: another may have taken its place
 * @returns how to end it; a copy that is being made is let go
 */
export function keepDailyCopies(
  record: () => Pick<OpenDatabase, 'client'>,
  folders: Folders,
  say: (words: string) => void,
): () => void {
  let said = false;
  const make = async () => {
    try {
      await copyOfTheDay(record().client, folders, dayHere(Date.now()));
      said = false;
    } catch (error) {
      if (!said && record().client.open) say(`The copy of the day was not made: ${asError(error).message}`);
      said = true;
    }
  };
  const first = setTimeout(() => void make(), FIRST_AFTER_MS);
  const again = setInterval(() => void make(), AGAIN_AFTER_MS);
  first.unref();
  again.unref();
  return () => {
    clearTimeout(first);
    clearInterval(again);
  };
}
