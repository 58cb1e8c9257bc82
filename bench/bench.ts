/** `npm run bench`: a table of figures, each beside a peer from the same run. Never a test: machines are noisy. */
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { monitorEventLoopDelay } from 'node:perf_hooks';
import process from 'node:process';
import { afterAFact } from '#bench/after-a-fact.ts';
import { fillBigRecord, INSTRUMENTS, YEARS } from '#bench/big-record.ts';
import { exportRow } from '#bench/data.ts';
import { doubleReedRows } from '#bench/double-reeds.ts';
import { faultRows } from '#bench/faults.ts';
import { benchRows } from '#bench/the-bench.ts';
import { firstViewScript } from '#bench/first-view.ts';
import { at, median, ms, print, times, type Row } from '#bench/measure.ts';
import { runOfMany } from '#bench/run-of-many.ts';
import { plannerRows } from '#bench/planner.ts';
import { reedRows } from '#bench/reeds.ts';
import { hostileRow, sittingRows } from '#bench/sittings.ts';
import { ask, whileServing } from '#bench/serving.ts';
import { tick } from '#bench/tick.ts';
import { wholeServerRows } from '#bench/whole-server.ts';
import { situationOf } from '#core/situation/situation.ts';
import { BOOK } from '#core/tables/book.ts';
import { instantOfMs, localMomentOf } from '#core/time/instant.ts';
import { compose } from '#server/compose.ts';
import { openDatabase } from '#server/db/connection.ts';
import { ribbonOf } from '#server/features/calendar/ribbon.views.ts';
import { careOverviewOf, instrumentPageOf } from '#server/features/care/care.use-cases.ts';
import { listShelf } from '#server/features/instruments/instruments.use-cases.ts';
import { methodsPageOf } from '#server/features/methods/methods.views.ts';
import type { Services } from '#server/services.ts';
import { builtProgram } from '#tools/testing/programs.ts';

const folder = mkdtempSync(path.join(tmpdir(), 'ulu-bench-'));
const { on: today } = localMomentOf(instantOfMs(Date.now()), 'UTC');
const database = openDatabase(folder);
const serving = compose(database, { book: BOOK, nowMs: () => Date.now() });
const services = serving();
console.log(`Filling ${INSTRUMENTS} instruments with ${YEARS} years of plays …`);
const plays = fillBigRecord(database, services, { today });
const countPlays = database.client.prepare('select count(*), sum(minutes) from plays');

/** The same instruments after one year. */
function lastYear(): Services {
  const opened = openDatabase(path.join(folder, 'one-year'));
  const ofOne = compose(opened, { book: BOOK, nowMs: () => Date.now() })();
  fillBigRecord(opened, ofOne, { today, years: 1 });
  return ofOne;
}

/** Everything read from the file anew: what the first visitor after a start waits for. */
async function cold<Result>(work: () => Promise<Result>): Promise<number> {
  services.readings.forget();
  const start = performance.now();
  await work();
  return performance.now() - start;
}

/** The longest turn of the server while `work` runs, ms. */
async function longestTurn(work: () => Promise<unknown>): Promise<number> {
  const delay = monitorEventLoopDelay({ resolution: 5 });
  delay.enable();
  await work();
  delay.disable();
  return delay.max / 1e6;
}

async function shelf(): Promise<Row[]> {
  const both = async () => {
    await listShelf(services, today);
    await careOverviewOf(services, today);
  };
  const first = await cold(both);
  const warm = await times(15, both);
  const raw = await times(5, () => countPlays.get());
  services.readings.forget();
  const turn = await longestTurn(both);
  return [
    {
      what: `shelf and care of ${INSTRUMENTS} instruments, warm`,
      figure: ms(median(warm)),
      beside: `${ms(median(raw))} for one count and sum over the plays in SQLite`,
      goal: '< 80 ms',
    },
    {
      what: 'the same, nothing read yet',
      figure: ms(first),
      beside: `×${(first / median(raw)).toFixed(1)} of that count; longest turn of the server ${ms(turn)}`,
      goal: '< 1 s, turn < 50 ms',
    },
  ];
}

async function everybodysRibbon(): Promise<Row> {
  const once = () => ribbonOf(services, today);
  await once();
  const warm = await times(30, once);
  const turn = await longestTurn(once);
  return {
    what: `ribbon of ${INSTRUMENTS} instruments with ten years of plays, p95`,
    figure: ms(at(warm, 0.95)),
    beside: `${ms(median(warm))} in the middle; longest turn of the server ${ms(turn)}`,
    goal: '< 150 ms, turn < 100 ms',
  };
}

async function clocks(): Promise<Row> {
  const readings = services.readings.onShelf().flatMap((read) => read() ?? []);
  const core = await times(15, () =>
    readings.map(({ instrument, facts }) => situationOf(BOOK, instrument, facts, today)),
  );
  const raw = await times(5, () => countPlays.get());
  return {
    what: `clocks of ${INSTRUMENTS} instruments, ${plays} plays, warm`,
    figure: ms(median(core)),
    beside: `${ms(median(raw))} for one count and sum over the plays in SQLite`,
    goal: '< 50 ms',
  };
}

async function page(): Promise<Row> {
  services.readings.forget();
  // More pages than instruments: most find what was read before, the first of each does not.
  const served = await whileServing(serving, (url) =>
    times(2 * INSTRUMENTS, (run) => ask(`${url}/api/care/i${(run * 7) % INSTRUMENTS}?today=${today}`)),
  );
  const rows = database.client
    .prepare('select wall_minute, minutes from plays where instrument_id = ? and counts = 1 order by wall_minute')
    .raw();
  const raw = await times(200, (run) => rows.all(`i${(run * 7) % INSTRUMENTS}`));
  return {
    what: 'page data of one instrument from the server, p95',
    figure: ms(at(served, 0.95)),
    beside: `${ms(at(raw, 0.95))} to read its plays raw (×${(at(served, 0.95) / at(raw, 0.95)).toFixed(1)})`,
    goal: '< 25 ms, ≤ ×3',
  };
}

/** What every other choice would change for one instrument with ten years of plays, computed anew. */
async function methodChange(): Promise<Row> {
  const pageOf = (id: string) => {
    services.remembered.forget();
    return methodsPageOf(services, id, today);
  };
  const all = await times(20, (run) => pageOf(`i${(run * 7) % INSTRUMENTS}`));
  const plain = await times(20, (run) => instrumentPageOf(services, `i${(run * 7) % INSTRUMENTS}`, today));
  const turn = await longestTurn(async () => {
    for (let run = 0; run < 20; run++) await pageOf(`i${(run * 7) % INSTRUMENTS}`);
  });
  return {
    what: 'what every choice of method of an instrument would change, p95',
    figure: ms(at(all, 0.95)),
    beside: `${ms(at(plain, 0.95))} for its care page (×${(at(all, 0.95) / at(plain, 0.95)).toFixed(1)}); longest turn ${ms(turn)}`,
    goal: '< 100 ms, turn < 50 ms',
  };
}

/** One fact logged, on the disk before it is confirmed; beside it the same with a confirmation that may be lost. */
async function durability(): Promise<Row> {
  let logged = 0;
  const write = () =>
    services.atOnce(() =>
      services.record.append([
        {
          key: `durable-${logged++}`,
          kind: 'wetness-reset',
          on: today,
          atMinute: null,
          loggedAt: instantOfMs(Date.now()),
          corrects: null,
          belongsTo: null,
          body: { instrumentId: 'i0' },
        },
      ]),
    );
  const full = await times(50, write);
  database.client.pragma('synchronous = NORMAL');
  const normal = await times(50, write);
  database.client.pragma('synchronous = FULL');
  return {
    what: 'one fact logged and on the disk, median',
    figure: ms(median(full)),
    beside: `${ms(median(normal))} without waiting for the disk (×${(median(full) / median(normal)).toFixed(1)})`,
    goal: '–',
  };
}

/** Every sentence of the practice book that is long enough to be no accident. */
const BOOK_WORDS = Object.values(BOOK.pagesOf)
  .flatMap((pages) => pages.flatMap(({ page: { steps, neverDos } }) => [...steps, ...neverDos]))
  .map((row) => ('heading' in row ? row.heading : row.text))
  .filter((words) => words.length > 24);

function script(): Row {
  const { gzipKb, brotliKb, text, contents } = firstViewScript();
  const leaked = BOOK_WORDS.filter((words) => text.includes(words));
  return {
    what: 'script of the first view',
    figure: `${gzipKb.toFixed(0)} kB gzip`,
    beside: `${brotliKb.toFixed(0)} kB brotli; ${contents}; sentences of the practice book in it: ${leaked.length}`,
    goal: '≤ 240 kB',
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
  const ulu = await times(3, () => start([builtProgram('main'), '--port', '0', '--data', folder, '--quiet']));
  const bare = await times(3, () => start(['-e', 'console.log("http"); setTimeout(() => {}, 5000)']));
  return {
    what: 'start and stop on that record',
    figure: ms(median(ulu)),
    beside: `${ms(median(bare))} for an empty program`,
    goal: '< 3 s',
  };
}

try {
  const rows = [
    ...(await shelf()),
    ...(await afterAFact({ ten: services, one: lastYear() }, today)),
    await everybodysRibbon(),
    await clocks(),
    await page(),
    await methodChange(),
    await exportRow(database.client),
    await runOfMany(services, today),
    await tick(serving, today, 'i0'),
    await durability(),
    ...(await plannerRows()),
    ...(await reedRows(today)),
    ...sittingRows(),
    ...faultRows(),
    ...(await benchRows(today)),
    ...doubleReedRows(today),
    hostileRow(),
    script(),
  ];
  database.close();
  print([...rows, await startUp(), ...(await wholeServerRows(folder, today))]);
} finally {
  rmSync(folder, { recursive: true, force: true });
}
