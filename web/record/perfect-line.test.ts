import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { WallClock } from '#core/plays/play.ts';
import { instantOfMs } from '#core/time/instant.ts';
import { localDate } from '#core/time/local-date.ts';
import { RequestProblem } from '#web/api/http.ts';
import { createOutbox, type Keep, type Waiting } from '#web/record/outbox.ts';
import { Sender } from '#web/record/sender.ts';

// A device whose connection loses requests and answers, whose server is killed between writing and answering, and which
// sleeps for days and is opened anew: it must come to the record that a perfect line would have made.

const START = Date.parse('2026-11-24T20:00:00.000Z');
const THREE_DAYS = 3 * 86_400_000;
const wallAt = (ms: number): WallClock => ({ on: localDate(new Date(ms).toISOString().slice(0, 10)), atMinute: 0 });

/** What stands: each key once, in the order it came, with the day and the moment it is of. */
type Line = { readonly key: string; readonly size: number; readonly on: string; readonly atMs: number };
/** Of some things there may be only one: the second is refused, whatever the line was like. */
const ONE_OF = 7;

/** A record in a few lines, by its words: the same key is answered as before; when it was is said by how long ago. */
class Record {
  readonly lines: Line[] = [];
  refused = 0;
  write(key: string, size: number, { on, atMs }: { readonly on: string; readonly atMs: number }): boolean {
    if (this.lines.some((line) => line.key === key)) return true;
    if (size === ONE_OF && this.lines.some((line) => line.size === ONE_OF)) {
      this.refused++;
      return false;
    }
    this.lines.push({ key, size, on, atMs });
    return true;
  }
}

type Said = { readonly what: 'say'; readonly size: number };
type Step = Said | { readonly what: 'sleep' | 'reload' | 'wait' | 'undo' };
/** What becomes of a request: it arrives and is answered, it is lost, its answer is lost, or the record is held. */
type Fate = 'answered' | 'lost' | 'answer-lost' | 'busy';

const steps = fc.array(
  fc.oneof(
    { weight: 6, arbitrary: fc.record({ what: fc.constant('say' as const), size: fc.integer({ min: 5, max: 8 }) }) },
    { weight: 3, arbitrary: fc.record({ what: fc.constantFrom('sleep', 'reload', 'wait', 'undo' as const) }) },
  ),
  { minLength: 1, maxLength: 14 },
) as fc.Arbitrary<Step[]>;
const fates = fc.array(fc.constantFrom<Fate>('answered', 'lost', 'answer-lost', 'busy'), { maxLength: 30 });

function keepIn(): Keep {
  const kept: Waiting[] = [];
  return {
    load: async () => [...kept],
    put: async (one) => {
      const at = kept.findIndex(({ key }) => key === one.key);
      if (at < 0) kept.push(one);
      else kept[at] = one;
    },
    remove: async (key) => {
      const at = kept.findIndex((one) => one.key === key);
      if (at >= 0) kept.splice(at, 1);
    },
  };
}

const settle = async () => {
  for (let turn = 0; turn < 60; turn++) await Promise.resolve();
};

test('a thousand queues come to the record that a perfect line would have made', async () => {
  await fc.assert(
    fc.asyncProperty(steps, fates, async (all, fate) => {
      const [record, perfect] = [new Record(), new Record()];
      const clock = { ms: START };
      let turn = 0;
      const keep = keepIn();
      const open = () => {
        const outbox = createOutbox(keep);
        const sender = new Sender({
          outbox,
          post: async ({ one: { key, content, now }, msAgo }) => {
            await Promise.resolve();
            const becomes = fate[turn++] ?? 'answered';
            if (becomes === 'lost') throw new RequestProblem('unreachable', 'lost');
            if (becomes === 'busy') throw new RequestProblem('busy', 'held');
            const moment = { on: now?.on ?? '', atMs: clock.ms - msAgo };
            const stands = record.write(key, (content as { size: number }).size, moment);
            if (becomes === 'answer-lost') throw new RequestProblem('unreachable', 'killed after writing');
            if (!stands) throw new RequestProblem('conflict', 'there may be one');
            return { key, touched: [] };
          },
          nowMs: () => clock.ms,
          // Nothing is tried again by itself here: whoever opens or taps does.
          later: () => () => undefined,
        });
        sender.start({ confirmed: () => undefined });
        return { outbox, sender };
      };
      let device = open();
      let at = 0;
      for (const step of all) {
        if (step.what === 'say') {
          const key = `key ${at++}`;
          const [on, atMs] = [wallAt(clock.ms), clock.ms];
          device.outbox.add({
            ...{ key, kind: 'thing', path: '/api/things', content: { size: step.size }, says: key },
            ...{ at: instantOfMs(atMs), now: on },
          });
          void device.sender.flush();
          perfect.write(key, step.size, { on: on.on, atMs });
          clock.ms += 60_000;
        } else if (step.what === 'sleep') clock.ms += THREE_DAYS;
        else if (step.what === 'reload') {
          await settle();
          device = open();
        } else if (step.what === 'wait') {
          await settle();
          await device.sender.flush();
        } else {
          // Undo of what was never tried removes it, from the device and from the perfect line alike.
          const last = device.outbox.waiting().at(-1);
          if (last && device.outbox.waiting().length > 1 && record.lines.every(({ key }) => key !== last.key)) {
            device.outbox.remove(last.key);
            const line = perfect.lines.findIndex(({ key }) => key === last.key);
            if (line >= 0) perfect.lines.splice(line, 1);
          }
        }
      }
      for (let again = 0; again <= fate.length; again++) {
        await settle();
        await device.sender.flush();
      }
      expect(device.outbox.waiting()).toEqual([]);
      expect(record.lines).toEqual(perfect.lines);
    }),
    { seed: 22, numRuns: 1000 },
  );
});
