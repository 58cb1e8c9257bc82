import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { dataPaths, type IncomingView } from '#contract/data.ts';
import type { WallClock } from '#core/plays/play.ts';
import { BOOK } from '#core/tables/book.ts';
import { dayNumber, type LocalDate } from '#core/time/local-date.ts';
import { createApp } from '#server/app.ts';
import { FACTS } from '#server/facts.ts';
import { IncomingFiles } from '#server/features/data/incoming.ts';
import { holdRecord } from '#server/held-record.ts';
import { builtThread } from '#server/testing/built-thread.ts';
import { createDesk } from '#server/work/desk.ts';

const MS_PER_MINUTE = 60_000;
const MS_PER_DAY = 1440 * MS_PER_MINUTE;

/** Somebody was refused what they asked for. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    what: string,
    readonly answer: string,
  ) {
    super(`${what}: ${status} ${answer}`);
  }
}

/** The program with a record and a desk of its own, and a clock that is set by hand. */
export type Household = {
  /** The wall clock of whoever lives here. */
  readonly now: () => WallClock;
  readonly setClock: (on: LocalDate, atMinute: number) => void;
  readonly get: (at: string) => Promise<unknown>;
  /** The same of what is no JSON. */
  readonly text: (at: string) => Promise<string>;
  readonly post: (at: string, body: object) => Promise<unknown>;
  /** The next key: the same in every life lived again. */
  readonly newKey: () => string;
  /** Goes on living on another machine, with everything that was said. */
  readonly move: () => Promise<void>;
  readonly stop: () => Promise<void>;
};

/** The program on an empty record of its own, until it is stopped. */
async function openServer(nowMs: () => number) {
  const folder = mkdtempSync(path.join(tmpdir(), 'ulu-life-'));
  const desk = createDesk(builtThread());
  const composing = { book: BOOK, nowMs, desk };
  const record = holdRecord(folder, composing);
  const incoming = new IncomingFiles({ ...composing, record, definitions: FACTS });
  const app = createApp({
    noticed: (error) => record.database().watch.noticed(error),
    serve: record.serve,
    files: { record, incoming, nowMs },
    health: () => ({ version: 'life', database: record.database().watch.state(), migrations: 1 }),
    boundHost: '127.0.0.1',
  });
  const server = createServer(app).listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  const { port } = server.address() as AddressInfo;
  return {
    url: `http://127.0.0.1:${port}`,
    stop: async () => {
      server.closeAllConnections();
      await new Promise((resolve) => server.close(resolve));
      incoming.endAll();
      await desk.close();
      record.database().close();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
type Running = Awaited<ReturnType<typeof openServer>>;

/** Asks, and is answered. @throws Refused */
async function answerTo({ url }: Running, at: string, init: RequestInit): Promise<string> {
  const answer = await fetch(`${url}${at}`, init);
  const text = await answer.text();
  if (!answer.ok)
    throw new Refused(answer.status, `${init.method} ${at} ${String(init.body ?? '').slice(0, 2000)}`, text);
  return text;
}
const posted = (body: object): RequestInit => ({
  method: 'POST',
  headers: { 'Content-Type': 'application/json' },
  body: JSON.stringify(body),
});

const LOOK_AGAIN_MS = 20;

/** Carries everything from one machine to another, as a person does: saved as a file here, brought in there. */
async function carry(from: Running, to: Running, today: LocalDate): Promise<void> {
  const document = await answerTo(from, dataPaths.record, { method: 'GET' });
  const brought = await answerTo(to, dataPaths.incomingNamed('record.json'), {
    method: 'POST',
    headers: { 'Content-Type': 'application/octet-stream' },
    body: document,
  });
  const { id } = JSON.parse(brought) as IncomingView;
  const settled = async (): Promise<IncomingView> => {
    const view = JSON.parse(await answerTo(to, dataPaths.one(id), { method: 'GET' })) as IncomingView;
    if (view.phase !== 'reading' && view.phase !== 'taking') return view;
    await pause(LOOK_AGAIN_MS);
    return settled();
  };
  await settled();
  await answerTo(to, dataPaths.take(id), posted({ players: [], today }));
  const { phase, problems } = await settled();
  if (phase !== 'taken') throw new Error(`the record was not taken in: ${problems[0]?.words ?? phase}`);
}

/** Opens a household on an empty record; what is asked goes over the wire, as a screen asks it. */
export async function openHousehold(from: LocalDate): Promise<Household> {
  let clock: WallClock = { on: from, atMinute: 0 };
  const nowMs = (): number => dayNumber(clock.on) * MS_PER_DAY + clock.atMinute * MS_PER_MINUTE;
  let running = await openServer(nowMs);
  let keys = 0;
  const ask = async (at: string, init: RequestInit): Promise<unknown> =>
    JSON.parse(await answerTo(running, at, init)) as unknown;
  return {
    now: () => clock,
    setClock: (on, atMinute) => {
      clock = { on, atMinute };
    },
    get: (at) => ask(at, { method: 'GET' }),
    text: (at) => answerTo(running, at, { method: 'GET' }),
    post: (at, body) => ask(at, posted(body)),
    newKey: () => `00000000-0000-4000-8000-${String(++keys).padStart(12, '0')}`,
    move: async () => {
      const next = await openServer(nowMs);
      await carry(running, next, clock.on);
      await running.stop();
      running = next;
    },
    stop: () => running.stop(),
  };
}
