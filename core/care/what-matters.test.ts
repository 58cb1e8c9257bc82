import { BOOK } from '#core/tables/book.ts';
import { expect, test } from '@jest/globals';
import type { ItemClock } from '#core/care/care-clock.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';
import { packedUp, protects } from '#core/care/what-matters.ts';
import { KIND_IDS } from '#core/instruments/kind.ts';
import { usualPractice } from '#core/methods/practice-under.ts';
import { localDate } from '#core/time/local-date.ts';

test.each(KIND_IDS)(
  'a %s whose bore was left wet still waits, though none of it was a step that must be done',
  (kind) => {
    const practice = usualPractice(BOOK, kind, usualBuild(BOOK.kinds[kind]));
    const wetOnes = practice.items.filter(
      ({ id, trigger }) =>
        trigger.kind === 'every-play' &&
        trigger.moment === 'after' &&
        practice.steps.some(
          ({ item, reaches = [], onlyIf }) =>
            item === id && onlyIf === undefined && (reaches.includes('bore-dry') || reaches.includes('water-out')),
        ),
    );
    expect(wetOnes.length).toBeGreaterThan(0);
    const all = practice.items.filter(({ trigger }) => trigger.kind === 'every-play' && trigger.moment === 'after');
    for (const wet of wetOnes) {
      const clocks = all.map((item): ItemClock => ({
        item,
        part: item.part,
        state: item === wet ? 'due' : 'fresh',
        load: item === wet ? 1 : 0,
        lastDone: { on: localDate('2026-11-24'), by: 'player' },
        due: null,
        postponedUntil: null,
        because: [],
      }));
      expect([wet.id, packedUp(practice, clocks).awaitsPackUp]).toEqual([wet.id, true]);
    }
  },
);

test('what care protects grows with how long it has waited, up to a limit', () => {
  const [item] = usualPractice(BOOK, 'clarinet', usualBuild(BOOK.kinds.clarinet)).items;
  if (!item) throw new Error('no item');
  const at = (exposure: number) => protects(BOOK.kinds.clarinet, item, exposure);
  expect(at(0)).toBe(0);
  expect(at(1)).toBeCloseTo(2 * at(0.5), 9);
  expect(at(1_000)).toBe(at(100));
  expect(at(100)).toBeGreaterThan(at(1));
});
