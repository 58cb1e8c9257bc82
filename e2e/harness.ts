import { spawn, type ChildProcess } from 'node:child_process';
import { cpSync, existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import process from 'node:process';
import { setTimeout as pause } from 'node:timers/promises';
import puppeteer, { type Browser } from 'puppeteer-core';
import { builtProgram, type Program } from '#tools/testing/programs.ts';

const root = path.resolve(import.meta.dirname, '..');
const START_WITHIN_MS = 120_000;
/** Two years told, beside tests that keep every core busy. */
const MAKE_WITHIN_MS = 300_000;

function chromiumPath(): string {
  const found = [
    process.env.CHROMIUM_PATH,
    // The same engine without the windows nobody sees: it opens a page in half the time.
    '/usr/bin/chromium-headless-shell',
    '/usr/bin/chromium',
    '/usr/bin/chromium-browser',
    '/usr/bin/google-chrome',
    '/Applications/Google Chrome.app/Contents/MacOS/Google Chrome',
  ].find((candidate) => candidate && existsSync(candidate));
  if (!found) throw new Error('No Chromium found: run `npm test`, which installs it, or set CHROMIUM_PATH');
  return found;
}

export type RunningServer = {
  readonly url: string;
  readonly dataFolder: string;
  readonly stop: () => Promise<void>;
  /** Stops the server and leaves its record, as a crash or a shut lid does. */
  readonly pause: () => Promise<void>;
  /** Starts it again on the same record, at the same address. */
  readonly resume: () => Promise<void>;
};

type Started = { readonly url: string; readonly end: () => Promise<void> };

async function run(program: Program, dataFolder: string, port: string, withinMs = START_WITHIN_MS): Promise<Started> {
  const child: ChildProcess = spawn(process.execPath, [builtProgram(program), '--port', port, '--data', dataFolder], {
    cwd: root,
    env: { ...process.env, NODE_OPTIONS: '' },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  const url = await new Promise<string>((resolve, reject) => {
    let said = '';
    const timer = setTimeout(() => reject(new Error(`${program} said only: ${said}`)), withinMs);
    // The request log is of interest only when the start fails, but it must be read or the pipe fills up.
    child.stderr?.on('data', (chunk: Buffer) => {
      said = (said + chunk.toString()).slice(-4000);
    });
    child.stdout?.on('data', (chunk: Buffer) => {
      said += chunk.toString();
      const address = /at (http:\/\/\S+)/.exec(said)?.[1];
      if (!address) return;
      clearTimeout(timer);
      resolve(address);
    });
    child.once('exit', (code) => reject(new Error(`${program} ended with ${code}: ${said}`)));
  });
  const end = () =>
    new Promise<void>((resolve) => {
      child.once('exit', () => resolve());
      child.kill('SIGTERM');
    });
  return { url, end };
}

async function start(program: Program, dataFolder: string, onStop: () => void): Promise<RunningServer> {
  let started = await run(program, dataFolder, '0');
  const { url } = started;
  return {
    url,
    dataFolder,
    stop: async () => {
      await started.end();
      onStop();
    },
    pause: () => started.end(),
    resume: async () => {
      started = await run('main', dataFolder, new URL(url).port);
    },
  };
}

const temporary = (): { folder: string; remove: () => void } => {
  const parent = mkdtempSync(path.join(tmpdir(), 'ulu-e2e-'));
  return { folder: path.join(parent, 'data'), remove: () => rmSync(parent, { recursive: true, force: true }) };
};

/** Makes the demo in a folder, for {@link startDemo} to copy. */
export async function prepareDemo(folder: string): Promise<void> {
  const { end } = await run('demo', folder, '0', MAKE_WITHIN_MS);
  await end();
}

/** The real program on a fresh copy of the demo world, on a free port. Copied, where the tests have made one already. */
export function startDemo(): Promise<RunningServer> {
  const { folder, remove } = temporary();
  const prepared = process.env.ULU_PREPARED_DEMO;
  if (prepared !== undefined && existsSync(prepared)) cpSync(prepared, folder, { recursive: true });
  return start('demo', folder, remove);
}

/** The real program on a record of its own, empty unless `dataFolder` is given (which is then kept). */
export function startEmpty(dataFolder?: string): Promise<RunningServer> {
  const { folder, remove } = temporary();
  return start('main', dataFolder ?? folder, dataFolder === undefined ? remove : () => undefined);
}

const defaultViewport = { width: 1280, height: 800 };

/**
 * The browser the tests share where there is one, else a headless one with a profile of its own. Files that run side by
 * side have one each: of two pages in one browser only the one in front is drawn.
 */
export async function launch(): Promise<{ browser: Browser; close: () => Promise<void> }> {
  const shared = (process.env.ULU_BROWSERS ?? '').split(' ')[Number(process.env.JEST_WORKER_ID ?? 1) - 1];
  if (!shared) return launchOwn();
  const browser = await puppeteer.connect({ browserWSEndpoint: shared, defaultViewport });
  return { browser, close: () => browser.disconnect() };
}

const REMOVE_TRIES = 50;
const REMOVE_AGAIN_MS = 100;

/**
 * Removes the profile of a browser that is ending: its helpers write for a moment after it has gone, and a file that
 * appears while a folder is being emptied is seen by a new try only.
 */
async function removeProfile(profile: string): Promise<void> {
  for (let left = REMOVE_TRIES; ; left -= 1)
    try {
      return rmSync(profile, { recursive: true, force: true });
    } catch (failure) {
      if (left === 0) throw failure;
      await pause(REMOVE_AGAIN_MS);
    }
}

async function launchOwn(): Promise<{ browser: Browser; profile: string; close: () => Promise<void> }> {
  const profile = mkdtempSync(path.join(tmpdir(), 'ulu-profile-'));
  const executablePath = chromiumPath();
  const browser = await puppeteer.launch({
    executablePath,
    headless: executablePath.endsWith('headless-shell') ? 'shell' : true,
    userDataDir: profile,
    defaultViewport,
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      '--force-prefers-reduced-motion',
      '--lang=en-GB',
      '--accept-lang=en-GB,en',
    ],
  });
  return {
    browser,
    profile,
    close: async () => {
      await browser.close();
      await removeProfile(profile);
    },
  };
}

/**
 * A browser for others to share: whoever started it lets go of it, for a page waits until everybody who holds its browser
 * has looked at it.
 */
export async function launchShared(): Promise<{ endpoint: string; close: () => Promise<void> }> {
  const { browser: started, profile } = await launchOwn();
  const endpoint = started.wsEndpoint();
  const child = started.process();
  const gone = child === null ? Promise.resolve() : new Promise((resolve) => child.once('exit', resolve));
  await started.disconnect();
  return {
    endpoint,
    close: async () => {
      const browser = await puppeteer.connect({ browserWSEndpoint: endpoint });
      await browser.close();
      await gone;
      await removeProfile(profile);
    },
  };
}
