import Database from 'better-sqlite3';
import { copyFileSync, mkdirSync, readdirSync } from 'node:fs';
import path from 'node:path';
import { seeded } from '#demo/random.ts';
import { DATABASE_FILE } from '#server/db/connection.ts';
import { appliedMigrations, readJournal } from '#server/db/migrate.ts';
import { databaseAfter, linesOf } from '#server/testing/old-database.ts';
import { count, type Counts } from '#tools/torture/counts.ts';
import { startVictim } from '#tools/torture/victim.ts';

/** The last version of before the record became one. */
const BEFORE = 3;
const MORE_PLAYS = 40_000;
/** About as long as a start with this migration takes. */
const LONGEST_LIFE_MS = 6000;

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

/** Kills the server while it carries an old record over: the file is then the old one or the new one, whole. */
export async function migrationRound(counts: Counts, old: string, dataFolder: string, seed: number): Promise<void> {
  mkdirSync(dataFolder, { recursive: true });
  const file = path.join(dataFolder, DATABASE_FILE);
  copyFileSync(old, file);
  const before = said(old, 0);
  const lifeMs = seeded(seed).whole(200, LONGEST_LIFE_MS);
  const victim = await startVictim(dataFolder, (child) => setTimeout(() => child.kill('SIGKILL'), lifeMs).unref());
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
