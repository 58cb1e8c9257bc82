/**
 * `npm test`: unit and API tests, the day arithmetic once more in zones with bad nights, then the browser tests.
 * Names its slowest files, and ends with one plain line, `N passed, N failed`. `npm test -- browser` runs the browser tests
 * alone; other words given are handed on to Jest: `npm test -- core/care`, `npm test -- e2e/reeds`.
 */
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import process from 'node:process';
import { launchShared } from '#e2e/harness.ts';
import { makeDemo } from '#tools/make-demo.ts';

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
  ...ZONES.map((zone) => ({ name: `days in ${zone}`, args: ['--selectProjects', 'unit', '--', ...DAY_TESTS], zone })),
  { name: 'browser', args: [`--maxWorkers=${AT_A_TIME.browsing}`, '--selectProjects', 'e2e'] },
];
const named = all.filter(({ name }) => given.length === 1 && given[0] === name);
const chosen = named.length > 0 ? named : [{ name: 'chosen', args: given }];
/** Browser tests start on a demo, whichever of them are asked for. */
const isBrowsed = ({ name }: Part): boolean =>
  name === 'browser' || (name === 'chosen' && given.some((word) => word.startsWith('e2e')));
const parts = given.length > 0 ? chosen : all;

const folder = mkdtempSync(path.join(tmpdir(), 'ulu-test-'));

/** The browser tests each start on a copy of one demo: making it anew takes longer than most of them. */
const preparedDemo = path.join(folder, 'demo');

const SLOWEST = 5;
/** How long each file took, s. */
const took: { readonly name: string; readonly seconds: number }[] = [];

/** Runs one part; a part that leaves no report, or finds no test, counts as a failure. */
function runPart({ name, args, zone }: Part, index: number, env: object = {}): { passed: number; failed: number } {
  console.log(`\n== ${name}`);
  const report = path.join(folder, `${index}.json`);
  const flags = ['--experimental-vm-modules', '--disable-warning=ExperimentalWarning'];
  const { status } = spawnSync(
    process.execPath,
    [...flags, 'node_modules/jest/bin/jest.js', '--json', `--outputFile=${report}`, ...args],
    {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, TZ: zone ?? process.env.TZ ?? 'UTC', ...env },
    },
  );
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
async function runBrowserPart(part: Part, index: number): Promise<{ passed: number; failed: number }> {
  makeDemo(preparedDemo);
  const browsers = await Promise.all(Array.from({ length: AT_A_TIME.browsing }, launchShared));
  const endpoints = browsers.map(({ endpoint }) => endpoint).join(' ');
  try {
    return runPart(part, index, { ULU_PREPARED_DEMO: preparedDemo, ULU_BROWSERS: endpoints });
  } finally {
    await Promise.all(browsers.map(({ close }) => close()));
  }
}

const results: { passed: number; failed: number }[] = [];
for (const [index, part] of parts.entries())
  results.push(isBrowsed(part) ? await runBrowserPart(part, index) : runPart(part, index));
rmSync(folder, { recursive: true, force: true });
const passed = results.reduce((sum, one) => sum + one.passed, 0);
const failed = results.reduce((sum, one) => sum + one.failed, 0);
const slowest = took.toSorted((a, b) => b.seconds - a.seconds).slice(0, SLOWEST);
console.log(`\nThe slowest: ${slowest.map(({ name, seconds }) => `${name} ${seconds.toFixed(0)} s`).join(', ')}`);
console.log(`\n${passed} passed, ${failed} failed`);
process.exitCode = failed > 0 || passed === 0 ? 1 : 0;
