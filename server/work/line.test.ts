import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { TooMuchAtOnce } from '#server/failure.ts';
import { Line, MOST_WAITING, type Piece } from '#server/work/line.ts';
import type { Order } from '#server/work/long-work.ts';

beforeEach(() => void jest.useFakeTimers());
afterEach(() => void jest.useRealTimers());

/** A line before a thread that only notes what it is told. */
function lineOf() {
  const did: string[] = [];
  const line = new Line({
    send: ({ id }: Order) => void did.push(`send ${id}`),
    keepsAlive: (does) => void did.push(does ? 'awake' : 'asleep'),
    end: () => {
      did.push('end');
      return Promise.resolve();
    },
  });
  const piece = (id: number, device = 'a'): Piece => ({
    order: { id, name: 'solve', input: null, stop: new SharedArrayBuffer(4) },
    device,
    resolve: (result) => void did.push(`${id}: ${String(result)}`),
    reject: (reason) => void did.push(`${id} refused: ${(reason as Error).message}`),
    onProgress: (progress) => void did.push(`${id} so far: ${String(progress)}`),
    begin: () => void did.push(`begin ${id}`),
  });
  return { line, piece, did };
}

test('a thread that does not notice that its piece was stopped is ended, and the next piece given to another', async () => {
  const { line, piece, did } = lineOf();
  const [one, two] = [piece(1), piece(2)];
  line.add(one);
  line.add(two);
  line.stop(one, new Error('left'));
  expect(did).toEqual(['send 1', 'begin 1', '1 refused: left']);
  expect(new Int32Array(one.order.stop)[0]).toBe(1);
  await jest.advanceTimersByTimeAsync(1900);
  expect(did).not.toContain('end');
  await jest.advanceTimersByTimeAsync(200);
  expect(did.slice(3)).toEqual(['end', 'send 2', 'begin 2']);
});

test('a thread that notices goes on with the next, and is not ended', async () => {
  const { line, piece, did } = lineOf();
  const [one, two] = [piece(1), piece(2)];
  line.add(one);
  line.add(two);
  line.stop(one, new Error('left'));
  line.hear({ id: 1, kind: 'progress', progress: 'half' });
  line.hear({ id: 1, kind: 'failed', message: 'stopped' });
  await jest.advanceTimersByTimeAsync(10_000);
  // Its own end comes too late to say anything: whoever asked was told before.
  expect(did.filter((what) => !what.includes('refused: stopped'))).toEqual([
    'send 1',
    'begin 1',
    '1 refused: left',
    'send 2',
    'begin 2',
  ]);
});

test('of so many devices each may wait until all that may wait do, and again once the thread has gone', () => {
  const { line, piece } = lineOf();
  const fill = (from: number) => {
    for (let id = from; id <= from + MOST_WAITING; id++) line.add(piece(id, `device ${id}`));
  };
  // One is in the hands of the thread, the others wait.
  fill(1);
  expect(() => line.add(piece(999, 'one more'))).toThrow(TooMuchAtOnce);
  line.refuseAll(new Error('gone'));
  fill(1000);
  expect(() => line.add(piece(9999, 'one more'))).toThrow(TooMuchAtOnce);
});

test('what is stopped while it waits is not begun, and a thread without work may sleep', () => {
  const { line, piece, did } = lineOf();
  const [one, two] = [piece(1), piece(2)];
  line.add(one);
  line.add(two);
  line.stop(two, new Error('left'));
  line.hear({ id: 2, kind: 'done', result: 'of nobody' });
  line.hear({ id: 1, kind: 'progress', progress: 'half' });
  line.hear({ id: 1, kind: 'done', result: 'done' });
  expect(did).toEqual(['send 1', 'begin 1', '2 refused: left', '1 so far: half', '1: done', 'asleep']);
});
