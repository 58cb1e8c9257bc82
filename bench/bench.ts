/** `npm run bench`: a table of figures, each beside a peer from the same run. Never a test: machines are noisy. */
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import process from 'node:process';
import { fillBigRecord, INSTRUMENTS, YEARS } from '#bench/big-record.ts';
import { firstViewScript } from '#bench/first-view.ts';
import { at, median, ms, print, times, type Row } from '#bench/measure.ts';
import { plannerRows } from '#bench/planner.ts';
import { situationOf } from '#core/care/situation.ts';
import { instantOfMs, localMomentOf } from '#core/time/instant.ts';
import { createApp } from '#server/app.ts';
import { openDatabase } from '#server/db/connection.ts';
import { instrumentPageOf } from '#server/features/care/care.use-cases.ts';
import { schoolsPageOf } from '#server/features/schools/schools.views.ts';
import { servicesOn } from '#server/repositories.ts';

const folder = mkdtempSync(path.join(tmpdir(), 'ulu-bench-'));
const { on: today } = localMomentOf(instantOfMs(Date.now()), 'UTC');
const database = openDatabase(folder);
const services = servicesOn(database.db, () => Date.now());
console.log(`Filling ${INSTRUMENTS} instruments with ${YEARS} years of plays …`);
const plays = fillBigRecord(database, services, today);

async function clocks(): Promise<Row> {
  const shelf = services.instruments.onShelf().map((instrument) => {
    const items = situationOf(
      instrument,
      { plays: services.plays.columns('none'), lastDone: new Map(), signs: new Map(), decisions: new Map() },
      { choices: {}, conditions: [] },
      today,
    ).practice.items;
    return {
      instrument,
      facts: {
        plays: services.plays.columns(instrument.id),
        signs: services.care.signs(instrument.id),
        decisions: services.care.decisions(instrument.id),
        lastDone: services.care.lastDone(
          instrument.id,
          items.map(({ id }) => id),
        ),
      },
    };
  });
  const count = database.client.prepare('select count(*), sum(minutes) from plays');
  const core = await times(15, () =>
    shelf.map(({ instrument, facts }) => situationOf(instrument, facts, { choices: {}, conditions: [] }, today)),
  );
  const raw = await times(5, () => count.get());
  return {
    what: `clocks of ${INSTRUMENTS} instruments, ${plays} plays, warm`,
    figure: ms(median(core)),
    beside: `${ms(median(raw))} for one count and sum over the plays in SQLite`,
    goal: '< 50 ms',
  };
}

async function page(): Promise<Row> {
  const app = createApp({ services, version: 'bench', countMigrations: () => 1, boundHost: '127.0.0.1' });
  const server = app.listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  const { port } = server.address() as AddressInfo;
  const served = await times(200, async (run) => {
    const answer = await fetch(`http://127.0.0.1:${port}/api/care/i${(run * 7) % INSTRUMENTS}?today=${today}`);
    await answer.arrayBuffer();
    if (!answer.ok) throw new Error(`the server answered ${answer.status}`);
  });
  const rows = database.client
    .prepare('select wall_minute, minutes from plays where instrument_id = ? order by wall_minute')
    .raw();
  const raw = await times(200, (run) => rows.all(`i${(run * 7) % INSTRUMENTS}`));
  server.close();
  server.closeAllConnections();
  return {
    what: 'page data of one instrument from the server, p95',
    figure: ms(at(served, 0.95)),
    beside: `${ms(at(raw, 0.95))} to read its plays raw (×${(at(served, 0.95) / at(raw, 0.95)).toFixed(1)})`,
    goal: '< 25 ms',
  };
}

/** What every other choice would change for one instrument with ten years of plays, computed anew. */
async function schoolChange(): Promise<Row> {
  const format = { date: (date: string) => date };
  const page = (id: string) => schoolsPageOf(services, id, today, format);
  const all = await times(20, (run) => page(`i${(run * 7) % INSTRUMENTS}`));
  const plain = await times(20, (run) => instrumentPageOf(services, `i${(run * 7) % INSTRUMENTS}`, today, format));
  return {
    what: 'a school change: what every choice of an instrument would change, p95',
    figure: ms(at(all, 0.95)),
    beside: `${ms(at(plain, 0.95))} for its care page (×${(at(all, 0.95) / at(plain, 0.95)).toFixed(1)})`,
    goal: '< 200 ms',
  };
}

const PRACTICE_WORDS = ['heel to tip, flat into its slot', 'Water out through every water key'];

function script(): Row {
  const { gzipKb, brotliKb, text } = firstViewScript();
  const leaked = PRACTICE_WORDS.filter((words) => text.includes(words));
  return {
    what: 'script of the first view',
    figure: `${gzipKb.toFixed(0)} kB gzip`,
    beside: `${brotliKb.toFixed(0)} kB brotli; practice tables in it: ${leaked.length === 0 ? 'none' : 'YES'}`,
    goal: '≤ 250 kB',
  };
}

/** From the start of the process until it says where it is. */
async function startUp(): Promise<Row> {
  const start = (args: readonly string[]) =>
    new Promise<void>((resolve, reject) => {
      const child = spawn(process.execPath, [...args], { stdio: ['ignore', 'pipe', 'ignore'] });
      child.stdout.on('data', (chunk: Buffer) => {
        if (chunk.toString().includes('http')) child.kill('SIGTERM');
      });
      child.once('exit', (code) => (code === 0 || code === null ? resolve() : reject(new Error(`ended with ${code}`))));
    });
  const ulu = await times(3, () =>
    start(['--import', 'tsx', 'server/main.ts', '--port', '0', '--data', folder, '--quiet']),
  );
  const bare = await times(3, () =>
    start(['--import', 'tsx', '-e', 'console.log("http"); setTimeout(() => {}, 5000)']),
  );
  return {
    what: 'start and stop on that record',
    figure: ms(median(ulu)),
    beside: `${ms(median(bare))} for an empty program under the same loader`,
    goal: '–',
  };
}

try {
  const rows = [await clocks(), await page(), await schoolChange(), ...(await plannerRows()), script()];
  database.close();
  print([...rows, await startUp()]);
} finally {
  rmSync(folder, { recursive: true, force: true });
}
