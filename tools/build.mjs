// What is built of the sources: the pages in web/dist, the programs in server/dist. No dependencies but the two builders.
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import process from 'node:process';
import { fileURLToPath } from 'node:url';

const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..');
const at = (...parts) => path.join(root, ...parts);

/**
 * Programs started as they were built: read as TypeScript, each start of one, and each start of its thread, takes two
 * seconds longer. A thread is begun by the file beside the program that starts it, built or not.
 */
const PROGRAMS = {
  main: 'server/main.ts',
  demo: 'tools/demo.ts',
  thread: 'server/work/worker.ts',
  'look-over': 'server/db/look-over.mjs',
};

const BUILDS = [
  {
    sources: ['core', 'contract', 'web'],
    folder: 'web/dist',
    command: ['node_modules/vite/bin/vite.js', 'build', at('web'), '--logLevel', 'warn'],
  },
  {
    sources: [
      'core',
      'contract',
      'server',
      'demo',
      ...['demo', 'make-demo', 'load-demo'].map((name) => `tools/${name}.ts`),
    ],
    folder: 'server/dist',
    command: [
      'node_modules/esbuild/bin/esbuild',
      ...Object.entries(PROGRAMS).map(([name, file]) => `${name}=${file}`),
      ...['--bundle', '--splitting', '--packages=external', '--platform=node', '--format=esm', '--target=node20'],
      ...['--outdir=server/dist', '--out-extension:.js=.mjs', '--log-level=warning'],
    ],
  },
];

const isSource = (file) => !file.includes(`${path.sep}dist${path.sep}`) && !/\.test\.tsx?$/.test(file);

const filesOf = (source) => (source.endsWith('.ts') ? [at(source)] : filesUnder(at(source)));

const filesUnder = (directory) =>
  readdirSync(directory, { withFileTypes: true, recursive: true })
    .filter((entry) => entry.isFile())
    .map((entry) => path.join(entry.parentPath ?? entry.path, entry.name))
    .filter(isSource)
    .sort();

/** Hash of all that goes into a build: file times mean nothing after a clone. */
function sourceHash(sources) {
  const hash = createHash('sha256').update(readFileSync(at('package-lock.json')));
  for (const file of [...sources.flatMap(filesOf), fileURLToPath(import.meta.url)])
    hash.update(path.relative(root, file)).update(readFileSync(file));
  return hash.digest('hex');
}

const stampOf = (folder) => at(folder, '.source-hash');
const isOf = ({ folder }, hash) => existsSync(stampOf(folder)) && readFileSync(stampOf(folder), 'utf8') === hash;

/** Are the programs in server/dist those of the sources as they stand? */
export const areProgramsBuilt = () =>
  BUILDS.every((one) => one.folder !== 'server/dist' || isOf(one, sourceHash(one.sources)));

/** Builds what is not there, or is of other sources. `run` starts a command and answers once it has ended. */
export async function build(run) {
  for (const one of BUILDS) {
    const hash = sourceHash(one.sources);
    if (isOf(one, hash)) continue;
    rmSync(at(one.folder), { recursive: true, force: true });
    await run(process.execPath, one.command);
    writeFileSync(stampOf(one.folder), hash);
  }
}
