import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { RunEvent } from '#core/packup/run-event.ts';
import type { RunStepKey } from '#core/packup/run-step.ts';
import { instantOfMs } from '#core/time/instant.ts';
import { RequestProblem } from '#web/api/http.ts';
import { createOutbox, type Keep, type Unsent } from '#web/features/packup/run-outbox.ts';
import { createSender, type Posting } from '#web/features/packup/run-sender.ts';

const START = Date.parse('2026-11-24T20:00:00.000Z');
const keepIn = (): Keep & { text: string | null } => {
  const keep = {
    text: null as string | null,
    read: () => keep.text,
    write: (text: string) => {
      keep.text = text;
    },
  };
  return keep;
};
const tick = (key: string, ms = START): Unsent => {
  const event: RunEvent = { kind: 'ticked', stepKey: `horn:${key}` as RunStepKey, at: instantOfMs(ms) };
  return { key, runKey: 'run', event };
};
const silence = () => new RequestProblem('unreachable', 'nobody answers');

/** A device with a server that answers as it is told to. */
function device(keep: Keep = keepIn()) {
  const outbox = createOutbox(keep);
  const sent: Posting[] = [];
  const log: string[] = [];
  const refused: string[] = [];
  const alarms: { work: () => void; ms: number }[] = [];
  const clock = { ms: START };
  let answer: (one: Unsent) => Error | null = () => null;
  const sender = createSender({
    outbox,
    post: async (posting) => {
      sent.push(posting);
      await Promise.resolve();
      const problem = answer(posting.one);
      if (problem) throw problem;
      return { ...posting.one, touched: [] };
    },
    nowMs: () => clock.ms,
    later: (work, ms) => {
      const alarm = { work, ms };
      alarms.push(alarm);
      return () => void alarms.splice(alarms.indexOf(alarm), alarms.includes(alarm) ? 1 : 0);
    },
  });
  sender.start({
    confirmed: (one) => void log.push(one.key),
    refused: (one, problem) => void refused.push(`${one.key}: ${problem.message}`),
  });
  const settle = async () => {
    for (let turn = 0; turn < 200; turn++) await Promise.resolve();
  };
  return {
    outbox,
    sender,
    sent,
    log,
    refused,
    alarms,
    clock,
    settle,
    answers: (next: typeof answer) => void (answer = next),
    add: (one: Unsent) => {
      outbox.add(one);
      void sender.flush();
    },
  };
}

describe('what happens in a run', () => {
  test('is sent in order, one after another, and leaves the outbox once it is confirmed', async () => {
    const one = device();
    for (const key of ['a', 'b', 'c']) one.add(tick(key));
    expect(one.sent).toHaveLength(1);
    await one.settle();
    expect(one.log).toEqual(['a', 'b', 'c']);
    expect(one.outbox.all()).toEqual([]);
  });

  test('stays while nobody answers, is said to be held up, and all of it arrives in order once somebody does', async () => {
    const one = device();
    one.answers(silence);
    for (const key of ['a', 'b', 'c']) one.add(tick(key));
    await one.settle();
    expect([one.sender.isHeldUp(), one.log, one.outbox.all().length]).toEqual([true, [], 3]);
    one.answers(() => null);
    one.alarms.at(-1)?.work();
    await one.settle();
    expect([one.sender.isHeldUp(), one.log]).toEqual([false, ['a', 'b', 'c']]);
  });

  test('is tried again at growing intervals, a quarter of a minute at the most', async () => {
    const one = device();
    one.answers(() => new RequestProblem('busy', 'later'));
    one.add(tick('a'));
    const waits: number[] = [];
    for (let turn = 0; turn < 6; turn++) {
      await one.settle();
      const alarm = one.alarms.at(-1);
      waits.push(alarm?.ms ?? 0);
      alarm?.work();
    }
    expect(waits).toEqual([1000, 2000, 4000, 8000, 15_000, 15_000]);
  });

  test('is taken out with its reason when it is refused, and what comes after it goes on', async () => {
    const one = device();
    one.answers(({ key }) => (key === 'b' ? new RequestProblem('conflict', 'finished elsewhere') : null));
    for (const key of ['a', 'b', 'c']) one.add(tick(key));
    await one.settle();
    expect([one.log, one.refused, one.outbox.all()]).toEqual([['a', 'c'], ['b: finished elsewhere'], []]);
  });

  test('says how long ago it was, by this device’s own clock: a phone may have slept for an hour', async () => {
    const one = device();
    one.answers(silence);
    one.add(tick('a'));
    await one.settle();
    one.clock.ms += 3_600_000;
    one.answers(() => null);
    await one.sender.flush();
    expect(one.sent.map(({ msAgo }) => msAgo)).toEqual([0, 3_600_000]);
    expect(new Set(one.sent.map(({ one: { key } }) => key))).toEqual(new Set(['a']));
  });

  test('outlives the page, and a store that holds something else or nothing at all', async () => {
    const keep = keepIn();
    const before = device(keep);
    before.answers(silence);
    before.add(tick('a'));
    before.add(tick('b'));
    await before.settle();
    const after = device(keep);
    await after.settle();
    expect(after.log).toEqual(['a', 'b']);
    for (const text of ['{"not":"a list"}', 'no JSON', '[null,7,{"key":"x"}]', null]) {
      keep.text = text;
      expect(createOutbox(keep).all()).toEqual([]);
    }
  });

  test('of two tabs is kept for both: neither takes the other’s away', () => {
    const keep = keepIn();
    const [left, right] = [createOutbox(keep), createOutbox(keep)];
    left.add(tick('a'));
    right.add(tick('b'));
    left.remove('a');
    expect(
      createOutbox(keep)
        .all()
        .map(({ key }) => key),
    ).toEqual(['b']);
  });

  test('arrives whole and in order however the connection comes and goes', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(fc.boolean(), { minLength: 1, maxLength: 30 }), async (reachable) => {
        const one = device();
        let turn = 0;
        one.answers(() => (reachable[turn++] === false ? silence() : null));
        const keys = ['a', 'b', 'c', 'd', 'e'];
        for (const key of keys) one.add(tick(key));
        for (let again = 0; again <= reachable.length; again++) {
          await one.settle();
          await one.sender.flush();
        }
        expect(one.log).toEqual(keys);
      }),
      { seed: 9, numRuns: 60 },
    );
  });
});
