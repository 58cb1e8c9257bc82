import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { carePaths } from '#contract/care.ts';
import { DEVICE_HEADER } from '#contract/device.ts';
import { instrumentPaths } from '#contract/instruments.ts';
import { packupPaths, type RunView } from '#contract/packup.ts';
import { playerPaths } from '#contract/players.ts';
import { ribbonPaths } from '#contract/ribbon.ts';
import { sittingPaths } from '#contract/sittings.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';
import { BOOK } from '#core/tables/book.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { INSTRUMENTS } from '#bench/big-record.ts';
import { ask } from '#bench/serving.ts';
import { ms, type Row } from '#bench/measure.ts';
import { startVictim, type Victim } from '#tools/torture/victim.ts';

const TICKS_TO_WARM = 60;
const TICKS = 200;
const FIRST_PLANS = 10;
const PLANS = 1000;
const HOSTILE = 100_000;
const AT_A_TIME = 20;
const BYTES_PER_KB = 1024;

/** What a process holds, its threads included, MB; NaN where the system does not say. */
function residentMb(pid: number): number {
  try {
    const [, kb] = /VmRSS:\s+(\d+) kB/.exec(readFileSync(`/proc/${pid}/status`, 'utf8')) ?? [];
    return Number(kb) / BYTES_PER_KB;
  } catch {
    return Number.NaN;
  }
}

/** Processor time a process has had, its threads included, ms; NaN where the system does not say. */
function processorMs(pid: number): number {
  try {
    // After the name in brackets, which may hold anything: user and system time in ticks of a hundredth of a second.
    const fields = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1]?.split(' ') ?? [];
    return (Number(fields[11]) + Number(fields[12])) * 10;
  } catch {
    return Number.NaN;
  }
}

/** What one tick costs the server, processor time, ms: many of them, one after the other. */
async function tickCost({ url, pid }: Victim, today: LocalDate): Promise<number> {
  const now = { on: today, atMinute: 1 };
  const parts = [{ instrumentId: 'i1', playKey: null, itemIds: [] }];
  const start = { key: randomUUID(), playerId: 'p', kind: 'after', parts, minutesAtHand: null, now };
  const run = JSON.parse(await ask(`${url}${packupPaths.start}`, start)) as RunView;
  const stepKey = run.plan.steps.find(({ look }) => look === null)?.key;
  const tick = (at: number) =>
    ask(`${url}${packupPaths.events(run.key)}`, {
      ...{ key: randomUUID(), kind: at % 2 === 0 ? 'ticked' : 'unticked', stepKey },
    });
  for (let at = 0; at < TICKS_TO_WARM; at++) await tick(at);
  const before = processorMs(pid);
  for (let at = 0; at < TICKS; at++) await tick(at);
  return (processorMs(pid) - before) / TICKS;
}

/** Everything once, and a plan: what a server holds that has been in use. */
async function useIt({ url }: Victim, today: LocalDate): Promise<void> {
  for (const page of [instrumentPaths.shelf(today), carePaths.overview(today), ribbonPaths.of(today)])
    await ask(`${url}${page}`);
  for (let index = 0; index < INSTRUMENTS; index++) await ask(`${url}${carePaths.page(`i${index}`, today)}`);
}

const SOLO = { playerId: 'solo', instrumentId: 'solo-flute' } as const;

async function addSolo({ url }: Victim, today: LocalDate): Promise<void> {
  const { playerId, instrumentId: id } = SOLO;
  await ask(`${url}${playerPaths.list}`, { id: playerId, name: 'Solo', standing: 'grown-up', does: [] });
  const shelved = { id, name: 'Flute', kind: 'flute', build: usualBuild(BOOK.kinds.flute), playerId };
  await ask(`${url}${instrumentPaths.add}`, { ...shelved, acquiredOn: '2020-01-01', cameNew: false, today });
}

/** Plans of a player with one instrument: another one each time, for they have other time. */
async function planOften({ url }: Victim, today: LocalDate, plans: number): Promise<void> {
  const { playerId } = SOLO;
  for (let plan = 0; plan < plans; plan++) {
    const minutes = Array.from({ length: 7 }, (_, day) => 10 + ((plan * 7 + day * 13) % 90));
    const now = { on: today, atMinute: 600 };
    await ask(`${url}${sittingPaths.times}`, { key: randomUUID(), playerId, minutes, now });
    await ask(`${url}${sittingPaths.of(playerId, today)}`);
  }
}

/** Requests nobody should send, from as many devices as there are requests. */
async function beHostile({ url }: Victim): Promise<void> {
  const one = async (index: number): Promise<void> => {
    const headers = { 'Content-Type': 'application/json', [DEVICE_HEADER]: randomUUID() };
    const bodies = ['{', '[]', JSON.stringify({ parts: Array.from({ length: 2000 }, () => 1) }), '{"key":null}'];
    const body = bodies[index % bodies.length] ?? '';
    const answer = await fetch(`${url}${index % 3 === 0 ? `/api/${randomUUID()}` : packupPaths.start}`, {
      ...{ method: 'POST', headers, body },
    });
    await answer.arrayBuffer();
  };
  for (let index = 0; index < HOSTILE; index += AT_A_TIME)
    await Promise.all(Array.from({ length: AT_A_TIME }, (_, at) => one(index + at)));
}

/** The server as a program on the large record: what a tick costs it, and what it holds, also after hostile use. */
export async function wholeServerRows(dataFolder: string, today: LocalDate): Promise<Row[]> {
  const server = await startVictim(dataFolder);
  if (server === null) throw new Error('the server did not start on the large record');
  const empty = residentMb(server.pid);
  await useIt(server, today);
  await addSolo(server, today);
  await planOften(server, today, FIRST_PLANS);
  const perTick = await tickCost(server, today);
  const used = residentMb(server.pid);
  await planOften(server, today, PLANS);
  await beHostile(server);
  const after = residentMb(server.pid);
  await server.stop();
  return [
    {
      what: 'a tick, processor time of the whole server',
      figure: ms(perTick),
      beside: `${TICKS} of them; their run has a log of as many entries`,
      goal: '< 5 ms',
    },
    {
      what: 'what the server holds on that record, threads included',
      figure: `${used.toFixed(0)} MB`,
      beside: `${empty.toFixed(0)} MB when it has just started; ${after.toFixed(0)} MB ${PLANS} plans and ${HOSTILE} hostile requests later (×${(after / used).toFixed(2)})`,
      goal: '< 350 MB, ≤ ×1.2',
    },
  ];
}
