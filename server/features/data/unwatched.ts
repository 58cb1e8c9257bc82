import type { RecordWatch } from '#server/db/watch-file.ts';

/** Of a file that only this program knows nobody has to watch whether it is still there. */
export const UNWATCHED: RecordWatch = {
  state: () => 'ok',
  beforeWriting: () => undefined,
  noticed: () => undefined,
  written: () => undefined,
};
