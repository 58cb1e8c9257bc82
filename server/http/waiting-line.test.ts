import { describe, expect, test } from '@jest/globals';
import express from 'express';
import supertest from 'supertest';
import { problem } from '#contract/problem.ts';
import { createLine, waitingLine, type Urgency } from '#server/http/waiting-line.ts';

/** A line on a clock of its own: a request takes so long, the loop turns when it is told to. */
function line() {
  const clock = { ms: 0 };
  const turns: (() => void)[] = [];
  const answered: string[] = [];
  const { enter, isTooLong } = createLine(
    () => clock.ms,
    (work) => void turns.push(work),
  );
  return {
    clock,
    answered,
    turns,
    /** Whether it was let in. */
    come: (name: string, tookMs = 1, client = 'one', urgency: Urgency = 'soon'): boolean => {
      if (isTooLong(client, urgency)) return false;
      enter(client, urgency, () => {
        clock.ms += tookMs;
        answered.push(name);
      });
      return true;
    },
    turn: () => turns.shift()?.(),
  };
}

describe('the waiting line', () => {
  test('lets the requests of one client in in the order they came, as many as fit one turn', () => {
    const one = line();
    for (const name of ['a', 'b', 'c', 'd']) one.come(name, 3);
    one.turn();
    expect(one.answered).toEqual(['a', 'b']);
    one.turn();
    expect(one.answered).toEqual(['a', 'b', 'c', 'd']);
    expect(one.turns).toEqual([]);
  });

  test('a long one is alone in its turn, and the line goes on behind it', () => {
    const one = line();
    one.come('long', 400);
    one.come('short');
    one.turn();
    expect(one.answered).toEqual(['long']);
    one.turn();
    expect(one.answered).toEqual(['long', 'short']);
  });

  test('turns away who comes while many have waited too long, and nobody once it moves again', () => {
    const one = line();
    for (let index = 0; index < 30; index++) expect(one.come(`early ${index}`)).toBe(true);
    one.clock.ms = 990;
    expect(one.come('in time')).toBe(true);
    one.clock.ms = 1010;
    expect(one.come('too late')).toBe(false);
    while (one.turns.length > 0) one.turn();
    expect(one.answered).toHaveLength(31);
    expect(one.come('later')).toBe(true);
  });

  test('waiting is counted from when somebody came, at whatever hour that is', () => {
    const one = line();
    one.clock.ms = 1_000_000;
    for (let index = 0; index < 30; index++) one.come(`early ${index}`);
    one.clock.ms += 990;
    expect(one.come('in time')).toBe(true);
    one.clock.ms += 20;
    expect(one.come('too late')).toBe(false);
  });

  test('goes by client in turn: who wants much makes nobody else wait, and is the one who is told to come back', () => {
    const one = line();
    for (let index = 0; index < 40; index++) one.come(`much ${index}`, 6, 'greedy');
    one.turn();
    one.come('little', 6, 'modest');
    one.turn();
    one.turn();
    expect(one.answered).toEqual(['much 0', 'much 1', 'little']);
    one.clock.ms += 1100;
    expect(one.come('still more', 6, 'greedy')).toBe(false);
    expect(one.come('another', 6, 'modest')).toBe(true);
  });

  test('turns away a newcomer where many clients wait, and their turns come late', () => {
    const one = line();
    for (let index = 0; index < 30; index++) one.come('one', 1, `client ${index}`);
    one.clock.ms += 990;
    expect(one.come('in time', 1, 'new')).toBe(true);
    one.clock.ms += 20;
    expect(one.come('too late', 1, 'newer')).toBe(false);
    expect(one.come('urgent', 1, 'newer', 'now')).toBe(true);
  });

  test('lets in what is wanted now first, and still keeps nobody waiting for ever', () => {
    const one = line();
    for (const reader of ['a', 'b']) one.come('soon', 6, reader);
    for (let index = 0; index < 20; index++) one.come('now', 6, `player ${index}`, 'now');
    while (one.turns.length > 0) one.turn();
    expect(one.answered.flatMap((what, at) => (what === 'soon' ? [at] : []))).toEqual([8, 17]);
    expect(one.answered).toHaveLength(22);
  });

  test('a few are never too many, however long the machine was away', () => {
    const one = line();
    one.come('before it slept');
    one.clock.ms = 3_600_000;
    expect(one.come('after it woke')).toBe(true);
  });

  test('who is turned away is told when to come back, not always at the same time', async () => {
    const app = express();
    const { atTheDoor, inLine } = waitingLine(() => 'soon');
    app.use(atTheDoor, inLine);
    app.get('/', (_req, res) => {
      const until = performance.now() + 40;
      while (performance.now() < until);
      res.json('done');
    });
    const server = app.listen(0);
    const answers = await Promise.all(Array.from({ length: 45 }, () => supertest(server).get('/')));
    server.close();
    const turnedAway = answers.filter(({ status }) => status === 503);
    expect(answers.filter(({ status }) => status === 200).length).toBeGreaterThan(1);
    for (const { text, headers } of turnedAway) {
      const said = problem.validateSync(JSON.parse(text), { strict: true });
      expect([said.code, said.errors[0]?.code]).toEqual(['busy', 'too-much-at-once']);
      expect(Number(headers['retry-after'])).toBeGreaterThan(0);
    }
  });
});
