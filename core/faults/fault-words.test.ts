import { describe, expect, test } from '@jest/globals';
import { REMEDY_HANDS } from '#core/book/fault.ts';
import { faultsFor } from '#core/faults/faults-for.ts';
import { endWords, handsOfRemedy, handsSaid, thenWords } from '#core/faults/fault-words.ts';
import { stopSaid } from '#core/faults/stop-words.ts';
import { KIND_IDS } from '#core/instruments/kind.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';
import type { PlayerAbilities } from '#core/players/player.ts';
import { BOOK } from '#core/tables/book.ts';
import { localDate } from '#core/time/local-date.ts';

const child: PlayerAbilities = { standing: 'child', does: [] };
const grownUp: PlayerAbilities = { standing: 'grown-up', does: ['key-oil', 'screws'] };
const ENDS = ['stopped', 'clear', 'same-step', 'asked-enough', 'nothing-to-ask', 'not-in-list', 'cannot-tell'] as const;

describe('a child’s interview is a child’s', () => {
  test('whatever is not their own work, a grown-up hears of it', () => {
    const wrong = KIND_IDS.flatMap((kind) =>
      faultsFor(BOOK, kind, usualBuild(BOOK.kinds[kind])).causes.flatMap((cause) => {
        const hands = handsOfRemedy(cause, child);
        return hands === 'player' || handsSaid(hands, child).includes('grown-up') ? [] : [cause.id];
      }),
    );
    expect(wrong).toEqual([]);
    for (const then of REMEDY_HANDS.filter((hand) => hand !== 'player'))
      expect(thenWords(then, child)).toContain('a grown-up');
    expect(thenWords(undefined, child)).toContain('a grown-up');
  });

  test('the end is said in short, and sends nobody to the bench alone', () => {
    for (const end of ENDS) {
      expect(endWords(end, true)).not.toMatch(/bench|cause|likely/);
      expect(endWords(end, true).length).toBeLessThanOrEqual(80);
      expect(endWords(end, true)).not.toBe(endWords(end, false));
    }
  });

  test('what stops the instrument is told to a grown-up the same day; a grown-up is not told to tell one', () => {
    for (const kind of KIND_IDS) {
      const { stops, mishapStops } = faultsFor(BOOK, kind, usualBuild(BOOK.kinds[kind]));
      for (const rule of [...stops, ...mishapStops])
        for (const unsure of [true, false]) {
          const standing = { rule, unsure, since: localDate('2026-11-24'), key: 'k' };
          expect(stopSaid(standing, child).why).toBe(`Tell a grown-up today. ${stopSaid(standing, grownUp).why}`);
        }
    }
  });
});
