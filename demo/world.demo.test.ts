import { BOOK } from '#core/tables/book.ts';
import { describe, expect, test } from '@jest/globals';
import { practiceFor } from '#core/methods/practice-for.ts';
import { addDays, localDate } from '#core/time/local-date.ts';
import { demoWorld } from '#demo/world.demo.ts';

const WAITING = ['marit-clarinet', 'marit-alto', 'marit-piccolo'];

// The world is told backwards from today: what it is to show must not hang on the weekday.
describe.each([0, 1, 2, 3, 4, 5, 6])('the demo world of a Tuesday and %d days', (days) => {
  const { instruments, plays, runs } = demoWorld(addDays(localDate('2026-11-24'), days));

  test('the three of last night wait to be packed up, and no other', () => {
    const waiting = instruments.filter(({ id, kind, build }) => {
      const last = plays.findLast(({ instrumentId }) => instrumentId === id);
      const run = runs.find(({ playKey }) => playKey === last?.key);
      const done = new Set(run?.done.map(({ itemId }) => itemId));
      return !practiceFor(BOOK, kind, build)
        .items.filter(({ trigger }) => trigger.kind === 'every-play' && trigger.moment === 'after')
        .every(({ id: item }) => done.has(item));
    });
    expect(waiting.map(({ id }) => id)).toEqual(WAITING);
  });

  test('some runs were hurried and left out what the plan found least worth it', () => {
    const hurried = runs.filter(({ minutesAtHand }) => minutesAtHand !== null);
    expect(hurried.length).toBeGreaterThan(20);
    expect(hurried.some(({ plan }) => plan.leftOut.length > 0)).toBe(true);
  });
});
