import { expect, test } from '@jest/globals';
import type { Subject } from '#core/record/fact.ts';
import { createRemembered, MOST_KEPT } from '#server/remembered.ts';

const CLARINET = { kind: 'instrument', id: 'clarinet' } as Subject;
const HORN = { kind: 'instrument', id: 'horn' } as Subject;

/** What is remembered of a record whose revisions are set by hand, and how often each thing was worked out. */
function remembering() {
  const revisions = new Map<string, number>();
  const made: string[] = [];
  const { of, forget } = createRemembered(({ id }) => revisions.get(id) ?? 0);
  return {
    forget,
    made,
    touch: (id: string) => revisions.set(id, (revisions.get(id) ?? 0) + 1),
    ask: (name: string, subjects: readonly Subject[] = [CLARINET], day = '2026-11-30') =>
      of({ name, subjects, day }, () => made.push(name)),
  };
}

test('what was worked out is kept until a fact touches what it hangs on, or the day is another', () => {
  const one = remembering();
  expect([one.ask('a'), one.ask('a'), one.ask('b', [HORN])]).toEqual([1, 1, 2]);
  one.touch('horn');
  expect(one.ask('a')).toBe(1);
  expect(one.ask('b', [HORN])).toBe(3);
  one.touch('clarinet');
  expect(one.ask('a')).toBe(4);
  expect(one.ask('a', [CLARINET], '2026-12-01')).toBe(5);
  one.forget();
  expect(one.ask('a', [CLARINET], '2026-12-01')).toBe(6);
});

test('the oldest goes for a new one, and no more are kept than are said', () => {
  const one = remembering();
  for (let at = 0; at < MOST_KEPT; at++) one.ask(`n${at}`);
  expect(one.made).toHaveLength(MOST_KEPT);
  one.ask('n0');
  expect(one.made).toHaveLength(MOST_KEPT);
  one.ask('new');
  one.ask('n1');
  expect(one.made).toHaveLength(MOST_KEPT + 1);
  one.ask('n0');
  expect(one.made).toHaveLength(MOST_KEPT + 2);
});
