import Database from 'better-sqlite3';
import { drizzle } from 'drizzle-orm/better-sqlite3';
import { randomUUID } from 'node:crypto';
import path from 'node:path';
import { instantOfMs, localMomentOf } from '#core/time/instant.ts';
import { addDays } from '#core/time/local-date.ts';
import { calendarInPaths } from '#contract/calendar-in.ts';
import { playerPaths } from '#contract/players.ts';
import type { Random } from '#demo/random.ts';
import { DATABASE_FILE } from '#server/db/connection.ts';
import { FACTS } from '#server/facts.ts';
import { recordBreaches } from '#server/record/check-record.repository.ts';
import { count, type Counts } from '#tools/torture/counts.ts';
import { ask, post, startVictim } from '#tools/torture/victim.ts';

/** A start that takes longer than this is killed no later. */
const LONGEST_START_MS = 2000;
const LONGEST_IMPORT_MS = 1200;
const LONGEST_DEMO_MS = 15_000;
const DATES = 600;

/** Looks at the file with nobody beside it. @returns what `of` asks of it */
function looked<Found>(
  counts: Counts,
  dataFolder: string,
  when: string,
  of: (client: Database.Database) => Found,
): Found {
  const client = new Database(path.join(dataFolder, DATABASE_FILE), { readonly: true });
  try {
    const integrity = client.pragma('integrity_check', { simple: true });
    if (integrity !== 'ok') counts.faults.push(`integrity after a kill while ${when}: ${String(integrity)}`);
    for (const fault of recordBreaches(drizzle({ client }), FACTS)) counts.faults.push(fault);
    return of(client);
  } finally {
    client.close();
  }
}

const factsIn = (client: Database.Database): unknown =>
  client.prepare('select count(*), max(id) from facts').raw().get();

/** Kills a server while it starts: the record is as it was, and the next one starts on it. */
export async function startRound(counts: Counts, dataFolder: string, random: Random): Promise<void> {
  const before = looked(counts, dataFolder, 'nothing was done', factsIn);
  const victim = await startVictim(dataFolder, (child) => {
    setTimeout(() => child.kill('SIGKILL'), random.whole(0, LONGEST_START_MS));
  });
  await victim?.kill();
  count(counts, 'kills while starting');
  const after = looked(counts, dataFolder, 'starting', factsIn);
  if (JSON.stringify(after) !== JSON.stringify(before)) counts.faults.push('a killed start changed the record');
  const again = await startVictim(dataFolder);
  if (!again) return void counts.faults.push('the server did not start after a killed start');
  await again.stop();
}

function largeCalendar(today: string): string {
  const compact = today.replaceAll('-', '');
  return [
    'BEGIN:VCALENDAR',
    'X-WR-CALNAME:The long one',
    ...Array.from({ length: DATES }, (_, at) =>
      [
        'BEGIN:VEVENT',
        `UID:${at}`,
        `DTSTART:${compact}T190000`,
        'DURATION:PT1H',
        `SUMMARY:Practice ${at}`,
        'END:VEVENT',
      ].join('\r\n'),
    ),
    'END:VCALENDAR',
  ].join('\r\n');
}

type Import = { readonly key: string };

/** Kills a server while it takes in a large calendar: it is in the record whole, or not at all, and can be sent again. */
export async function importRound(counts: Counts, dataFolder: string, random: Random): Promise<void> {
  const victim = await startVictim(dataFolder);
  if (!victim) return void counts.faults.push('the server did not start before an import');
  const now = localMomentOf(instantOfMs(Date.now()), 'UTC');
  const body = {
    ...{ key: randomUUID(), playerId: 'ada', zone: 'UTC', fileName: 'long.ics', now, dropped: [] },
    text: largeCalendar(addDays(now.on, random.whole(1, 60))),
    choices: Array.from({ length: DATES }, (_, at) => ({
      uid: String(at),
      what: 'rehearsal',
      instrumentIds: ['clarinet'],
    })),
  };
  const sending = post(counts, victim, calendarInPaths.imports, body);
  await new Promise((resolve) => setTimeout(resolve, random.whole(0, LONGEST_IMPORT_MS)));
  await victim.kill();
  const confirmed = (await sending)?.status === 201;
  count(counts, 'kills while importing');
  const dates = looked(counts, dataFolder, 'importing', (client) =>
    client
      .prepare('select json_array_length(dates) from calendar_imports join facts on facts.id = fact_id where key = ?')
      .pluck()
      .get(body.key),
  );
  const isThere = dates !== undefined;
  if (isThere ? dates !== DATES : confirmed)
    counts.faults.push(
      `a killed import${confirmed ? ' that was confirmed' : ''}: ${String(dates ?? 0)} of ${DATES} dates`,
    );
  await sentAgain(counts, dataFolder, body, isThere ? 200 : 201);
}

/** Sends an import once more, and takes it back. */
async function sentAgain(counts: Counts, dataFolder: string, body: Import, wanted: number): Promise<void> {
  const again = await startVictim(dataFolder);
  if (!again) return void counts.faults.push('the server did not start after a killed import');
  const answer = await post(counts, again, calendarInPaths.imports, body);
  if (answer?.status !== wanted) counts.faults.push(`an import sent again: ${answer?.status ?? 'no answer'}`);
  await post(counts, again, '/api/withdrawals', { key: randomUUID(), targetKey: body.key });
  await again.stop();
}

/** Kills the making of a demo: the next one makes it anew, whole. */
export async function demoRound(counts: Counts, dataFolder: string, random: Random): Promise<void> {
  const victim = await startVictim(
    dataFolder,
    (child) => void setTimeout(() => child.kill('SIGKILL'), random.whole(0, LONGEST_DEMO_MS)),
    'demo',
  );
  await victim?.kill();
  count(counts, 'kills while making the demo');
  const again = await startVictim(dataFolder, undefined, 'demo');
  if (!again) return void counts.faults.push('the demo was not made after a kill');
  const players = await ask(counts, again, playerPaths.list);
  if (players?.status !== 200 || (JSON.parse(players.body) as unknown[]).length === 0)
    counts.faults.push('a demo made after a kill has no players');
  await again.stop();
  looked(counts, dataFolder, 'making the demo', factsIn);
}
