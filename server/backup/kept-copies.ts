import { createHash } from 'node:crypto';
import type Database from 'better-sqlite3';
import { readdirSync, rmSync } from 'node:fs';
import path from 'node:path';
import { noCopiesFolderWords } from '#core/data/incoming-words.ts';
import { copiesLetGo } from '#core/record/kept-copies.ts';
import { dateOfDay, localDate, type LocalDate } from '#core/time/local-date.ts';
import { CopyRefusal } from '#server/backup/copy-refusal.ts';
import { newestFactIn, type Held } from '#server/backup/look-into.ts';
import { DATABASE_FILE, makeFolder } from '#server/db/connection.ts';
import { COPY_IN_THE_MAKING } from '#server/db/migrate.ts';
import { makeCopy } from '#server/backup/make-copy.ts';

const MS_PER_DAY = 86_400_000;
/** In the data folder. */
const COPIES_FOLDER = 'copies';
const NAME = /^ulu-(\d{4}-\d{2}-\d{2})-fact-([\da-f-]+)\.db\.gz$/;

/** `newest`: the newest fact it holds, by its number and, in short, its key. */
export type KeptCopy = { readonly file: string; readonly on: LocalDate; readonly newest: string };

/** The newest fact in short: after an older copy was taken back, another fact may come to have the same number. */
const inShort = ({ id, key }: { readonly id: number; readonly key: string }): string =>
  `${id}-${createHash('sha256').update(key).digest('hex').slice(0, 8)}`;

/** Where a record lies, and where its copies do. */
export type Folders = { readonly dataFolder: string; readonly copiesFolder: string };

/** The copies lie beside their record, unless another folder is chosen: on another disk they outlive it. */
export const foldersOf = (dataFolder: string, copies?: string): Folders => ({
  dataFolder,
  copiesFolder: copies ?? path.join(dataFolder, COPIES_FOLDER),
});

/** The copies in their folder, the oldest first. What else lies there is left alone. */
export function keptCopies({ copiesFolder: folder }: Folders): KeptCopy[] {
  makeFolder(folder);
  return readdirSync(folder)
    .flatMap((name): KeptCopy[] => {
      const [, on, newest = ''] = NAME.exec(name) ?? [];
      return on === undefined ? [] : [{ file: path.join(folder, name), on: localDate(on), newest }];
    })
    .toSorted((one, other) => (one.on < other.on ? -1 : 1));
}

/** Which of the copies is the newest, and how it is taken back; none where there is none. */
export function newestCopyWords(folders: Folders): string[] {
  const newest = keptCopies(folders).at(-1);
  return newest
    ? [
        `The newest copy is of ${newest.on}. Take it back: npm run restore -- "${newest.file}" --data "${folders.dataFolder}"`,
      ]
    : [];
}

/** What a copy that was cut off has left. */
function clearCutOff({ copiesFolder: folder }: Folders): void {
  for (const name of readdirSync(folder))
    if (name.includes(COPY_IN_THE_MAKING)) rmSync(path.join(folder, name), { force: true });
}

const BEFORE_MIGRATION = new RegExp(`^${DATABASE_FILE}\\.before-(?!restore-).+-(\\d{13})\\.bak$`);

/** Copies taken before migrations are kept by the same rule; what a restore has moved aside is not touched. */
function letGoMigrationCopies(dataFolder: string): void {
  const copies = readdirSync(dataFolder).flatMap((name) => {
    const ms = BEFORE_MIGRATION.exec(name)?.[1];
    return ms === undefined ? [] : [{ name, on: dateOfDay(Math.floor(Number(ms) / MS_PER_DAY)) }];
  });
  const gone = new Set(copiesLetGo(copies.map(({ on }) => on)));
  for (const { name, on } of copies) if (gone.has(on)) rmSync(path.join(dataFolder, name), { force: true });
}

/** The copies there are. @throws CopyRefusal where their folder cannot be reached */
function reached(folders: Folders): KeptCopy[] {
  try {
    return keptCopies(folders);
  } catch {
    throw new CopyRefusal(noCopiesFolderWords(folders.copiesFolder));
  }
}

/**
 * A copy of the record as it stands now, among those that are kept. What is older than the rule keeps goes after it is
 * there, and never before.
 *
 * @returns what it holds, and the copy
 * @throws CopyRefusal when it cannot be made; what is there stays
 */
export async function copyNow(
  client: Database.Database,
  folders: Folders,
  today: LocalDate,
): Promise<{ readonly held: Held; readonly copy: KeptCopy }> {
  const copies = reached(folders);
  clearCutOff(folders);
  const fact = newestFactIn(client);
  const newest = fact ? inShort(fact) : '0';
  const file = path.join(folders.copiesFolder, `ulu-${today}-fact-${newest}.db.gz`);
  const held = await makeCopy(client, file);
  const gone = new Set(copiesLetGo([...copies.map(({ on }) => on), today]));
  for (const { file: old, on } of copies) if (gone.has(on)) rmSync(old, { force: true });
  letGoMigrationCopies(folders.dataFolder);
  return { held, copy: { file, on: today, newest } };
}

/**
 * One copy a day Ulu is used: made where none is of today and something has been said since the last one.
 *
 * @returns what the new copy holds; null where none was needed
 * @throws CopyRefusal when it cannot be made; what is there stays
 */
export async function copyOfTheDay(
  client: Database.Database,
  folders: Folders,
  today: LocalDate,
): Promise<Held | null> {
  const last = reached(folders).at(-1);
  const newest = newestFactIn(client);
  if (newest === null || last?.on === today || last?.newest === inShort(newest)) return null;
  return (await copyNow(client, folders, today)).held;
}
