import path from 'node:path';
import { copyLines, heldSentence, restoredWords } from '#core/data/incoming-words.ts';
import { heldIn } from '#server/backup/look-into.ts';
import { clearMaking, putInPlace, recordOfCopy } from '#server/backup/restore.ts';
import { DATABASE_FILE } from '#server/db/connection.ts';
import type { Way } from '#server/features/data/way.ts';

/** A copy of a record takes the place of the record, which is moved aside. */
export const copyWay: Way = {
  look: async ({ file, beside, record, format }) => {
    const held = await recordOfCopy(file, beside);
    const lines = copyLines(format, heldIn(record.database().client));
    return { preview: { holds: heldSentence(held, format), lines, players: [], isWorthIt: true, table: null } };
  },
  take: async ({ beside, record, nowMs, stop }, _request) => {
    stop.throwIfAborted();
    const aside = record.change(() => putInPlace(beside, path.join(record.folder, DATABASE_FILE), nowMs()));
    return Promise.resolve(restoredWords('your record is the copy now', aside));
  },
  clear: clearMaking,
};
