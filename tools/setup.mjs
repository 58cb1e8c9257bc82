#!/usr/bin/env node
// Brings a fresh clone to a runnable state, and does next to nothing when it already is. No dependencies.
//   node tools/setup.mjs [--browser] [--build] [--then FILE ARGS…]
import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { copyFileSync, existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { availableParallelism, homedir } from 'node:os';
import path from 'node:path';
import process from 'node:process';
import { fileURLToPath } from 'node:url';
import { build } from './build.mjs';

const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..');
const at = (...parts) => path.join(root, ...parts);
const thenAt = process.argv.indexOf('--then');
const flags = new Set(process.argv.slice(2, thenAt === -1 ? undefined : thenAt));
const [thenFile, ...thenArgs] = thenAt === -1 ? [] : process.argv.slice(thenAt + 1);
// On standard error: what a command itself prints is the only thing on standard output.
const say = (text) => console.error(`[setup] ${text}`);
const die = (text) => {
  console.error(`[setup] ${text}`);
  process.exit(1);
};

function run(command, args, env = {}) {
  return new Promise((resolve, reject) => {
    const started = Date.now();
    say(`${path.basename(command)} ${args.map((arg) => path.basename(arg)).join(' ')}`);
    const child = spawn(command, args, {
      cwd: root,
      stdio: ['ignore', 'inherit', 'inherit'],
      env: { ...process.env, ...env },
    });
    child.once('error', reject);
    child.once('exit', (code, signal) => {
      if (code !== 0) return reject(new Error(`${command} ${args.join(' ')} ended with ${signal ?? code}`));
      say(`  done in ${((Date.now() - started) / 1000).toFixed(1)} s`);
      return resolve();
    });
  });
}

// Inside `npm run`, npm_execpath is npm's own script: the same npm, no PATH look-up.
const npmCli = process.env.npm_execpath?.endsWith('.js') ? process.env.npm_execpath : undefined;
const npm = (args, env) => (npmCli ? run(process.execPath, [npmCli, ...args], env) : run('npm', args, env));

function checkNode() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  const tooOld = major < 20 || (major === 20 && minor < 19) || major === 21 || (major === 22 && minor < 12);
  if (tooOld) die(`Node ${process.versions.node} is too old: 20.19+ or 22.12+ is needed.`);
}

const lock = readFileSync(at('package-lock.json'));
const addon = at('node_modules/better-sqlite3/build/Release/better_sqlite3.node');
const read = (file) => (existsSync(file) ? readFileSync(file, 'utf8') : '');

/** Where an earlier compile of the database addon is kept, so that a second clone needs no compiler. */
function cachedAddon() {
  const { integrity } = JSON.parse(lock).packages['node_modules/better-sqlite3'];
  const glibc = process.report?.getReport?.().header?.glibcVersionRuntime ?? '';
  const key = createHash('sha256')
    .update(`${integrity} ${process.versions.modules} ${process.platform} ${process.arch} ${glibc}`)
    .digest('hex')
    .slice(0, 24);
  const cacheHome = process.env.XDG_CACHE_HOME || path.join(homedir(), '.cache');
  return path.join(cacheHome, 'ulu-native', `better_sqlite3-${key}.node`);
}

async function buildAddon() {
  const cache = cachedAddon();
  if (existsSync(cache)) {
    mkdirSync(path.dirname(addon), { recursive: true });
    copyFileSync(cache, addon);
    say('better-sqlite3: took the earlier build from the cache');
    return;
  }
  // Headers beside the running Node let node-gyp build without a download.
  const prefix = path.resolve(path.dirname(process.execPath), '..');
  const headers = existsSync(path.join(prefix, 'include/node/node_version.h')) ? { npm_config_nodedir: prefix } : {};
  // -O1 halves the compile at a modest cost in query speed.
  const compilerFlags =
    process.platform === 'win32'
      ? {}
      : { CFLAGS: process.env.CFLAGS ?? '-O1', CXXFLAGS: process.env.CXXFLAGS ?? '-O1' };
  say('better-sqlite3: fetching its prebuilt binary, or else compiling it (a minute or two, once)');
  try {
    await npm(['rebuild', 'better-sqlite3'], { JOBS: String(availableParallelism()), ...headers, ...compilerFlags });
  } catch (error) {
    die(
      `${error.message}\nbetter-sqlite3 could not be built. Offline it needs python3, make, g++ and Node's headers ` +
        '(Debian: apt-get install -y python3 make g++).',
    );
  }
  try {
    mkdirSync(path.dirname(cache), { recursive: true });
    copyFileSync(addon, `${cache}.${process.pid}`);
    renameSync(`${cache}.${process.pid}`, cache);
  } catch {
    // A cache that cannot be written costs the next clone a minute; it is no error here.
  }
}

async function packages() {
  const stampFile = at('node_modules/.setup-stamp');
  const stamp = createHash('sha256')
    .update(lock)
    .update(`${process.versions.modules} ${process.platform} ${process.arch}`)
    .digest('hex');
  if (read(stampFile) === stamp && existsSync(addon)) return;
  // --ignore-scripts: only better-sqlite3 needs its install step, run below; other binaries ship inside their packages.
  await npm(['ci', '--ignore-scripts', '--prefer-offline', '--no-audit', '--no-fund']);
  await buildAddon();
  writeFileSync(stampFile, stamp);
}

function chromium() {
  return [
    process.env.CHROMIUM_PATH,
    '/usr/bin/chromium-headless-shell',
    '/usr/bin/chromium',
    '/usr/bin/chromium-browser',
    '/usr/bin/google-chrome',
    '/Applications/Google Chrome.app/Contents/MacOS/Google Chrome',
  ].find((candidate) => candidate && existsSync(candidate));
}

async function browser() {
  if (chromium()) return;
  if (process.platform === 'linux' && process.getuid?.() === 0 && existsSync('/usr/bin/apt-get')) {
    const env = { DEBIAN_FRONTEND: 'noninteractive' };
    const install = (name) => run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', name], env);
    await run('apt-get', ['update', '-qq'], env);
    // Not every release has the shell, which is the quicker of the two.
    await install('chromium-headless-shell').catch(() => install('chromium'));
    if (chromium()) return;
  }
  die('The browser tests need Chromium. Install it (Debian: sudo apt-get install -y chromium), or set CHROMIUM_PATH.');
}

/** Hands over to the real program; a signal to this process reaches it, so nothing is left running. */
function handOver(file, args) {
  const loader = file.endsWith('.ts') ? ['--import', 'tsx'] : [];
  const child = spawn(process.execPath, [...loader, at(file), ...args], { cwd: root, stdio: 'inherit' });
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => child.kill(signal));
  child.once('error', (error) => die(error.message));
  child.once('exit', (code, signal) => process.exit(code ?? (signal ? 1 : 0)));
}

const started = Date.now();
checkNode();
try {
  await Promise.all([packages(), flags.has('--browser') ? browser() : undefined]);
  if (flags.has('--build')) await build(run);
} catch (error) {
  die(error.message);
}
if (Date.now() - started > 2000) say(`ready after ${((Date.now() - started) / 1000).toFixed(0)} s`);
if (thenFile) handOver(thenFile, thenArgs);
