import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { WallClock } from '#core/plays/play.ts';
import { BOOK } from '#core/tables/book.ts';
import { dayNumber, type LocalDate } from '#core/time/local-date.ts';
import { createApp } from '#server/app.ts';
import { compose } from '#server/compose.ts';
import { openDatabase } from '#server/db/connection.ts';
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
  readonly stop: () => Promise<void>;
};

/** Opens a household on an empty record; what is asked goes over the wire, as a screen asks it. */
export async function openHousehold(from: LocalDate): Promise<Household> {
  const folder = mkdtempSync(path.join(tmpdir(), 'ulu-life-'));
  const database = openDatabase(folder);
  const desk = createDesk(builtThread());
  let clock: WallClock = { on: from, atMinute: 0 };
  const nowMs = (): number => dayNumber(clock.on) * MS_PER_DAY + clock.atMinute * MS_PER_MINUTE;
  const app = createApp({
    noticed: database.watch.noticed,
    serve: compose(database, { book: BOOK, nowMs, desk }),
    health: () => ({ version: 'life', database: database.watch.state(), migrations: 1 }),
    boundHost: '127.0.0.1',
  });
  const server = createServer(app).listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  const { port } = server.address() as AddressInfo;

  let keys = 0;
  async function answerTo(at: string, init: RequestInit): Promise<string> {
    const answer = await fetch(`http://127.0.0.1:${port}${at}`, init);
    const text = await answer.text();
    if (!answer.ok) throw new Refused(answer.status, `${init.method} ${at} ${String(init.body ?? '')}`, text);
    return text;
  }
  const ask = async (at: string, init: RequestInit): Promise<unknown> =>
    JSON.parse(await answerTo(at, init)) as unknown;
  return {
    now: () => clock,
    setClock: (on, atMinute) => {
      clock = { on, atMinute };
    },
    get: (at) => ask(at, { method: 'GET' }),
    text: (at) => answerTo(at, { method: 'GET' }),
    post: (at, body) =>
      ask(at, { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) }),
    newKey: () => `00000000-0000-4000-8000-${String(++keys).padStart(12, '0')}`,
    stop: async () => {
      server.closeAllConnections();
      await new Promise((resolve) => server.close(resolve));
      await desk.close();
      database.close();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
