import Database from 'better-sqlite3';
import { copyFileSync, mkdirSync, readdirSync, watch } from 'node:fs';
import path from 'node:path';
import type { Random } from '#demo/random.ts';
import { DATABASE_FILE } from '#server/db/connection.ts';
import { appliedMigrations, COPY_IN_THE_MAKING, readJournal } from '#server/db/migrate.ts';
import { databaseAfter, linesOf } from '#server/testing/old-database.ts';
import { count, type Counts } from '#tools/torture/counts.ts';
import { startVictim } from '#tools/torture/victim.ts';

/** The last version of before the record became one. */
const BEFORE = 3;
const MORE_PLAYS = 40_000;

/** An old record, large enough that there is something to interrupt. */
export function oldRecord(file: string): void {
  const client = databaseAfter(BEFORE, file);
  const play = client.prepare(
    "insert into plays (key, instrument_id, player_id, ended_on, ended_at_minute, minutes, logged_at) values (?, 'cl', 'ada', '2025-01-02', ?, 1, '2026-01-02T00:00:00.000Z')",
  );
  client.transaction(() => {
    for (let index = 0; index < MORE_PLAYS; index++) play.run(`more-${index}`, index % 1440);
  })();
  client.pragma('wal_checkpoint(TRUNCATE)');
  client.close();
}

const said = (file: string, which: 0 | 1): string => {
  const client = new Database(file, { readonly: true });
  try {
    return JSON.stringify(linesOf(client, which));
  } finally {
    client.close();
  }
};

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

/** How long this machine takes to carry the old record over, copy included, when nobody interrupts it, in ms. */
export async function migrationLength(old: string, dataFolder: string): Promise<number> {
  furnishOld(old, dataFolder);
  let began = 0;
  onMigrating(dataFolder, () => (began = performance.now()));
  const server = await startVictim(dataFolder);
  const length = performance.now() - began;
  await server?.stop();
  if (!server || began === 0) throw new Error('An old record was not carried over, though nobody interrupted it.');
  return length;
}

type MigrationRound = {
  readonly old: string;
  readonly dataFolder: string;
  /** The kill falls somewhere within this time, as {@link migrationLength} measured it. */
  readonly lengthMs: number;
  readonly random: Random;
};

/** Kills the server while it carries an old record over: the file is then the old one or the new one, whole. */
export async function migrationRound(
  counts: Counts,
  { old, dataFolder, lengthMs, random }: MigrationRound,
): Promise<void> {
  const file = furnishOld(old, dataFolder);
  const before = said(old, 0);
  const lifeMs = random.whole(0, Math.ceil(lengthMs));
  const victim = await startVictim(dataFolder, (child) =>
    onMigrating(dataFolder, () => setTimeout(() => child.kill('SIGKILL'), lifeMs)),
  );
  await victim?.kill();
  count(counts, 'kills while migrating');
  const client = new Database(file);
  const applied = appliedMigrations(client).length;
  const integrity = client.pragma('integrity_check', { simple: true });
  client.close();
  if (integrity !== 'ok') counts.faults.push(`integrity after a killed migration: ${String(integrity)}`);
  const isNew = applied === readJournal().length;
  if (!isNew && applied !== BEFORE) counts.faults.push(`a half-done migration: ${applied} of ${readJournal().length}`);
  count(counts, isNew ? '  of which the new record was there' : '  of which the old record was there');
  if (said(file, isNew ? 1 : 0) !== before) counts.faults.push('a killed migration changed what the record says');
  const again = await startVictim(dataFolder);
  if (!again) return void counts.faults.push('the server did not start after a killed migration');
  await again.stop();
  if (said(file, 1) !== before) counts.faults.push('a migration begun anew changed what the record says');
  if (readdirSync(dataFolder).some((name) => name.includes('in-the-making')))
    counts.faults.push('a copy that was cut off was left behind');
}
