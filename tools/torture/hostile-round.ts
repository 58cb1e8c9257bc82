import { connect } from 'node:net';
import { randomUUID } from 'node:crypto';
import { agentPaths } from '#contract/agents.ts';
import { healthPath } from '#contract/health.ts';
import { packupPaths } from '#contract/packup.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { createApp, type AppOptions } from '#server/app.ts';
import { everyQuestion } from '#server/testing/every-question.ts';
import { routesOf } from '#server/http/routes-of.ts';
import { count, type Counts } from '#tools/torture/counts.ts';
import { ask, post, startVictim, type Victim } from '#tools/torture/victim.ts';

const nested = (open: string, close: string, depth: number) => `${open.repeat(depth)}1${close.repeat(depth)}`;
const LONG = 'x'.repeat(90_000);
const PROTO = '{"__proto__":{"admin":true},"constructor":{"prototype":{}},"key":"x"}';

/** Bodies nobody of ours would send. */
const BODIES: readonly unknown[] = [
  '',
  'null',
  '[]',
  '0',
  '"text"',
  '{"a":',
  nested('[', ']', 45_000),
  '['.repeat(99_000),
  nested('{"a":', '}', 15_000),
  nested('[', ']', 11),
  PROTO,
  { key: [[[[{ a: LONG.slice(0, 40_000) }]]]] },
  { key: randomUUID(), instrumentId: LONG },
  { key: randomUUID(), instrumentId: { $ne: null }, now: { on: '9999-99-99', atMinute: -1 } },
  {
    key: randomUUID(),
    now: { on: '2026-02-31', atMinute: 1e308 },
    minutes: -1,
    parts: Array.from({ length: 9000 }, () => 1),
  },
  { key: randomUUID(), set: { format: 'ulu-method-set', version: 2, choices: { __proto__: null, 'a-b': { c: 1 } } } },
  Object.fromEntries(Array.from({ length: 6000 }, (_, index) => [`p${index}`, index])),
  { key: "'; drop table facts; --", name: '\u0000\u202e\uffff', does: ['\ud800'] },
];
const NAMES: readonly string[] = [
  'none',
  '..%2f..%2fetc',
  '%00',
  '%e2%80%8b',
  'x'.repeat(2000),
  '__proto__',
  "' or 1=1 --",
];
const DAYS: readonly string[] = ['2026-11-24', '2026-02-31', '', '9999-12-31', 'x'.repeat(500), '1900-01-01', '%00'];

/** Every address that is read, each with names and days nobody has; and some there are none of. */
const reads = (name: string, day: string): string[] => [
  ...Object.values(
    everyQuestion({
      ...{
        playerId: name,
        instrumentId: name,
        runKey: name,
        secret: name,
        copy: name,
        incoming: name,
        reedId: name,
        oboe: name,
        lines: Number(day.slice(0, 2)) || 0,
      },
      now: { on: day as LocalDate, atMinute: Number(day.slice(-2)) || -1 },
    }),
  ),
  `/api/agents/${name}/verdicts`,
  agentPaths.mixing(name, name),
  `/api/${name}`,
  `/${name}`,
  `/assets/${name}`,
];

/** Every route of the program, whether or not anybody has thought of it here. */
const ROUTES = routesOf(
  createApp({
    serve: () => {
      throw new Error('only its routes are looked at');
    },
    files: {} as NonNullable<AppOptions['files']>,
    health: () => ({ version: '', database: 'ok', migrations: 0 }),
    boundHost: '127.0.0.1',
  }),
);

/** Every address that is written to. */
const WRITES: readonly string[] = [
  ...ROUTES.filter(({ method }) => method === 'post').map(({ path }) => path.replace(/:\w+/g, randomUUID())),
  packupPaths.events('none'),
  '/api/nothing',
  '/nothing',
];

const LONGEST_REFUSAL = 20_000;
const HALF_OPEN = 20;
const LET_GO_WITHIN_MS = 15_000;

/** Sockets that begin a request and never end it are let go, and meanwhile hold up nobody. */
async function halfOpen(counts: Counts, victim: Victim): Promise<void> {
  const { port, hostname } = new URL(victim.url);
  const sockets = Array.from({ length: HALF_OPEN }, () => {
    const socket = connect(Number(port), hostname);
    socket.on('error', () => undefined);
    socket.resume();
    socket.write(
      'POST /api/plays HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Length: 50\r\nContent-Type: application/json\r\n',
    );
    return socket;
  });
  await ask(counts, victim, healthPath);
  const closed = Promise.all(
    sockets.map((socket) => new Promise<void>((resolve) => socket.once('close', () => resolve()))),
  );
  const inTime = await Promise.race([
    closed.then(() => true),
    new Promise<boolean>((resolve) => setTimeout(() => resolve(false), LET_GO_WITHIN_MS).unref()),
  ]);
  if (!inTime) counts.faults.push('half-open sockets were not let go');
  for (const socket of sockets) socket.destroy();
  count(counts, 'half-open sockets', HALF_OPEN);
}

/** Every body to every address that is written to: each is refused, and shortly. */
async function hostileBodies(counts: Counts, victim: Victim): Promise<void> {
  for (const path of WRITES)
    for (const body of BODIES) {
      const answer = await post(counts, victim, path, body);
      count(counts, 'hostile bodies');
      if (answer === null) continue;
      if (answer.status < 400) counts.faults.push(`${path} took ${JSON.stringify(body).slice(0, 120)}`);
      if (answer.body.length > LONGEST_REFUSAL) counts.faults.push(`${path}: ${answer.body.length} bytes of refusal`);
    }
}

/** How names and days nobody has are put together: every one of them at least once, or each name with each day. */
export type Pairing = 'each-once' | 'all';

function pairsOf(pairing: Pairing): (readonly [string, string])[] {
  if (pairing === 'all') return NAMES.flatMap((name) => DAYS.map((day) => [name, day] as const));
  const longer = Math.max(NAMES.length, DAYS.length);
  return Array.from(
    { length: longer },
    (_, at) => [NAMES[at % NAMES.length] ?? '', DAYS[at % DAYS.length] ?? ''] as const,
  );
}

/** Names and days nobody has, and ways of asking nobody uses. */
async function hostileQuestions(counts: Counts, victim: Victim, pairing: Pairing): Promise<void> {
  for (const path of pairsOf(pairing).flatMap(([name, day]) => reads(name, day))) await ask(counts, victim, path);
  for (const method of ['PUT', 'PATCH', 'DELETE', 'OPTIONS', 'TRACE_'])
    for (const path of WRITES) await ask(counts, victim, path, { method, body: method === 'OPTIONS' ? null : '{}' });
}

/** Sends what nobody should send to every route: each is refused shortly, none with a 5xx, and the server stays up. */
export async function hostileRound(counts: Counts, dataFolder: string, pairing: Pairing): Promise<void> {
  const victim = await startVictim(dataFolder);
  if (!victim) return void counts.faults.push('the server did not start for the hostile requests');
  const opened = halfOpen(counts, victim);
  await hostileBodies(counts, victim);
  await hostileQuestions(counts, victim, pairing);
  await opened;
  const health = await ask(counts, victim, healthPath);
  if (health?.status !== 200)
    counts.faults.push(`after the hostile requests the server says ${health?.status ?? 'nothing'}`);
  await victim.stop();
}
