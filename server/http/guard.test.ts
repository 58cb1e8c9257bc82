import { expect, test } from '@jest/globals';
import express from 'express';
import { request } from 'node:http';
import type { AddressInfo } from 'node:net';
import { guardHost } from '#server/http/guard.ts';

/** What a server on its own machine answers to a request that says these things of itself. */
async function statusOf(headers: Readonly<Record<string, string>>, boundHost = '127.0.0.1'): Promise<number> {
  const app = express();
  app.use(guardHost(boundHost));
  app.use((_req, res) => res.sendStatus(200));
  const server = app.listen(0, '127.0.0.1');
  try {
    await new Promise((ready) => server.once('listening', ready));
    const { port } = server.address() as AddressInfo;
    return await new Promise<number>((resolve, reject) => {
      const asked = request({ port, host: '127.0.0.1', method: 'POST', headers }, (answer) => {
        answer.resume();
        resolve(answer.statusCode ?? 0);
      });
      asked.once('error', reject);
      asked.end();
    });
  } finally {
    server.close();
  }
}

test.each([
  ['127.0.0.1:4180', 200],
  ['localhost', 200],
  ['LOCALHOST:80', 200],
  ['[::1]:4180', 200],
  ['ulu.example', 403],
  ['127.0.0.1.ulu.example', 403],
  ['localhost.ulu.example:4180', 403],
])('a request for the host “%s” is answered with %i', async (host, status) => {
  expect(await statusOf({ host })).toBe(status);
});

test('the address it was told to listen on is one of its own', async () => {
  expect(await statusOf({ host: '192.0.2.7:4180' })).toBe(403);
  expect(await statusOf({ host: '192.0.2.7:4180' }, '192.0.2.7')).toBe(200);
  expect(await statusOf({ host: 'Bandroom:4180' }, 'bandROOM')).toBe(200);
});

test.each([
  ['http://localhost:4180', 200],
  ['http://localhost:4181', 403],
  ['https://localhost:4180', 403],
  ['http://ulu.example', 403],
  ['null', 403],
])('a page of %s that asks for localhost:4180 is answered with %i', async (origin, status) => {
  expect(await statusOf({ host: 'localhost:4180', origin })).toBe(status);
});
