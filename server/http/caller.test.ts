import { once } from 'node:events';
import type { AddressInfo } from 'node:net';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import express from 'express';
import { DEVICE_HEADER, LONGEST_DEVICE_NAME } from '#contract/device.ts';
import { CallerLeft, TooMuchAtOnce } from '#server/failure.ts';
import { callerOf } from '#server/http/caller.ts';
import { errorHandler } from '#server/http/problem.ts';
import type { Caller } from '#server/caller.ts';

const asked: Caller[] = [];
const app = express();
app.get('/at-once', (req, res) => {
  asked.push(callerOf(req));
  res.json('done');
});
let hear: (caller: Caller) => void = () => undefined;
app.get('/never', async (req) => {
  const caller = callerOf(req);
  hear(caller);
  await once(caller.left, 'abort');
  throw caller.left.reason;
});
app.get('/too-much', () => {
  throw new TooMuchAtOnce('enough waits');
});
app.use(errorHandler);

let server: ReturnType<ReturnType<typeof express>['listen']>;
beforeEach(async () => {
  server = app.listen(0);
  await once(server, 'listening');
});
afterEach(() => {
  asked.length = 0;
  server.closeAllConnections();
  server.close();
});
const url = (path: string): string => `http://127.0.0.1:${(server.address() as AddressInfo).port}${path}`;

describe('who asks', () => {
  test('is known by the key the device gave itself, else by its address', async () => {
    for (const name of ['a-phone', 'x'.repeat(LONGEST_DEVICE_NAME)])
      await fetch(url('/at-once'), { headers: { [DEVICE_HEADER]: name } });
    await fetch(url('/at-once'));
    await fetch(url('/at-once'), { headers: { [DEVICE_HEADER]: 'x'.repeat(LONGEST_DEVICE_NAME + 1) } });
    const devices = asked.map(({ device }) => device);
    expect(devices.slice(0, 2)).toEqual(['a-phone', 'x'.repeat(LONGEST_DEVICE_NAME)]);
    expect(devices[2]).toMatch(/127\.0\.0\.1$/);
    expect(devices[3]).toBe(devices[2]);
  });

  test('is told to come back, and when, where enough of theirs waits already', async () => {
    const answer = await fetch(url('/too-much'));
    expect([answer.status, Number(answer.headers.get('retry-after')) > 0]).toEqual([503, true]);
    expect(await answer.json()).toMatchObject({ code: 'busy', errors: [{ code: 'too-much-at-once' }] });
  });

  test('has not left where the answer came', async () => {
    await (await fetch(url('/at-once'))).json();
    expect(asked.map(({ left }) => left.aborted)).toEqual([false]);
  });

  test('has left where the connection ends before the answer: work that waits for it is told so', async () => {
    const going = new AbortController();
    const heard = new Promise<Caller>((resolve) => {
      hear = resolve;
    });
    const answer = fetch(url('/never'), { signal: going.signal });
    const { left } = await heard;
    expect(left.aborted).toBe(false);
    going.abort();
    await expect(answer).rejects.toThrow();
    if (!left.aborted) await once(left, 'abort');
    expect(left.reason).toBeInstanceOf(CallerLeft);
  });
});
