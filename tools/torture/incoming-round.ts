import Database from 'better-sqlite3';
import { existsSync, readdirSync } from 'node:fs';
import path from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { RECORD_FORMAT, RECORD_VERSION } from '#core/data/document.ts';
import { dataPaths, type IncomingView } from '#contract/data.ts';
import type { Random } from '#demo/random.ts';
import { DATABASE_FILE } from '#server/db/connection.ts';
import { count, type Counts } from '#tools/torture/counts.ts';
import { ask, post, startVictim, type Answer, type Victim } from '#tools/torture/victim.ts';

/** Players of a document: enough that taking them in lasts some turns. */
const PLAYERS = 800;
const LOOK_AGAIN_MS = 20;
const LONGEST_LOOKS = 3000;
/** Longer than taking it in lasts, by a little. */
const LONGEST_LIFE_MS = 700;

/** A record of people nobody knows yet, two facts each. */
function documentOf(name: string): string {
  const common = { on: '2026-01-01', atMinute: null, loggedAt: '2026-01-01T10:00:00.000Z', corrects: null };
  const facts = Array.from({ length: PLAYERS }, (_, at) => `${name}-${at}`).flatMap((id) => [
    { ...common, key: `player/${id}`, kind: 'player', belongsTo: null, body: { id } },
    {
      ...{ ...common, key: `profile/${id}`, kind: 'profile', belongsTo: `player/${id}` },
      body: { playerId: id, name: id, standing: 'grown-up', does: [] },
    },
  ]);
  return JSON.stringify({ format: RECORD_FORMAT, version: RECORD_VERSION, instrument: null, facts, otherKeys: [] });
}

const bring = (counts: Counts, victim: Victim, body: string): Promise<Answer | null> =>
  ask(counts, victim, dataPaths.incomingNamed('torture.json'), {
    method: 'POST',
    headers: { 'content-type': 'application/octet-stream' },
    body,
  });

/** What has come of a file, once the server waits for a word or has one; null where it is gone. */
async function settled(counts: Counts, victim: Victim, id: string): Promise<IncomingView | null> {
  for (let looks = 0; looks < LONGEST_LOOKS; looks++) {
    const answer = await ask(counts, victim, dataPaths.one(id));
    if (answer?.status !== 200) return null;
    const view = JSON.parse(answer.body) as IncomingView;
    if (view.phase !== 'reading' && view.phase !== 'taking') return view;
    await pause(LOOK_AGAIN_MS);
  }
  counts.faults.push('a file that was brought in was looked at without end');
  return null;
}

/** How many of a name are in a record, and whether its pages hold together. */
function found(folder: string, name: string): { readonly players: number; readonly whole: boolean } {
  const client = new Database(path.join(folder, DATABASE_FILE));
  try {
    const players = client.prepare('select count(*) from players where id like ?').pluck().get(`${name}-%`) as number;
    return { players, whole: client.pragma('integrity_check', { simple: true }) === 'ok' };
  } finally {
    client.close();
  }
}

/** Brings a document in and has it looked at. @returns its name there; null where something went wrong */
async function broughtIn(counts: Counts, victim: Victim, name: string): Promise<string | null> {
  const brought = await bring(counts, victim, documentOf(name));
  const { id } = JSON.parse(brought?.body ?? '{}') as { id?: string };
  const looked = id === undefined ? null : await settled(counts, victim, id);
  if (looked?.phase === 'ready') return looked.id;
  counts.faults.push(`a document was not looked at: ${looked?.problems[0]?.words ?? brought?.status}`);
  return null;
}

/** What a killed import has left: all of it or nothing, in a record that is whole. */
function lookAfter(counts: Counts, folder: string, name: string): void {
  const { players, whole } = found(folder, name);
  if (!whole) counts.faults.push('a killed import left a record that is not whole');
  if (players === PLAYERS) count(counts, '  of which all of it was there');
  else if (players > 0) counts.faults.push(`a killed import left ${players} of ${PLAYERS}`);
}

/** Kills a server while it takes a document in: all of it is in the record, or nothing. */
export async function incomingRound(counts: Counts, folder: string, random: Random): Promise<void> {
  const name = `in-${random.whole(0, 1_000_000_000)}`;
  const victim = await startVictim(folder);
  if (!victim) return void counts.faults.push('the server did not start before a document was brought in');
  const id = await broughtIn(counts, victim, name);
  if (id !== null) await post(counts, victim, dataPaths.take(id), { players: [], today: '2026-01-01' });
  await pause(random.whole(0, LONGEST_LIFE_MS));
  await victim.kill();
  count(counts, 'kills while a document is taken in');
  lookAfter(counts, folder, name);
  const again = await startVictim(folder);
  if (!again) return void counts.faults.push('the server did not start after a killed import');
  await again.stop();
  const incoming = path.join(folder, 'incoming');
  if (existsSync(incoming) && readdirSync(incoming).length > 0)
    counts.faults.push('what a killed import had been brought was left behind');
}
