import { spawn } from 'node:child_process';
import { cpSync, mkdirSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import process from 'node:process';
import { mutated, type Mutant } from '#tools/mutants/mutate.ts';

/** What Jest tells of each file of tests, as much of it as is read. */
type JestTold = {
  readonly testResults: readonly {
    readonly name: string;
    readonly status: string;
    readonly startTime: number;
    readonly endTime: number;
  }[];
};
const WHOLE_SECONDS = 900;
const ENDS_AT_FIRST = ['--bail', '--env=./tools/mutants/first-failure.mjs'];

export type Ran = { readonly passed: boolean };

/** A copy of the program in which formulas may be broken. */
export class Sandbox {
  readonly folder = mkdtempSync(path.join(tmpdir(), 'ulu-mutants-'));
  private readonly temporary = path.join(this.folder, 'tmp');

  constructor(files: readonly string[]) {
    for (const file of files) {
      const to = path.join(this.folder, file);
      mkdirSync(path.dirname(to), { recursive: true });
      cpSync(file, to);
    }
    mkdirSync(this.temporary);
    symlinkSync(path.resolve('node_modules'), path.join(this.folder, 'node_modules'));
  }

  /** Runs tests that are whole. @returns the seconds of each, `null` of one that fails all the same */
  async timed(tests: readonly string[]): Promise<ReadonlyMap<string, number | null>> {
    const told = path.join(this.folder, 'whole.json');
    await this.run(tests, WHOLE_SECONDS, ['--json', `--outputFile=${told}`]);
    const { testResults } = JSON.parse(readFileSync(told, 'utf8')) as JestTold;
    return new Map(
      testResults.map(({ name, status, startTime, endTime }) => [
        path.relative(this.folder, name),
        status === 'passed' ? (endTime - startTime) / 1000 : null,
      ]),
    );
  }

  /** Runs tests until the first fails, or for so long: what does not end has failed. */
  run(tests: readonly string[], mostSeconds: number, how: readonly string[] = ENDS_AT_FIRST): Promise<Ran> {
    const flags = ['--experimental-vm-modules', '--disable-warning=ExperimentalWarning'];
    const jest = ['node_modules/jest/bin/jest.js', ...how, '--runInBand', '--silent', '--runTestsByPath', ...tests];
    const child = spawn(process.execPath, [...flags, ...jest], {
      cwd: this.folder,
      stdio: 'ignore',
      // What a test that was cut short leaves behind goes with the sandbox.
      env: { ...process.env, TZ: 'UTC', TMPDIR: this.temporary },
    });
    const clock = setTimeout(() => child.kill('SIGKILL'), mostSeconds * 1000);
    return new Promise((resolve) => {
      child.once('exit', (code) => {
        clearTimeout(clock);
        resolve({ passed: code === 0 });
      });
    });
  }

  /** Runs tests with one formula broken; it is whole again afterwards. */
  async runBroken(mutant: Mutant, tests: readonly string[], mostSeconds: number): Promise<Ran> {
    const file = path.join(this.folder, mutant.file);
    const whole = readFileSync(file, 'utf8');
    writeFileSync(file, mutated(whole, mutant));
    try {
      return await this.run(tests, mostSeconds);
    } finally {
      writeFileSync(file, whole);
    }
  }

  remove(): void {
    rmSync(this.folder, { recursive: true, force: true });
  }
}
