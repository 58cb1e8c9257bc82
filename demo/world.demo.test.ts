import { BOOK } from '#core/tables/book.ts';
import { describe, expect, test } from '@jest/globals';
import { CASED_DAMP } from '#core/book/care-ids.ts';
import { aloneNamed, concernsAlone } from '#core/methods/practice-alone.ts';
import { practiceFor } from '#core/methods/practice-for.ts';
import { reedStates } from '#core/reeds/reed-state.ts';
import { addDays, localDate } from '#core/time/local-date.ts';
import { demoWorld } from '#demo/world.demo.ts';

const WAITING = ['marit-clarinet', 'marit-alto', 'marit-piccolo'];

// The world is told backwards from today: what it is to show must not hang on the weekday.
describe.each([0, 1, 2, 3, 4, 5, 6])('the demo world of a Tuesday and %d days', (days) => {
  const today = addDays(localDate('2026-11-24'), days);
  const { instruments, plays, runs, reeds } = demoWorld(today);

  test('the three of last night wait to be packed up, the pipes lie cased damp, and no other', () => {
    const damp = runs.filter(({ seen }) => seen.some(({ itemId }) => itemId === CASED_DAMP));
    expect(damp.map(({ instrumentId, startedOn }) => [instrumentId, startedOn])).toEqual([
      ['wren-pipes', addDays(today, -1)],
    ]);
    const waiting = instruments.filter(({ id, kind, build }) => {
      if (damp.some(({ instrumentId }) => instrumentId === id)) return false;
      const last = plays.findLast(({ instrumentId }) => instrumentId === id);
      const run = runs.find(({ playKey }) => playKey === last?.key);
      const done = new Set(run?.done.map(({ itemId }) => itemId));
      const whole = practiceFor(BOOK, kind, build);
      const alone = aloneNamed(whole, last?.alone ?? null);
      return !whole.items
        .filter(({ trigger }) => trigger.kind === 'every-play' && trigger.moment === 'after')
        .filter(({ part }) => alone === undefined || concernsAlone(alone, part))
        .every(({ id: item }) => done.has(item));
    });
    expect(waiting.map(({ id }) => id)).toEqual(WAITING);
  });

  test('some runs were hurried and left out what the plan found least worth it', () => {
    const hurried = runs.filter(({ minutesAtHand }) => minutesAtHand !== null);
    expect(hurried.length).toBeGreaterThan(20);
    expect(hurried.some(({ plan }) => plan.leftOut.length > 0)).toBe(true);
  });

  test('a clarinet reed is being broken in, and an alto reed is synthetic', () => {
    const states = reeds.boxes.flatMap((box) => {
      const within = <One extends { readonly reedId: string }>(all: readonly One[]) =>
        all.filter(({ reedId }) => reedId.startsWith(`${box.key}/`));
      const uses = reeds.plays.flatMap(({ play, shares, high }) =>
        shares.map((share) => ({ ...share, high, on: play.endedOn, endedAt: null })),
      );
      return reedStates(
        { box, boxName: box.name, uses: within(uses), said: within(reeds.said) },
        { today, family: 'single' },
      );
    });
    expect(states.some(({ box, stage }) => box.kind === 'clarinet' && stage === 'breaking-in')).toBe(true);
    expect(states.some(({ box }) => box.kind === 'alto-saxophone' && box.material === 'synthetic')).toBe(true);
  });
});
