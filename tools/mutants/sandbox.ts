import { spawn } from 'node:child_process';
import { cpSync, mkdirSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import process from 'node:process';
import { mutated, type Mutant } from '#tools/mutants/mutate.ts';

export type Ran = { readonly passed: boolean; readonly seconds: number };

/** A copy of the program in which formulas may be broken. */
export class Sandbox {
  readonly folder = mkdtempSync(path.join(tmpdir(), 'ulu-mutants-'));

  constructor(files: readonly string[]) {
    for (const file of files) {
      const to = path.join(this.folder, file);
      mkdirSync(path.dirname(to), { recursive: true });
      cpSync(file, to);
    }
    symlinkSync(path.resolve('node_modules'), path.join(this.folder, 'node_modules'));
  }

  /** Runs tests until the first fails, or for so long: what does not end has failed. */
  run(tests: readonly string[], mostSeconds: number): Promise<Ran> {
    const begun = performance.now();
    const flags = ['--experimental-vm-modules', '--disable-warning=ExperimentalWarning'];
    const jest = ['node_modules/jest/bin/jest.js', '--bail', '--runInBand', '--silent', '--runTestsByPath', ...tests];
    const child = spawn(process.execPath, [...flags, ...jest], {
      cwd: this.folder,
      stdio: 'ignore',
      env: { ...process.env, TZ: 'UTC' },
    });
    const clock = setTimeout(() => child.kill('SIGKILL'), mostSeconds * 1000);
    return new Promise((resolve) => {
      child.once('exit', (code) => {
        clearTimeout(clock);
        resolve({ passed: code === 0, seconds: (performance.now() - begun) / 1000 });
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
