import Database from 'better-sqlite3';
import { drizzle } from 'drizzle-orm/better-sqlite3';
import { randomUUID } from 'node:crypto';
import path from 'node:path';
import { LARGEST_SEED, seeded, type Random } from '#demo/random.ts';
import type { RunView } from '#contract/packup.ts';
import { shownRun } from '#contract/shown-run.ts';
import { instantOfMs, localMomentOf } from '#core/time/instant.ts';
import { addDays } from '#core/time/local-date.ts';
import { DATABASE_FILE } from '#server/db/connection.ts';
import { FACTS } from '#server/facts.ts';
import { recordBreaches } from '#server/record/check-record.repository.ts';
import { WOODEN } from '#server/testing/test-server.ts';
import { count, type Counts } from '#tools/torture/counts.ts';
import { entryOf, Gone, KINDS } from '#tools/torture/entries.ts';
import { ask, post, startVictim, type Victim } from '#tools/torture/victim.ts';

const TABS = 3;
const LONGEST_LIFE_MS = 1500;

/** What was sent, and whether the server has confirmed it. */
type Sent = { readonly path: string; readonly body: { readonly key: string }; confirmed: boolean };

const now = () => localMomentOf(instantOfMs(Date.now()), 'UTC');

/** The record the examples of facts are of. */
async function furnish(counts: Counts, victim: Victim): Promise<void> {
  const { on: today } = now();
  await post(counts, victim, '/api/players', { id: 'ada', name: 'Ada', standing: 'grown-up', does: ['key-oil'] });
  await post(counts, victim, '/api/players', { id: 'kit', name: 'Kit', standing: 'child', does: [] });
  for (const [id, kind, build] of [
    ['clarinet', 'clarinet', WOODEN],
    ['other', 'clarinet', WOODEN],
    ['trumpet', 'trumpet', { finish: 'lacquer', brassMouthpiece: 'plated' }],
  ] as const)
    await post(counts, victim, '/api/instruments', {
      ...{ id, name: id, kind, build, playerId: 'ada', acquiredOn: addDays(today, -3000), cameNew: false, today },
    });
}

const FURTHEST_BACK = 2900;
const WITHDRAWN = 0.12;
const CORRECTED = 0.1;

/** What takes back or corrects something that was confirmed before; null where there is nothing of the kind. */
function secondThought(random: Random, sent: readonly Sent[]): Sent | null {
  const confirmed = sent.filter((one) => one.confirmed);
  const target = confirmed[random.whole(0, Math.max(0, confirmed.length - 1))];
  const key = randomUUID();
  if (target === undefined) return null;
  if (random.chance(WITHDRAWN / (WITHDRAWN + CORRECTED)))
    return { path: '/api/withdrawals', body: { key, targetKey: target.body.key } as never, confirmed: false };
  if (target.path !== '/api/plays') return null;
  return {
    path: target.path,
    body: { ...target.body, key, corrects: target.body.key, minutes: 5 } as never,
    confirmed: false,
  };
}

/** An entry of any kind there is, of some day; now and then one that takes back or corrects what was sent before. */
async function anEntry(counts: Counts, victim: Victim, random: Random, sent: readonly Sent[]): Promise<Sent | null> {
  if (random.chance(WITHDRAWN + CORRECTED)) return secondThought(random, sent);
  const kind = KINDS[random.whole(0, KINDS.length - 1)] ?? '';
  // What lies ahead, a concert or a sitting, is of no day long gone.
  const daysAgo = random.chance(0.5) ? 0 : random.whole(1, FURTHEST_BACK);
  const entry = await entryOf(kind, daysAgo, now(), (where, body) => post(counts, victim, where, body));
  if (entry === null) return null;
  count(counts, `  of kind ${kind}`);
  return { path: entry.path, body: { ...entry.body, key: randomUUID() }, confirmed: false };
}

/** One tab: entry after entry, some of them twice at once, until the server is gone. */
async function tab(counts: Counts, victim: Victim, sent: Sent[], random: Random): Promise<void> {
  for (;;) {
    const entry = await anEntry(counts, victim, random, sent).catch((error: unknown) => {
      if (error instanceof Gone) return 'gone' as const;
      throw error;
    });
    if (entry === 'gone') return;
    if (entry === null) continue;
    sent.push(entry);
    const tries = random.chance(0.2) ? 2 : 1;
    const answers = await Promise.all(
      Array.from({ length: tries }, () => post(counts, victim, entry.path, entry.body)),
    );
    if (answers.includes(null)) return;
    const statuses = answers.map((answer) => answer?.status ?? 0);
    if (statuses.some((status) => status === 201 || status === 200)) entry.confirmed = true;
    if (statuses.filter((status) => status === 201).length > 1)
      counts.faults.push(`${entry.path}: recorded twice at once`);
  }
}

/** Two tabs on one pack-up: both start it, both tick; it is one run, and every tick confirmed is in it. */
async function twoTabs(counts: Counts, victim: Victim): Promise<void> {
  const start = (key: string) => ({
    key,
    playerId: 'ada',
    kind: 'after',
    parts: [{ instrumentId: 'clarinet', playKey: null, itemIds: [] }],
    minutesAtHand: null,
    now: now(),
  });
  const starts = await Promise.all(
    [randomUUID(), randomUUID()].map((key) => post(counts, victim, '/api/runs', start(key))),
  );
  const [one, other] = starts.map((answer) => (answer ? (JSON.parse(answer.body) as RunView) : null));
  if (!one || !other) return;
  if (one.key !== other.key) counts.faults.push('two tabs began two runs');
  const steps = one.plan.steps.filter(({ look }) => look === null).slice(0, 8);
  const tick = (stepKey: string) =>
    post(counts, victim, `/api/runs/${one.key}/events`, { key: randomUUID(), kind: 'ticked', stepKey });
  const ticks = await Promise.all(steps.flatMap(({ key }) => [tick(key), tick(key)]));
  const after = await ask(counts, victim, `/api/runs/${one.key}`);
  if (!after || ticks.includes(null)) return;
  const ticked = new Set(
    shownRun(JSON.parse(after.body) as RunView)
      .steps.filter(({ state }) => state === 'ticked')
      .map(({ key }) => key),
  );
  for (const { key } of steps)
    if (!ticked.has(key)) counts.faults.push(`the tick of ${key} was confirmed and is not there`);
  await post(counts, victim, '/api/withdrawals', { key: randomUUID(), targetKey: one.key });
  count(counts, 'runs of two tabs');
}

/** Opens the file beside the server and looks whether it is whole and holds all that was confirmed, once. */
function checkFile(counts: Counts, dataFolder: string, sent: readonly Sent[]): void {
  const client = new Database(path.join(dataFolder, DATABASE_FILE), { readonly: true });
  const integrity = client.pragma('integrity_check', { simple: true });
  if (integrity !== 'ok') counts.faults.push(`integrity: ${String(integrity)}`);
  const orphans = client.pragma('foreign_key_check') as unknown[];
  if (orphans.length > 0) counts.faults.push(`${orphans.length} rows point at nothing`);
  const times = client
    .prepare(
      'select (select count(*) from facts where key = :key) + (select count(*) from other_keys where key = :key)',
    )
    .pluck();
  for (const { path: where, body, confirmed } of sent) {
    const found = Number(times.get({ key: body.key }));
    // Taking back what was taken back already is answered with the first withdrawal.
    const isExpected = confirmed && where !== '/api/withdrawals';
    if (found > 1 || (isExpected && found === 0))
      counts.faults.push(`${where} ${body.key}: confirmed, found ${found} times`);
    if (confirmed) count(counts, 'confirmed entries looked for after the kill');
  }
  for (const fault of recordBreaches(drizzle({ client }), FACTS)) counts.faults.push(fault);
  client.close();
}

/** Logs from several tabs, kills the server in the middle, and looks whether anything that was confirmed is lost. */
export async function loggingRound(counts: Counts, dataFolder: string, random: Random): Promise<void> {
  const victim = await startVictim(dataFolder);
  if (!victim) return void counts.faults.push('the server did not start after a kill');
  await furnish(counts, victim);
  await twoTabs(counts, victim);
  const sent: Sent[] = [];
  const tabs = Array.from({ length: TABS }, () => tab(counts, victim, sent, seeded(random.whole(0, LARGEST_SEED))));
  await new Promise((resolve) => setTimeout(resolve, random.whole(20, LONGEST_LIFE_MS)));
  await victim.kill();
  await Promise.all(tabs);
  count(counts, 'kills while logging');
  const again = await startVictim(dataFolder);
  if (!again) return void counts.faults.push('the server did not start after a kill while logging');
  checkFile(counts, dataFolder, sent);
  // Sent again, what was confirmed is answered as before: nothing is recorded a second time.
  for (const entry of sent.filter(({ confirmed }) => confirmed).slice(-40)) {
    const answer = await post(counts, again, entry.path, entry.body);
    if (answer?.status === 201) counts.faults.push(`${entry.path} ${entry.body.key}: recorded a second time`);
  }
  await again.stop();
}
