import Database from 'better-sqlite3';
import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, rmSync, watch, writeFileSync } from 'node:fs';
import path from 'node:path';
import process from 'node:process';
import { playerPaths } from '#contract/players.ts';
import type { Random } from '#demo/random.ts';
import { blobsIn, blobsOf, isWhole } from '#server/backup/blobs.ts';
import { lookInto } from '#server/backup/look-into.ts';
import { DATABASE_FILE } from '#server/db/connection.ts';
import { COPY_IN_THE_MAKING } from '#server/db/migrate.ts';
import { count, type Counts } from '#tools/torture/counts.ts';
import { post, startVictim } from '#tools/torture/victim.ts';

type Command = 'backup' | 'restore';

/** Runs one of the commands to its end; `onSpawn` may end it before. @returns whether it said that it did what it should */
function run(command: Command, args: readonly string[], onSpawn: (kill: () => void) => void): Promise<boolean> {
  const child = spawn(process.execPath, ['--import', 'tsx', path.resolve('tools', `${command}.ts`), ...args], {
    stdio: 'ignore',
    env: { ...process.env, NODE_OPTIONS: '' },
  });
  onSpawn(() => child.kill('SIGKILL'));
  return new Promise((resolve) => child.once('exit', (code) => resolve(code === 0)));
}

/** Calls once when a copy is begun in a folder. */
function onCopying(folder: string, then: () => void): () => void {
  const watcher = watch(folder, { persistent: false }, (_, name) => {
    if (!name?.includes(COPY_IN_THE_MAKING)) return;
    watcher.close();
    then();
  });
  return () => watcher.close();
}

/** How long a command takes from its first byte on when nobody interrupts it, ms. */
async function lengthOf(command: Command, args: readonly string[], folder: string): Promise<number> {
  let began = 0;
  const stop = onCopying(folder, () => (began = performance.now()));
  const isDone = await run(command, args, () => undefined);
  stop();
  if (!isDone || began === 0) throw new Error(`${command} did not do its work, though nobody interrupted it.`);
  return performance.now() - began;
}

/** The same, killed at some moment of its work; sometimes it is done before. */
async function killed(
  command: Command,
  args: readonly string[],
  { folder, lifeMs }: { readonly folder: string; readonly lifeMs: number },
): Promise<boolean> {
  let stop = () => undefined as void;
  const isDone = await run(command, args, (kill) => {
    stop = onCopying(folder, () => setTimeout(kill, lifeMs));
  });
  stop();
  return isDone;
}

/** Whether a record is whole, and all it says, its log included; who reads it leaves the log where it is. */
function said(file: string): string {
  const client = new Database(file, { readonly: true });
  try {
    const all = (table: string) => client.prepare(`select * from ${table} order by id`).all();
    return JSON.stringify([client.pragma('integrity_check', { simple: true }), all('players'), all('facts')]);
  } finally {
    client.close();
  }
}

const remains = (folder: string): string[] => readdirSync(folder).filter((name) => name.includes(COPY_IN_THE_MAKING));

/** Kills the making of a copy: there is none under its name, or a whole one, and the record is as it was. */
async function copyRound(counts: Counts, folder: string, random: Random): Promise<string> {
  const record = path.join(folder, DATABASE_FILE);
  const before = said(record);
  const [good, out] = ['good', 'out'].map((name) => path.join(folder, `${name}.db.gz`)) as [string, string];
  [good, out].forEach((file) => rmSync(file, { force: true }));
  const lengthMs = await lengthOf('backup', ['--data', folder, '--out', good], folder);
  const args = ['--data', folder, '--out', out];
  const isDone = await killed('backup', args, { folder, lifeMs: random.whole(0, Math.ceil(lengthMs)) });
  count(counts, 'kills while copying');
  if (isDone && !existsSync(out)) counts.faults.push('a copy that was called good is not there');
  if (existsSync(out)) count(counts, '  of which the copy was there');
  else if (!(await run('backup', args, () => undefined)))
    counts.faults.push('no copy could be made after a killed one');
  if (remains(folder).length > 0) counts.faults.push('a copy that was cut off was left behind by the next');
  if (said(record) !== before) counts.faults.push('the making of a copy changed the record');
  return out;
}

/** Says something after the copy, and kills the server: it is in the log and not in the file yet. */
async function sayMore(counts: Counts, folder: string, random: Random): Promise<void> {
  const victim = await startVictim(folder);
  if (!victim) return void counts.faults.push('the server did not start on a copy that was taken back');
  const player = { id: `new-${random.whole(0, 1_000_000_000)}`, name: 'New', standing: 'grown-up', does: [] };
  const answer = await post(counts, victim, playerPaths.list, player);
  await victim.kill();
  if (answer?.status !== 201) counts.faults.push(`a player after a copy was taken back: ${answer?.status}`);
}

/** Kills the taking back of a copy: the record is the one or the other, whole, and the one of before is never lost. */
async function restoreRound(counts: Counts, folder: string, copy: string, random: Random): Promise<void> {
  const record = path.join(folder, DATABASE_FILE);
  const lengthMs = await lengthOf('restore', [copy, '--data', folder], folder);
  const wanted = said(record);
  await sayMore(counts, folder, random);
  const before = said(record);
  const asides = () => readdirSync(folder).filter((name) => /before-restore-\d+\.bak$/.test(name));
  const old = new Set(asides());
  const isDone = await killed('restore', [copy, '--data', folder], {
    folder,
    lifeMs: random.whole(0, Math.ceil(lengthMs)),
  });
  count(counts, 'kills while taking a copy back');
  const left = existsSync(record) ? said(record) : 'nothing';
  if (left === wanted) count(counts, '  of which the copy was in place');
  else if (isDone || left !== before) counts.faults.push('a killed restore left neither the record nor the copy');
  const aside = asides().filter((name) => !old.has(name));
  if (left === wanted && !aside.some((name) => said(path.join(folder, name)) === before))
    counts.faults.push('a killed restore lost the record of before');
  const again = await startVictim(folder);
  if (!again) return void counts.faults.push('the server did not start after a killed restore');
  await again.stop();
  if (remains(folder).length > 0) counts.faults.push('what a killed restore had unpacked was left behind');
  for (const name of asides()) rmSync(path.join(folder, name));
}

const MEGABYTE = 1_000_000;

/** Lays a few files beside the record that go along with every copy. @returns how many there are now */
function layBlobs(folder: string, random: Random): number {
  const blobs = blobsOf(path.join(folder, DATABASE_FILE));
  mkdirSync(blobs, { recursive: true });
  for (let at = 0; at < 3; at++) {
    const bytes = Buffer.alloc(random.whole(1, MEGABYTE), String(random.whole(0, MEGABYTE)));
    writeFileSync(path.join(blobs, createHash('sha256').update(bytes).digest('hex')), bytes);
  }
  return blobsIn(blobs).length;
}

/** Kills a copy in the making and one that is taken back, on a record that is there and the files beside it. */
export async function copiesRound(counts: Counts, folder: string, random: Random): Promise<void> {
  const laid = layBlobs(folder, random);
  const copy = await copyRound(counts, folder, random);
  if (lookInto(path.join(folder, DATABASE_FILE)) === null) counts.faults.push('the record is of another version');
  await restoreRound(counts, folder, copy, random);
  const blobs = blobsIn(blobsOf(path.join(folder, DATABASE_FILE)));
  if (blobs.length < laid) counts.faults.push('what lies beside the record was lost');
  for (const blob of blobs) if (!(await isWhole(blob))) counts.faults.push(`${blob.name} is not what it was`);
}
