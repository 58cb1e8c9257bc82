import { describe, expect, test } from '@jest/globals';
import {
  handoverLines,
  handoverRefusal,
  handoverSaid,
  handoverStanding,
  handoverWords,
  type HandoverNoted,
} from '#core/calendar/handover.ts';
import type { HandoverList } from '#core/book/packing.ts';
import type { CalendarEvent } from '#core/calendar/event.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import { KIND_IDS, type KindId } from '#core/instruments/kind.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';
import { BOOK } from '#core/tables/book.ts';
import { addDays, localDate } from '#core/time/local-date.ts';

const linesOf = (kind: KindId, list: HandoverList, isSent: boolean) =>
  handoverLines(BOOK.packing, list, { kind, build: usualBuild(BOOK.kinds[kind]), isSent });
const packed = (kind: KindId, isSent: boolean) => linesOf(kind, 'out', isSent).map(({ id }) => id);

describe('the lines of packing and fetching', () => {
  test('each kind packs what it has: reeds stay at home, a horn has none, a box only where it is sent', () => {
    expect(packed('clarinet', false)).toEqual(
      expect.arrayContaining(['swabbed', 'reeds-out', 'mouthpiece', 'held-keys']),
    );
    expect(packed('horn', false)).not.toEqual(expect.arrayContaining(['reeds-out']));
    expect(packed('horn', false)).toContain('emptied');
    expect(packed('alto-saxophone', false)).toEqual(expect.arrayContaining(['plug', 'strap-out']));
    for (const kind of KIND_IDS) {
      expect(packed(kind, false)).not.toContain('box');
      expect(packed(kind, true)).toEqual(expect.arrayContaining(['box', 'insured', 'weekend', 'ticket', 'latched']));
      expect(linesOf(kind, 'back', false).length).toBeGreaterThan(6);
    }
    expect(linesOf('flute', 'back', false).map(({ id }) => id)).not.toContain('new-cork');
  });

  test('no line stands twice, each says what to do where it is not so, and no hand is asked for a tool', () => {
    const lines = [...BOOK.packing.out, ...BOOK.packing.back];
    expect(new Set(lines.map(({ id }) => id)).size).toBe(lines.length);
    for (const { text, amiss } of lines)
      for (const words of [text, amiss]) {
        expect(words).toMatch(/^[A-Z].*[.?]$/);
        expect(words).not.toMatch(/screwdriver|pliers|hammer|solder|open the/i);
      }
  });

  test('a line of another instrument, or one said twice, is refused', () => {
    const here = linesOf('horn', 'out', false);
    expect(handoverRefusal([{ line: 'emptied', answer: 'so' }], here)).toBeNull();
    expect(handoverRefusal([{ line: 'plug', answer: 'so' }], here)?.code).toBe('handover-line-unknown');
    expect(handoverRefusal([{ line: 'all-there', answer: 'so' }], here)?.code).toBe('handover-line-unknown');
    const twice = [
      { line: 'emptied', answer: 'so' },
      { line: 'emptied', answer: 'not-so' },
    ] as const;
    expect(handoverRefusal(twice, here)?.code).toBe('handover-line-twice');
    expect(handoverSaid('out', [{ line: 'emptied', answer: 'so' }])).toBe('Packed for the bench: 1 line seen to');
    expect(handoverSaid('back', twice)).toBe('Fetched from the bench: 2 lines seen to, 1 not so');
  });
});

const today = localDate('2026-05-20');
const day = (days: number) => addDays(today, days);
const horn = 'horn' as InstrumentId;
const stay = (from: number, to: number, isOver = false): CalendarEvent => ({
  key: `stay ${from}`,
  playerId: 'ada' as PlayerId,
  what: 'bench',
  on: day(from),
  until: day(to),
  atMinute: null,
  minutes: null,
  minutesOf: [],
  repeats: null,
  name: null,
  instrumentIds: [horn],
  stay: isOver ? { done: [], cost: null } : null,
  origin: null,
});
const gone = (list: HandoverList, on: number): HandoverNoted => ({ list, on: day(on), lines: [] });
const standing = (events: readonly CalendarEvent[], handovers: readonly HandoverNoted[] = []) =>
  handoverStanding(handovers, events, horn, today);

describe('what a day asks before and after a stay', () => {
  test('it is packed the day before or on the day, once, and again where it was long ago', () => {
    expect(standing([stay(2, 9)]).toPack).toBeNull();
    expect(standing([stay(1, 9)]).toPack).toBe(day(1));
    expect(standing([stay(0, 9)]).toPack).toBe(today);
    expect(standing([stay(-1, 9)]).toPack).toBeNull();
    expect(standing([stay(1, 9)], [gone('out', 0)]).toPack).toBeNull();
    expect(standing([stay(1, 9)], [gone('out', -2)]).toPack).toBeNull();
    expect(standing([stay(1, 9)], [gone('out', -3)]).toPack).toBe(day(1));
    expect(standing([stay(1, 9)], [gone('back', 0)]).toPack).toBe(day(1));
    expect(handoverStanding([], [stay(0, 9)], 'flute' as InstrumentId, today).toPack).toBeNull();
  });

  test('it is asked for from the day it is to be back until somebody says what came of it, two weeks at the most', () => {
    expect(standing([stay(-7, 1)]).toFetch).toBeNull();
    expect(standing([stay(-7, 0)]).toFetch).toBe(today);
    expect(standing([stay(-30, -14)]).toFetch).toBe(day(-14));
    expect(standing([stay(-30, -15)]).toFetch).toBeNull();
    expect(standing([stay(-7, 0, true)]).toFetch).toBeNull();
    expect(standing([stay(-7, 0)], [gone('back', 0)])).toMatchObject({ toFetch: today, isChecked: true });
    expect(standing([stay(-7, 0)], [gone('back', -8)]).isChecked).toBe(false);
    // While one waits for it: packed first.
    expect(standing([stay(0, 0)])).toMatchObject({ toPack: today, toFetch: null });
  });

  test('it says which of them it is', () => {
    expect(handoverWords(standing([stay(0, 9)]), today)).toBe('Pack it: it goes to the bench today');
    expect(handoverWords(standing([stay(1, 9)]), today)).toBe('Pack it: it goes to the bench tomorrow');
    expect(handoverWords(standing([stay(-7, 0)]), today)).toMatch(/^Back from the bench\? Look at it/);
    expect(handoverWords(standing([stay(-7, 0)], [gone('back', 0)]), today)).toMatch(/Say what the bench did$/);
  });
});
