import { describe, expect, test } from '@jest/globals';
import { ticketText, type Ticket } from '#core/bench/ticket.ts';
import { careWords, playedWords, readInYear } from '#core/bench/year-words.ts';
import { PLAIN_FORMAT } from '#core/explain/format.ts';
import { inspectionsStanding } from '#core/inspections/inspections-standing.ts';
import type { KindId } from '#core/instruments/kind.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';
import { BOOK } from '#core/tables/book.ts';
import { addDays, localDate } from '#core/time/local-date.ts';

const today = localDate('2026-11-27');
const buildOf = (kind: KindId) => usualBuild(BOOK.kinds[kind]);

describe('what goes along to the bench', () => {
  const ticket: Ticket = {
    today,
    instrument: 'Old horn',
    kindName: 'Horn',
    build: ['Lacquer', 'Plated'],
    serial: null,
    player: 'Asha',
    bench: { name: 'Quayside Winds', phone: null },
    wanted: [{ name: 'A slide freed: tuning slide', why: '5 of 5, stuck: force nothing.' }],
    note: ['Old horn, noticed on 2026-11-20.', 'Done without help: oil.'],
    readings: [{ name: 'Pull', words: 'Pull: 5 of 5', line: 'It rises.' }],
    last: '2025-05-01. Done there: bench service.',
    hasCase: true,
  };
  test('the ticket as text says what, since when, what was tried and measured, and that the case is looked at', () => {
    const text = ticketText(ticket, PLAIN_FORMAT);
    expect(text.split('\n').slice(0, 3)).toEqual([
      'For the bench: Quayside Winds',
      'Old horn (horn), played by Asha. 2026-11-27.',
      'Serial number: not written down. Built: lacquer, plated.',
    ]);
    for (const part of [
      'To be done',
      'What was noticed and tried',
      'What was measured',
      'Before',
      'The case: please look',
    ])
      expect(text).toContain(part);
    const short = ticketText(
      { ...ticket, wanted: [], note: [], readings: [], last: null, hasCase: false, serial: 'A1' },
      PLAIN_FORMAT,
    );
    expect(short).not.toContain('To be done');
    expect(short).toContain('Serial number: A1.');
  });
});

describe('a year of it', () => {
  test('how much it was played, what is overdue, and the first and last of what was read', () => {
    expect(playedWords({ plays: 0, minutes: 0 })).toBe('It was not played.');
    expect(playedWords({ plays: 1, minutes: 61 })).toBe('Played 1 time, 1 h 1 min in all.');
    const clock = (state: string, kind: string) => ({ state, item: { name: 'Key oil', trigger: { kind } } }) as never;
    expect(careWords({ clocks: [clock('overdue', 'clock'), clock('overdue', 'every-play')] })).toBe(
      'Overdue: key oil.',
    );
    expect(careWords({ clocks: [clock('due', 'clock')] })).toBe('No regular care is overdue.');
    const read = [400, 200, 10].map((ago, at) => ({
      key: String(at),
      on: addDays(today, -ago),
      by: 'player' as const,
      readings: [{ measure: 'brass/shank' as const, place: null, way: 'by-hand' as const, value: at }],
    }));
    const standing = inspectionsStanding(BOOK, { kind: 'horn', build: buildOf('horn') }, read, {
      today,
      done: [],
      mishaps: [],
    });
    expect(readInYear(standing, addDays(today, -365), PLAIN_FORMAT)).toEqual([
      {
        name: 'Rocking of the mouthpiece’s shank',
        text: '1 of 2, a little on 2026-05-11, then 2 of 2, yes on 2026-11-17: for the bench.',
      },
    ]);
  });
});
