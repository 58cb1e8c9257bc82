import { describe, expect, test } from '@jest/globals';
import type { CareItem } from '#core/book/care-item.ts';
import type { ItemClock } from '#core/care/care-clock.ts';
import type { CareState } from '#core/care/care-state.ts';
import { firstNoteOf } from '#core/care/first-note.ts';
import { firstNoteReasons, firstNoteWords } from '#core/care/first-note-words.ts';
import { playColumns } from '#core/plays/play-columns.ts';
import { KIND_IDS } from '#core/instruments/kind.ts';
import { BOOK } from '#core/tables/book.ts';
import { practiceOf } from '#core/testing/any-run.ts';
import { addDays, dayNumber, localDate, type LocalDate } from '#core/time/local-date.ts';

const TODAY = localDate('2026-11-24');
const ago = (days: number): LocalDate => addDays(TODAY, -days);
const at = (on: LocalDate): number => dayNumber(on) * 1440 + 600;
const itemsOf = (kind: (typeof KIND_IDS)[number]) => practiceOf(BOOK, { kind }).items;
const clocksOf = (items: readonly CareItem[], state: CareState): ItemClock[] =>
  items.map((item) => ({ item, state, lastDone: null }) as unknown as ItemClock);

type Told = {
  readonly state?: CareState;
  readonly played?: readonly LocalDate[];
  readonly acquiredOn?: LocalDate;
  readonly looked?: LocalDate;
};
const told = ({ state = 'unknown', played = [], acquiredOn = ago(3), looked }: Told, items = itemsOf('horn')) =>
  firstNoteOf(clocksOf(items, state), {
    plays: playColumns(
      Int32Array.from(played, at),
      Int32Array.from(played, () => 30),
    ),
    acquiredOn,
    today: TODAY,
    lastDone: new Map(looked ? [['wind/look-over' as const, { atWallMinute: at(looked), by: 'player' as const }]] : []),
  });

describe('before the first note', () => {
  test('of what is new here or has rested long, and of nothing else', () => {
    expect(told({})?.why).toEqual({ rule: 'never-played' });
    expect(told({ played: [ago(90)], acquiredOn: ago(900) })?.why).toEqual({ rule: 'rested', days: 90 });
    expect(told({ played: [ago(59)], acquiredOn: ago(900) })).toBeNull();
    // It came long ago: it was played before anybody wrote that down.
    expect(told({ acquiredOn: ago(61) })).toBeNull();
  });

  test('until it has been looked over since', () => {
    expect(told({ looked: TODAY })).toBeNull();
    expect(told({ played: [ago(90)], acquiredOn: ago(900), looked: ago(91) })).not.toBeNull();
    expect(told({ played: [ago(90)], acquiredOn: ago(900), looked: ago(2) })).toBeNull();
    // Looked over on the day it was put away is looked over since.
    expect(told({ played: [ago(90)], acquiredOn: ago(900), looked: ago(90) })).toBeNull();
  });

  test('oil and grease come in any case, the rest unless it is fresh', () => {
    const fresh = told({ state: 'fresh' })?.itemIds ?? [];
    expect(fresh.toSorted()).toEqual(['brass/slide-grease', 'rotary-brass/rotor-oil', 'wind/look-over']);
    const unknown = told({ state: 'unknown' })?.itemIds ?? [];
    expect(unknown).toEqual(expect.arrayContaining([...fresh, 'wind/case-check', 'brass/mouthpiece-wash']));
  });

  test('nothing that waits for the bench or is not done at all', () => {
    for (const state of ['waiting', 'off'] as const) expect(told({ state })?.itemIds).toEqual([]);
  });

  test.each(KIND_IDS)('a %s has something to be looked over at home, and nothing of the bench', (kind) => {
    const items = itemsOf(kind);
    const ids = told({}, items)?.itemIds ?? [];
    expect(ids).toContain('wind/look-over');
    expect(items.filter(({ id, place }) => ids.includes(id) && place === 'bench')).toEqual([]);
  });
});

test('in words, with what is to be known of new wood and of a bench nobody knows of', () => {
  const note = told({});
  if (note === null) throw new Error('it is new');
  expect(firstNoteWords(note)).toBe('New to you: look it over before the first note');
  const rules = (body: 'wood' | 'plastic', cameNew: boolean) =>
    firstNoteReasons(note, { body }, cameNew).map(({ rule }) => rule);
  expect(rules('wood', true)).toEqual(['first-note', 'new-wood', 'bench-unknown']);
  expect(rules('wood', false)).toEqual(['first-note', 'bench-unknown']);
  expect(rules('plastic', true)).toEqual(['first-note', 'bench-unknown']);
});
