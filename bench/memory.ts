import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { carePaths } from '#contract/care.ts';
import { DEVICE_HEADER } from '#contract/device.ts';
import { instrumentPaths } from '#contract/instruments.ts';
import { packupPaths } from '#contract/packup.ts';
import { playerPaths } from '#contract/players.ts';
import { ribbonPaths } from '#contract/ribbon.ts';
import { sittingPaths } from '#contract/sittings.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';
import { BOOK } from '#core/tables/book.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { INSTRUMENTS } from '#bench/big-record.ts';
import { ask } from '#bench/serving.ts';
import type { Row } from '#bench/measure.ts';
import { startVictim, type Victim } from '#tools/torture/victim.ts';

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

/** What the server holds on the large record: once used, and after long and hostile use. */
export async function memoryRows(dataFolder: string, today: LocalDate): Promise<Row[]> {
  const server = await startVictim(dataFolder);
  if (server === null) throw new Error('the server did not start on the large record');
  const empty = residentMb(server.pid);
  await useIt(server, today);
  await addSolo(server, today);
  await planOften(server, today, FIRST_PLANS);
  const used = residentMb(server.pid);
  await planOften(server, today, PLANS);
  await beHostile(server);
  const after = residentMb(server.pid);
  await server.stop();
  return [
    {
      what: 'what the server holds on that record, threads included',
      figure: `${used.toFixed(0)} MB`,
      beside: `${empty.toFixed(0)} MB when it has just started; ${after.toFixed(0)} MB ${PLANS} plans and ${HOSTILE} hostile requests later (×${(after / used).toFixed(2)})`,
      goal: '< 350 MB, ≤ ×1.2',
    },
  ];
}
