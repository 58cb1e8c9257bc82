import Database from 'better-sqlite3';
import { copyFileSync, mkdirSync, readdirSync, rmSync, watch } from 'node:fs';
import path from 'node:path';
import type { Random } from '#demo/random.ts';
import { DATABASE_FILE } from '#server/db/connection.ts';
import { appliedMigrations, COPY_IN_THE_MAKING, readJournal } from '#server/db/migrate.ts';
import { carriedOn, databaseAfter } from '#server/testing/old-database.ts';
import { linesOf } from '#server/testing/lines-of.ts';
import { count, type Counts } from '#tools/torture/counts.ts';
import { startVictim } from '#tools/torture/victim.ts';

/** The last version of before the record became one. */
const BEFORE = 3;
/** Plays in an old record: enough that carrying it over takes long enough to be interrupted anywhere. */
export const OLD_PLAYS = 40_000;

/** An old record of some version, large enough that there is something to interrupt. */
export type OldRecord = {
  readonly file: string;
  readonly version: number;
  /** What it says, as it reads in this version. */
  readonly said: string;
  /** How long this machine takes to carry it over, copy included, when nobody interrupts it, ms. */
  readonly lengthMs: number;
};

/** Every version a record may be of that is not this one. */
export const oldVersions = (): number[] => Array.from({ length: readJournal().length - 1 }, (_, at) => at + 1);

function oldFile(file: string, version: number, plays: number): void {
  const start = Math.min(version, BEFORE);
  const client = databaseAfter(start, file);
  const play = client.prepare(
    "insert into plays (key, instrument_id, player_id, ended_on, ended_at_minute, minutes, logged_at) values (?, 'cl', 'ada', '2025-01-02', ?, 1, '2026-01-02T00:00:00.000Z')",
  );
  client.transaction(() => {
    for (let index = 0; index < plays; index++) play.run(`more-${index}`, index % 1440);
  })();
  carriedOn(client, start, version);
  client.pragma('wal_checkpoint(TRUNCATE)');
  client.close();
}

/** What a record says: before it became one it is read as it was then, since then as it is now. */
function said(file: string, version: number): string {
  const client = new Database(file, { readonly: true });
  try {
    return JSON.stringify(linesOf(client, version <= BEFORE ? 0 : 1));
  } finally {
    client.close();
  }
}

/** The versions before the last one of its kind are read at that one: they lack some of its tables. */
function saidBefore(file: string, version: number): string {
  if (version >= BEFORE) return said(file, version);
  const copy = `${file}.carried`;
  rmSync(copy, { force: true });
  copyFileSync(file, copy);
  const client = new Database(copy);
  carriedOn(client, version, BEFORE);
  client.close();
  return said(copy, BEFORE);
}

function furnishOld(old: string, dataFolder: string): string {
  mkdirSync(dataFolder, { recursive: true });
  const file = path.join(dataFolder, DATABASE_FILE);
  copyFileSync(old, file);
  return file;
}

/** Calls once when the copy before a migration is begun, which is when the carrying over starts. */
function onMigrating(dataFolder: string, then: () => void): void {
  const watcher = watch(dataFolder, { persistent: false }, (_, name) => {
    if (!name?.includes(COPY_IN_THE_MAKING)) return;
    watcher.close();
    then();
  });
}

/** Makes a record of a version, and carries it over once without interruption. */
export async function oldRecord(folder: string, version: number, plays: number): Promise<OldRecord> {
  const file = path.join(folder, `old-${version}.db`);
  oldFile(file, version, plays);
  const dataFolder = path.join(folder, `uninterrupted-${version}`);
  furnishOld(file, dataFolder);
  let began = 0;
  onMigrating(dataFolder, () => (began = performance.now()));
  const server = await startVictim(dataFolder);
  const lengthMs = performance.now() - began;
  await server?.stop();
  if (!server || began === 0) throw new Error('An old record was not carried over, though nobody interrupted it.');
  return { file, version, said: saidBefore(file, version), lengthMs };
}

/** Kills the server while it carries an old record over: the file is then the old one or the new one, whole. */
export async function migrationRound(
  counts: Counts,
  old: OldRecord,
  { dataFolder, random }: { readonly dataFolder: string; readonly random: Random },
): Promise<void> {
  const file = furnishOld(old.file, dataFolder);
  const [newest, name] = [readJournal().length, `of version ${old.version}`];
  const lifeMs = random.whole(0, Math.ceil(old.lengthMs));
  const victim = await startVictim(dataFolder, (child) =>
    onMigrating(dataFolder, () => setTimeout(() => child.kill('SIGKILL'), lifeMs)),
  );
  await victim?.kill();
  count(counts, 'kills while migrating');
  const client = new Database(file);
  const applied = appliedMigrations(client).length;
  const integrity = client.pragma('integrity_check', { simple: true });
  client.close();
  if (integrity !== 'ok') counts.faults.push(`integrity after a killed migration ${name}: ${String(integrity)}`);
  const isNew = applied === newest;
  if (!isNew && applied !== old.version) counts.faults.push(`a half-done migration ${name}: ${applied} of ${newest}`);
  count(counts, isNew ? '  of which the new record was there' : '  of which the old record was there');
  const left = isNew ? said(file, newest) : saidBefore(file, old.version);
  if (left !== old.said) counts.faults.push(`a killed migration ${name} changed what the record says`);
  const again = await startVictim(dataFolder);
  if (!again) return void counts.faults.push(`the server did not start after a killed migration ${name}`);
  await again.stop();
  if (said(file, newest) !== old.said)
    counts.faults.push(`a migration begun anew ${name} changed what the record says`);
  if (readdirSync(dataFolder).some((one) => one.includes('in-the-making')))
    counts.faults.push('a copy that was cut off was left behind');
}
