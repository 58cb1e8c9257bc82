import type { Format } from '#core/explain/format.ts';
import { foldersOf, type Folders } from '#server/backup/kept-copies.ts';
import type { Caller } from '#server/caller.ts';
import { compose, type Composing } from '#server/compose.ts';
import { openDatabase, type OpenDatabase, type Watching } from '#server/db/connection.ts';
import type { Services } from '#server/services.ts';

/** The record a server looks after. Another may take its place while it runs: whoever asks is served from that one then. */
export type HeldRecord = {
  readonly folder: string;
  readonly folders: Folders;
  readonly serve: (caller?: Caller, format?: Format) => Services;
  readonly database: () => OpenDatabase;
  /**
   * Closes the record, lets another take its place, and opens that. Nobody is answered in between.
   *
   * @throws what `change` throws; the record of before is open again then
   */
  readonly change: <Changed>(change: () => Changed) => Changed;
};

/** Opens a data folder and plugs the server together on it. @throws DataFolderRefusal, MigrationRefusal */
export function holdRecord(
  folder: string,
  composing: Composing,
  { watching, copiesFolder }: { readonly watching?: Watching; readonly copiesFolder?: string | undefined } = {},
): HeldRecord {
  const open = () => {
    const opened = openDatabase(folder, watching);
    return { opened, services: compose(opened, composing) };
  };
  let held = open();
  return {
    folder,
    folders: foldersOf(folder, copiesFolder),
    serve: (caller, format) => held.services(caller, format),
    database: () => held.opened,
    change: (change) => {
      held.opened.close();
      try {
        return change();
      } finally {
        held = open();
      }
    },
  };
}
