import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { ByTurns } from '#server/by-turns.ts';

test('each client in turn has its oldest taken', () => {
  const queue = new ByTurns<string>();
  for (const [client, item] of ['a1', 'a2', 'a3', 'b1', 'c1', 'b2'].map((name) => [name.charAt(0), name] as const))
    queue.add(client, item);
  expect([queue.clients, queue.waitingOf('a'), queue.waitingOf('nobody')]).toEqual([3, 3, 0]);
  expect([...queue.takeAll()]).toEqual(['a1', 'b1', 'c1', 'a2', 'b2', 'a3']);
  expect([queue.take(), queue.clients, queue.turnWaitMs()]).toEqual([undefined, 0, 0]);
});

test('who comes back stands behind those who came in between', () => {
  const queue = new ByTurns<string>();
  queue.add('a', 'a1');
  queue.add('a', 'a2');
  expect(queue.take()).toBe('a1');
  queue.add('b', 'b1');
  queue.add('a', 'a3');
  expect([...queue.takeAll()]).toEqual(['a2', 'b1', 'a3']);
});

test('a wait counts from the last turn, not from when the thing came', () => {
  let now = 0;
  const queue = new ByTurns<string>(() => now);
  queue.add('a', 'a1');
  queue.add('a', 'a2');
  now = 70;
  queue.add('b', 'b1');
  expect([queue.turnWaitMs(), queue.oldestWaitMs('a'), queue.oldestWaitMs('b')]).toEqual([70, 70, 0]);
  queue.take();
  now = 100;
  expect(queue.turnWaitMs()).toBe(30);
  queue.take();
  expect([queue.turnWaitMs(), queue.oldestWaitMs('a'), queue.oldestWaitMs('b')]).toEqual([30, 100, 0]);
});

test('what is dropped is not taken, and nothing else is', () => {
  const queue = new ByTurns<string>();
  queue.add('a', 'a1');
  queue.add('a', 'a2');
  queue.add('b', 'b1');
  expect([queue.drop('b', 'a2'), queue.drop('nobody', 'a2'), queue.drop('b', 'b1')]).toEqual([false, false, true]);
  expect(queue.clients).toBe(1);
  queue.drop('a', 'a1');
  expect([...queue.takeAll()]).toEqual(['a2']);
});

test('nobody waits for more turns than there are others, whatever anybody wants', () => {
  const comings = fc.array(fc.record({ client: fc.integer({ min: 0, max: 5 }), takes: fc.nat(2) }), { maxLength: 60 });
  fc.assert(
    fc.property(comings, (all) => {
      const queue = new ByTurns<number>();
      const had: number[] = [];
      all.forEach(({ client, takes }) => {
        queue.add(String(client), client);
        for (let one = 0; one < takes; one++) had.push(...[queue.take()].filter((item) => item !== undefined));
      });
      had.push(...queue.takeAll());
      expect(had.toSorted()).toEqual(all.map(({ client }) => client).toSorted());
      // With everything there from the start: between two turns of one client no other has two.
      const whole = new ByTurns<number>();
      for (const { client } of all) whole.add(String(client), client);
      const order = [...whole.takeAll()];
      order.forEach((client, at) => {
        const next = order.indexOf(client, at + 1);
        const between = order.slice(at + 1, next < 0 ? order.length : next);
        if (next >= 0) expect(new Set(between).size).toBe(between.length);
      });
    }),
  );
});
