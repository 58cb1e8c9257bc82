import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { instantOfMs } from '#core/time/instant.ts';
import { RequestProblem } from '#web/api/http.ts';
import { createOutbox, type Keep, type Waiting } from '#web/record/outbox.ts';
import { PATIENCE_MS, Sender, type Posting } from '#web/record/sender.ts';

const START = Date.parse('2026-11-24T20:00:00.000Z');
/** A device's store: what is put there is there for the next page. */
const keepIn = (): Keep & { readonly kept: Waiting[] } => {
  const kept: Waiting[] = [];
  const without = (key: string) => kept.filter((one) => one.key !== key);
  return {
    kept,
    load: async () => [...kept],
    put: async (one) => {
      const at = kept.findIndex(({ key }) => key === one.key);
      if (at < 0) kept.push(one);
      else kept[at] = one;
    },
    remove: async (key) => void kept.splice(0, kept.length, ...without(key)),
  };
};
const said = (key: string, ms = START): Waiting => ({
  ...{ key, kind: 'thing', path: '/api/things', content: { size: 3 }, at: instantOfMs(ms), says: `${key} is said.` },
});
const silence = () => new RequestProblem('unreachable', 'nobody answers');

/** A device with a server that answers as it is told to. */
function device(keep: Keep = keepIn(), tells = false) {
  const outbox = createOutbox(keep);
  const sent: Posting[] = [];
  const log: string[] = [];
  const refused: string[] = [];
  const alarms: { work: () => void; ms: number }[] = [];
  const clock = { ms: START };
  let answer: (one: Waiting) => Error | null = () => null;
  const sender = new Sender({
    outbox,
    post: async (posting) => {
      sent.push(posting);
      await Promise.resolve();
      const problem = answer(posting.one);
      if (problem) throw problem;
      return { key: posting.one.key, touched: [] };
    },
    nowMs: () => clock.ms,
    later: (work, ms) => {
      const alarm = { work, ms };
      alarms.push(alarm);
      return () => void alarms.splice(alarms.indexOf(alarm), alarms.includes(alarm) ? 1 : 0);
    },
  });
  sender.start({
    confirmed: (one) => void log.push(one.key) as undefined,
    ...(tells ? { refused: (one, problem) => void refused.push(`${one.key}: ${problem.message}`) } : {}),
  });
  const settle = async () => {
    for (let turn = 0; turn < 300; turn++) await Promise.resolve();
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
    add: (one: Waiting) => {
      outbox.add(one);
      void sender.flush();
    },
  };
}

describe('what is said on a device', () => {
  test('is sent in order, one after another, and leaves the outbox once it is confirmed', async () => {
    const one = device();
    for (const key of ['a', 'b', 'c']) one.add(said(key));
    await one.settle();
    expect(one.sent.map(({ one: { key } }) => key)).toEqual(['a', 'b', 'c']);
    expect(one.log).toEqual(['a', 'b', 'c']);
    expect(one.outbox.waiting()).toEqual([]);
  });

  test('stays while nobody answers, is said to be held up, and all of it arrives in order once somebody does', async () => {
    const one = device();
    one.answers(silence);
    for (const key of ['a', 'b', 'c']) one.add(said(key));
    await one.settle();
    expect([one.sender.isHeldUp(), one.log, one.outbox.waiting().length]).toEqual([true, [], 3]);
    one.answers(() => null);
    one.alarms.at(-1)?.work();
    await one.settle();
    expect([one.sender.isHeldUp(), one.log]).toEqual([false, ['a', 'b', 'c']]);
  });

  test('is tried again at growing intervals, a quarter of a minute at the most', async () => {
    const one = device();
    one.answers(() => new RequestProblem('busy', 'later'));
    one.add(said('a'));
    const waits: number[] = [];
    for (let turn = 0; turn < 6; turn++) {
      await one.settle();
      const alarm = one.alarms.at(-1);
      waits.push(alarm?.ms ?? 0);
      alarm?.work();
    }
    expect(waits).toEqual([1000, 2000, 4000, 8000, 15_000, 15_000]);
  });

  test('that is refused is told where its kind is told, else it stays with the reason; what comes after it goes on', async () => {
    for (const tells of [true, false]) {
      const one = device(keepIn(), tells);
      one.answers(({ key }) => (key === 'b' ? new RequestProblem('conflict', 'finished elsewhere') : null));
      for (const key of ['a', 'b', 'c']) one.add(said(key));
      await one.settle();
      expect([one.log, one.outbox.waiting()]).toEqual([['a', 'c'], []]);
      expect(one.refused).toEqual(tells ? ['b: finished elsewhere'] : []);
      expect(one.outbox.shown().refused.map(({ key, refused }) => [key, refused])).toEqual(
        tells ? [] : [['b', 'finished elsewhere']],
      );
    }
  });

  test('is told to whoever waits for it: confirmed, refused, or kept because nobody answers', async () => {
    const one = device();
    expect(await one.sender.send(said('a'))).toMatchObject({ kind: 'confirmed', answer: { key: 'a' } });
    one.answers(() => new RequestProblem('conflict', 'too much'));
    expect(await one.sender.send(said('b'))).toMatchObject({ kind: 'refused', problem: { message: 'too much' } });
    expect(one.outbox.shown()).toMatchObject({ waiting: [], refused: [] });
    one.answers(silence);
    expect(await one.sender.send(said('c'))).toEqual({ kind: 'held-up' });
    expect(one.outbox.waiting().map(({ key }) => key)).toEqual(['c']);
  });

  test('that is long on its way is told to be kept after a while, and confirmed all the same', async () => {
    const one = device();
    let answered: () => void = () => undefined;
    const slow = new Promise<void>((resolve) => (answered = resolve));
    const outbox = createOutbox(keepIn());
    const alarms: { work: () => void; ms: number }[] = [];
    const sender = new Sender({
      outbox,
      post: async ({ one: { key } }) => {
        await slow;
        return { key, touched: [] };
      },
      nowMs: () => START,
      later: (work, ms) => {
        alarms.push({ work, ms });
        return () => undefined;
      },
    });
    const log: string[] = [];
    sender.start({ confirmed: ({ key }) => void log.push(key) as undefined });
    const outcome = sender.send(said('a'));
    await one.settle();
    alarms.find(({ ms }) => ms === PATIENCE_MS)?.work();
    expect(await outcome).toEqual({ kind: 'held-up' });
    expect(sender.isSending('a')).toBe(true);
    answered();
    await one.settle();
    expect([log, outbox.waiting()]).toEqual([['a'], []]);
  });

  test('is sent only once it is kept, and what was taken back before is not sent', async () => {
    let room: () => void = () => undefined;
    const kept = new Promise<void>((resolve) => (room = resolve));
    const one = device({ ...keepIn(), put: () => kept });
    one.add(said('a'));
    one.add(said('b'));
    await one.settle();
    expect(one.sent).toEqual([]);
    one.outbox.remove('a');
    room();
    await one.settle();
    expect(one.log).toEqual(['b']);
  });

  test('is sent all the same where the device has no room, and that is said while it waits', async () => {
    const full = { ...keepIn(), put: () => Promise.reject(new Error('QuotaExceededError')) };
    const one = device(full);
    one.answers(silence);
    one.add(said('a'));
    await one.settle();
    expect(one.outbox.shown().unkept).toBe(1);
    one.answers(() => null);
    await one.sender.flush();
    expect([one.log, one.outbox.shown().unkept]).toEqual([['a'], 0]);
  });

  test('says how long ago it was, by this device’s own clock: a phone may have slept for an hour', async () => {
    const one = device();
    one.answers(silence);
    one.add(said('a'));
    await one.settle();
    one.clock.ms += 3_600_000;
    one.answers(() => null);
    await one.sender.flush();
    expect(one.sent.map(({ msAgo }) => msAgo)).toEqual([0, 3_600_000]);
    expect(new Set(one.sent.map(({ one: { key } }) => key))).toEqual(new Set(['a']));
  });

  test('outlives the page, in its order, and a store that cannot be read', async () => {
    const keep = keepIn();
    const before = device(keep);
    before.answers(silence);
    before.add(said('a'));
    before.add(said('b'));
    await before.settle();
    const after = device(keep);
    after.add(said('c'));
    await after.settle();
    expect(after.log).toEqual(['a', 'b', 'c']);
    expect(keep.kept).toEqual([]);
    const unreadable = device({ ...keepIn(), load: () => Promise.reject(new Error('broken')) });
    unreadable.add(said('d'));
    await unreadable.settle();
    expect(unreadable.log).toEqual(['d']);
  });

  test('of two tabs is kept for both: neither takes the other’s away', async () => {
    const keep = keepIn();
    const [left, right] = [createOutbox(keep), createOutbox(keep)];
    left.add(said('a'));
    right.add(said('b'));
    await Promise.all([left.kept('a'), right.kept('b')]);
    left.remove('a');
    await device(keep).settle();
    expect(keep.kept.map(({ key }) => key)).toEqual([]);
  });

  test('arrives whole and in order however the connection comes and goes', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(fc.boolean(), { minLength: 1, maxLength: 30 }), async (reachable) => {
        const one = device();
        let turn = 0;
        one.answers(() => (reachable[turn++] === false ? silence() : null));
        const keys = ['a', 'b', 'c', 'd', 'e'];
        for (const key of keys) one.add(said(key));
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
