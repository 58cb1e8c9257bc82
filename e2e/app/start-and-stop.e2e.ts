import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import Database from 'better-sqlite3';
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { request } from 'node:http';
import { tmpdir } from 'node:os';
import path from 'node:path';
import process from 'node:process';
import { gunzipSync } from 'node:zlib';
import { startEmpty, type RunningServer } from '#e2e/harness.ts';
import { builtProgram } from '#tools/testing/programs.ts';

let folder: string;
let server: RunningServer;
beforeAll(async () => {
  folder = mkdtempSync(path.join(tmpdir(), 'ulu-start-'));
  server = await startEmpty(path.join(folder, 'data'));
}, 300_000);
afterAll(async () => {
  await server.stop();
  rmSync(folder, { recursive: true, force: true });
}, 300_000);

const run = (...args: string[]) =>
  spawnSync(process.execPath, [builtProgram('main'), ...args], { encoding: 'utf8', timeout: 120_000 });

/** fetch() does not let Host be set; a plain request does. */
const ask = (headers: Record<string, string>): Promise<number> =>
  new Promise((resolve, reject) => {
    request(`${server.url}/api/health`, { headers }, (res) => {
      res.resume();
      resolve(res.statusCode ?? 0);
    })
      .once('error', reject)
      .end();
  });

/** Writings that are answered before the server is killed. */
const SOME = 20;

test('every packed script unpacks to the script beside it', () => {
  const assets = 'web/dist/assets';
  const packed = readdirSync(assets).filter((name) => name.endsWith('.gz'));
  expect(packed.length).toBeGreaterThan(50);
  const whole = (name: string) => readFileSync(path.join(assets, name));
  expect(packed.filter((name) => !gunzipSync(whole(name)).equals(whole(name.slice(0, -'.gz'.length))))).toEqual([]);
});

describe('the server', () => {
  test('says how it is, under security headers', async () => {
    const answer = await fetch(`${server.url}/api/health`);
    expect(await answer.json()).toMatchObject({ database: 'ok', version: expect.any(String) });
    expect(answer.headers.get('content-security-policy')).toContain("default-src 'self'");
    expect(answer.headers.get('x-content-type-options')).toBe('nosniff');
  });

  test('listens on this machine only, and refuses foreign hosts and pages', async () => {
    expect(new URL(server.url).hostname).toBe('127.0.0.1');
    expect(await ask({ host: 'ulu.example' })).toBe(403);
    expect(await ask({ origin: 'http://evil.example' })).toBe(403);
    expect(await ask({})).toBe(200);
  });

  test('a taken port is said, with the way out, and the database is left whole', () => {
    const { stderr, status } = run('--port', new URL(server.url).port, '--data', path.join(folder, 'other'));
    expect(status).toBe(1);
    expect(stderr).toContain('is taken');
    expect(stderr).toContain('--port');
    expect(stderr).not.toContain('at Server');
  }, 300_000);

  test('a folder that cannot be written, and a port that is none, are said', () => {
    const noFolder = run('--port', '0', '--data', '/proc/ulu');
    expect(noFolder.status).toBe(1);
    expect(noFolder.stderr).toContain('cannot be written');
    expect(run('--port', 'seven').stderr).toContain('--port takes a number');
    expect(run('--sideways').stderr).toContain('--sideways');
    const noHost = run('--host', '', '--port', '0', '--data', path.join(folder, 'no-host'));
    expect([noHost.status, noHost.stderr]).toEqual([1, expect.stringContaining('--host needs an address')]);
    const strange = run('--host', '203.0.113.7', '--port', '0', '--data', path.join(folder, 'no-host'));
    expect([strange.status, strange.stderr]).toEqual([1, expect.stringContaining('no address of this machine')]);
  }, 300_000);

  test('a second server on the same folder is told in one line, and the first goes on', async () => {
    const second = run('--port', '0', '--data', server.dataFolder);
    expect([second.status, second.stderr.trim().split('\n')]).toEqual([
      1,
      [expect.stringContaining('Another Ulu looks after')],
    ]);
    // What the first one closed meanwhile is noticed before it is asked again.
    await new Promise((resolve) => setTimeout(resolve, 100));
    expect((await fetch(`${server.url}/api/health`)).status).toBe(200);
  }, 300_000);

  test('what is missing is missing: a file is no page, and a page nobody knows is the app', async () => {
    const status = async (where: string) => (await fetch(`${server.url}${where}`)).status;
    expect(await status('/assets/nothing-here.js')).toBe(404);
    expect(await status('/favicon.ico')).toBe(404);
    expect(await status('/now/anything')).toBe(200);
  });

  test('on every network of the machine it listens only with a plain word about it', async () => {
    const child = spawn(
      process.execPath,
      [builtProgram('main'), '--host', '0.0.0.0', '--port', '0', '--data', path.join(folder, 'wide')],
      { stdio: ['ignore', 'pipe', 'ignore'] },
    );
    const said = await new Promise<string>((resolve) => {
      let text = '';
      child.stdout.on('data', (chunk: Buffer) => {
        text += chunk.toString();
        if (text.includes('every network')) resolve(text);
      });
    });
    expect(said).toContain('http://127.0.0.1:');
    expect(said).toContain('no passwords yet');
    child.kill('SIGTERM');
    await new Promise((resolve) => child.once('exit', resolve));
  }, 300_000);

  test('killed in the middle of writing, the record opens again with all that was answered', async () => {
    const data = path.join(folder, 'killed');
    const child = spawn(process.execPath, [builtProgram('main'), '--port', '0', '--data', data], {
      stdio: ['ignore', 'pipe', 'ignore'],
    });
    const url = await new Promise<string>((resolve) => {
      child.stdout.on('data', (chunk: Buffer) => {
        const at = /at (http:\S+)/.exec(chunk.toString())?.[1];
        if (at) resolve(at);
      });
    });
    const post = (id: number) =>
      fetch(`${url}/api/players`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ id: `p${id}`, name: `Player ${id}`, standing: 'grown-up', does: [] }),
      });
    let answered = 0;
    const writing = (async () => {
      for (let id = 0; id < 500; id++) {
        if (!(await post(id)).ok) throw new Error('not written');
        answered++;
      }
    })().catch(() => undefined);
    // Once some are written, and while more are: a loaded machine takes its time over the first.
    while (answered < SOME) await new Promise((resolve) => setTimeout(resolve, 20));
    child.kill('SIGKILL');
    await writing;
    const database = new Database(path.join(data, 'ulu.db'));
    expect(database.pragma('integrity_check', { simple: true })).toBe('ok');
    expect(Number(database.prepare('select count(*) from players').pluck().get())).toBeGreaterThanOrEqual(answered);
    expect(answered).toBeGreaterThanOrEqual(SOME);
    expect(answered).toBeLessThan(500);
    database.close();
  }, 300_000);

  test('a signal stops it cleanly: one whole file is left, without a write-ahead log', async () => {
    const data = path.join(folder, 'stopped');
    const second = await startEmpty(data);
    await fetch(`${second.url}/api/players`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ id: 'ada', name: 'Ada', standing: 'grown-up', does: [] }),
    });
    await second.stop();
    expect(existsSync(path.join(data, 'ulu.db-wal'))).toBe(false);
    const database = new Database(path.join(data, 'ulu.db'), { readonly: true });
    expect(database.prepare('select name from profiles').pluck().all()).toEqual(['Ada']);
    database.close();
  }, 300_000);

  test('a database from a newer version is refused and untouched', async () => {
    const data = path.join(folder, 'newer');
    const first = await startEmpty(data);
    await first.stop();
    const file = path.join(data, 'ulu.db');
    const database = new Database(file);
    database.prepare('insert into __drizzle_migrations (hash, created_at) values (?, ?)').run('x', 9_999_999_999_999);
    database.pragma('wal_checkpoint(TRUNCATE)');
    database.close();
    const hash = () => createHash('sha256').update(readFileSync(file)).digest('hex');
    const before = hash();
    const { status, stderr } = run('--port', '0', '--data', data);
    expect(status).toBe(1);
    expect(stderr).toContain('newer version');
    expect(hash()).toBe(before);
  }, 300_000);
});
