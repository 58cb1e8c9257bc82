import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { gzipSync } from 'node:zlib';
import supertest from 'supertest';
import { createApp } from '#server/app.ts';

const SCRIPT = 'export const said = "as it was written";'.repeat(50);
/** Packed, it says where it came from. */
const PACKED = 'export const said = "as it was packed";';
const PAGE = '<!doctype html><title>Ulu</title>';

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(path.join(tmpdir(), 'ulu-web-'));
  mkdirSync(path.join(folder, 'assets'));
  writeFileSync(path.join(folder, 'index.html'), PAGE);
  writeFileSync(path.join(folder, 'assets/one.js'), SCRIPT);
  writeFileSync(path.join(folder, 'assets/one.js.gz'), gzipSync(PACKED));
  writeFileSync(path.join(folder, 'assets/two.js'), SCRIPT);
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const web = () =>
  supertest(
    createApp({
      serve: () => {
        throw new Error('nothing of the record is asked for');
      },
      health: () => ({ version: 'test', database: 'ok', migrations: 1 }),
      boundHost: '127.0.0.1',
      webFolder: folder,
    }),
  );

test('a script goes out as it was packed when it was built, to whoever can unpack it', async () => {
  const packed = await web().get('/assets/one.js').set('accept-encoding', 'gzip').expect(200);
  expect([packed.text, packed.headers['content-encoding']]).toEqual([PACKED, 'gzip']);
  expect(packed.headers['content-type']).toContain('text/javascript');
  expect(packed.headers['cache-control']).toContain('immutable');
  const plain = await web().get('/assets/one.js').set('accept-encoding', 'identity').expect(200);
  expect([plain.text, plain.headers['content-encoding']]).toEqual([SCRIPT, undefined]);
  expect(plain.headers['vary']).toContain('Accept-Encoding');
});

test('a script that was not packed is packed on its way', async () => {
  const { text, headers } = await web().get('/assets/two.js').set('accept-encoding', 'gzip').expect(200);
  expect([text, headers['content-encoding']]).toEqual([SCRIPT, 'gzip']);
});

test('an address that names no file is the page; what looks like a file and is none is missing', async () => {
  expect((await web().get('/care/clarinet').expect(200)).text).toBe(PAGE);
  expect((await web().get('/').expect(200)).text).toBe(PAGE);
  await web().get('/assets/none.js').expect(404);
  await web().get('/nothing.js').expect(404);
  await web().get('/assets/../index.html').expect(200);
  await web().get('/%2e%2e/package.json').expect(404);
});
