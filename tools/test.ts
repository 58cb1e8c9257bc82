/**
 * `npm test`: unit and API tests, the day arithmetic once more in zones with bad nights, then the browser tests.
 * Names its slowest files, and ends with one plain line, `N passed, N failed`. `npm test -- browser` runs the browser tests
 * alone; other words given are handed on to Jest: `npm test -- core/care`, `npm test -- e2e/reeds`.
 */
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, readFileSync, rmSync, statfsSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import process from 'node:process';
import { launchShared, prepareDemo } from '#e2e/harness.ts';

type Report = {
  readonly numPassedTests: number;
  readonly numFailedTests: number;
  readonly numRuntimeErrorTestSuites: number;
  readonly testResults: readonly { readonly name: string; readonly startTime: number; readonly endTime: number }[];
};
type Part = { readonly name: string; readonly args: readonly string[]; readonly zone?: string };

/** Files that run side by side: one for each of two cores, and one more where a browser is mostly waited for. */
const AT_A_TIME = { computing: 2, browsing: 3 };
const DAY_TESTS = ['core/time', 'core/plays', 'core/care/care-clock'];
const ZONES = ['America/Los_Angeles', 'Europe/Berlin', 'Pacific/Auckland'];
const given = process.argv.slice(2);
const all: readonly Part[] = [
  { name: 'unit and API', args: [`--maxWorkers=${AT_A_TIME.computing}`, '--selectProjects', 'unit', 'api'] },
  ...ZONES.map((zone) => ({
    name: `days in ${zone.replace('/', ' ')}`,
    args: ['--selectProjects', 'unit', '--', ...DAY_TESTS],
    zone,
  })),
  { name: 'browser', args: [`--maxWorkers=${AT_A_TIME.browsing}`, '--selectProjects', 'e2e'] },
];
const named = all.filter(({ name }) => given.length === 1 && given[0] === name);
const chosen = named.length > 0 ? named : [{ name: 'chosen', args: given }];
/** Browser tests start on a demo, whichever of them are asked for. */
const isBrowsed = ({ name }: Part): boolean =>
  name === 'browser' || (name === 'chosen' && given.some((word) => word.startsWith('e2e')));
const parts = given.length > 0 ? chosen : all;

const BUILT_THREAD = path.resolve('server/dist/thread.mjs');

const IN_MEMORY = '/dev/shm';
/** Far more than the records of all tests that run at a time. */
const ROOM_BYTES = 4e9;
/** Where tests keep their records: in memory where there is room, for every answer of a record waits for its disk. */
function roomiest(): string {
  try {
    const { bavail, bsize } = statfsSync(IN_MEMORY);
    return bavail * bsize >= ROOM_BYTES ? IN_MEMORY : tmpdir();
  } catch {
    return tmpdir();
  }
}
const folder = mkdtempSync(path.join(roomiest(), 'ulu-test-'));
process.env.TMPDIR = folder;

/** The browser tests each start on a copy of one demo: making it anew takes longer than most of them. */
const preparedDemo = path.join(folder, 'demo');

const SLOWEST = 5;
/** It is made beside the tests that need none. */
const demo = parts.some(isBrowsed) ? prepareDemo(preparedDemo) : null;
// Who waits for it hears of it.
demo?.catch(() => undefined);

/** How long each file took, s. */
const took: { readonly name: string; readonly seconds: number }[] = [];

type Result = { readonly passed: number; readonly failed: number };

/** Runs one part; a part that leaves no report, or finds no test, counts as a failure. */
async function runPart({ name, args, zone }: Part, env: object = {}): Promise<Result> {
  console.log(`\n== ${name}`);
  const report = path.join(folder, `${name}.json`);
  const flags = ['--experimental-vm-modules', '--disable-warning=ExperimentalWarning'];
  const jest = spawn(
    process.execPath,
    [...flags, 'node_modules/jest/bin/jest.js', '--json', `--outputFile=${report}`, ...args],
    {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, TZ: zone ?? process.env.TZ ?? 'UTC', ULU_BUILT_THREAD: BUILT_THREAD, ...env },
    },
  );
  const [status] = (await once(jest, 'exit')) as [number | null];
  try {
    const read = JSON.parse(readFileSync(report, 'utf8')) as Report;
    const failed = read.numFailedTests + read.numRuntimeErrorTestSuites;
    for (const { name: file, startTime, endTime } of read.testResults)
      took.push({ name: path.relative('.', file), seconds: (endTime - startTime) / 1000 });
    return { passed: read.numPassedTests, failed: failed === 0 && status !== 0 ? 1 : failed };
  } catch {
    console.error(`${name}: Jest left no report (exit ${status})`);
    return { passed: 0, failed: 1 };
  }
}

/** The browser tests share a browser for each file that runs at a time, and one demo to start from. */
async function runBrowserPart(part: Part): Promise<Result> {
  await demo;
  const browsers = await Promise.all(Array.from({ length: AT_A_TIME.browsing }, launchShared));
  const endpoints = browsers.map(({ endpoint }) => endpoint).join(' ');
  try {
    return await runPart(part, { ULU_PREPARED_DEMO: preparedDemo, ULU_BROWSERS: endpoints });
  } finally {
    await Promise.all(browsers.map(({ close }) => close()));
  }
}

const zoned = parts.filter(({ zone }) => zone !== undefined);
const results: Result[] = [];
for (const part of parts)
  if (isBrowsed(part)) results.push(await runBrowserPart(part));
  else if (part.zone === undefined) results.push(await runPart(part));
  // Few files each, in a process of its own: all zones at once.
  else if (part === zoned[0]) results.push(...(await Promise.all(zoned.map((one) => runPart(one)))));
rmSync(folder, { recursive: true, force: true });
const passed = results.reduce((sum, one) => sum + one.passed, 0);
const failed = results.reduce((sum, one) => sum + one.failed, 0);
const slowest = took.toSorted((a, b) => b.seconds - a.seconds).slice(0, SLOWEST);
console.log(`\nThe slowest: ${slowest.map(({ name, seconds }) => `${name} ${seconds.toFixed(0)} s`).join(', ')}`);
console.log(`\n${passed} passed, ${failed} failed`);
process.exitCode = failed > 0 || passed === 0 ? 1 : 0;
