import { describe, expect, test } from '@jest/globals';
import { usualBench } from '#core/bench/bench-terms.ts';
import { benchWindow, type BenchAsked } from '#core/bench/bench-window.ts';
import { benchDeed, benchHeadline, benchWhy, doneThereWords, windowsWords } from '#core/bench/bench-words.ts';
import type { BenchWork } from '#core/bench/bench-work.ts';
import type { CareItemId } from '#core/book/care-ids.ts';
import type { CalendarEvent } from '#core/calendar/event.ts';
import type { ItemClock } from '#core/care/care-clock.ts';
import { PLAIN_FORMAT } from '#core/explain/format.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import { KIND_IDS } from '#core/instruments/kind.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';
import { usualPractice } from '#core/methods/practice-under.ts';
import { BOOK } from '#core/tables/book.ts';
import { addDays, dayNumber, localDate } from '#core/time/local-date.ts';

/** A Friday. */
const today = localDate('2026-11-27');
const on = (days: number) => addDays(today, days);
const horn = 'horn' as InstrumentId;
const clock = (over: Partial<ItemClock> = {}): ItemClock =>
  ({
    item: { id: 'wind/bench-service', name: 'Bench service', why: 'The bench cleans and adjusts.', mark: 'practice' },
    state: 'soon',
    due: { on: on(40), earliest: on(38), latest: on(45) },
    ...over,
  }) as unknown as ItemClock;
const work = (over: Partial<BenchWork> = {}): BenchWork => ({
  clocks: [clock()],
  due: on(40),
  from: on(3),
  until: on(60),
  ...over,
});
const gala: CalendarEvent = {
  key: 'gala',
  playerId: 'asha' as PlayerId,
  what: 'concert',
  on: on(20),
  until: null,
  minutes: 60,
  atMinute: null,
  minutesOf: [],
  repeats: null,
  name: 'Winter gala',
  instrumentIds: [horn],
  stay: null,
  origin: null,
};
/** A holiday far from everything. */
const SHUT = new Map([[dayNumber(on(400)), 'May Day']]);
const answer = (over: Partial<BenchAsked> = {}) =>
  benchWindow({
    today,
    instrumentId: horn,
    due: on(40),
    from: on(3),
    until: on(60),
    terms: usualBench,
    shut: SHUT,
    isAwayOnHolidays: true,
    events: [],
    kin: [],
    minutesOn: () => 30,
    ...over,
  });
const why = (of: ReturnType<typeof answer>, over: Partial<BenchWork> = {}, isPupil = false) =>
  benchWhy(work(over), of, { terms: usualBench, shut: SHUT, today, isPupil, format: PLAIN_FORMAT });
const texts = (lines: ReturnType<typeof why>): string => lines.map(({ text }) => text).join(' ');

test('the days of a stay on which the bench is shut are named', () => {
  const of = answer();
  const within = dayNumber(of.best?.on ?? today) + 1;
  const said = (shut: ReadonlyMap<number, string>) =>
    texts(benchWhy(work({}), of, { terms: usualBench, shut, today, isPupil: false, format: PLAIN_FORMAT }));
  expect(said(new Map([[within, 'May Day']]))).toContain('(May Day), and no parcel comes.');
  expect(said(SHUT)).not.toContain('May Day');
});

describe('when it should go to the bench, in words', () => {
  test('one day and the day it is back, then the days that make sense', () => {
    const found = answer({ events: [gala] });
    expect(benchHeadline(found, PLAIN_FORMAT)).toMatch(/^Take it there on \w+ \d+ \w+\. It is back about .*\.$/);
    expect(windowsWords(found, work(), PLAIN_FORMAT)).toMatch(/^Any day (from|on) .* makes sense\.$/);
  });

  test('what is late goes as soon as it can', () => {
    const late = answer({ due: on(-90), from: on(-200), until: on(-1) });
    expect(benchHeadline(late, PLAIN_FORMAT)).toMatch(/^Take it there as soon as you can:/);
    expect(windowsWords(late, work(), PLAIN_FORMAT)).toMatch(/^It is late already\. The first day that makes sense is/);
  });

  test('with no day left it says so, and what would help', () => {
    const every = Array.from({ length: 200 }, (_, day) => ({ ...gala, key: `g${day}`, on: on(day) }));
    const none = answer({ events: every });
    expect(benchHeadline(none, PLAIN_FORMAT)).toBe('No day makes sense in that time.');
    expect(windowsWords(none, work(), PLAIN_FORMAT)).toMatch(/A spare would make room\.$/);
    const late = answer({ events: every, due: on(-90), from: on(-200), until: on(-1) });
    expect(windowsWords(late, work(), PLAIN_FORMAT)).toMatch(/Ask for a spare, and take it there anyway\.$/);
  });

  test('the reasons: what is due with its range, whose figures, what is in the way, what is lost', () => {
    const lines = why(answer({ events: [gala] }));
    const said = texts(lines);
    expect(said).toMatch(/Bench service: due 2027-01-06, between 2027-01-04 and 2027-01-11\. The bench cleans/);
    expect(said).toContain('10 working days at the bench, 2 days on the way, there and again back');
    expect(said).toContain('Winter gala, 2026-12-17. It has to be back and played in before.');
    expect(said).toMatch(
      /About \d+ h( \d+ min)? of playing fall into that time: no other day that makes sense costs less\./,
    );
    expect(lines.find(({ rule }) => rule === 'terms')?.mark).toBe('estimate');
  });

  test('what comes soon after is said, and why a day that loses more was chosen', () => {
    const quiet = (day: number) => (day > Math.round(Date.parse('2026-12-05') / 86_400_000) ? 1 : 60);
    const spaced = texts(
      why(answer({ events: [{ ...gala, on: on(55) }], from: on(3), until: on(50), minutesOn: quiet })),
    );
    expect(spaced).not.toContain('comes soon after');
    const shows = Array.from({ length: 8 }, (_, at) => ({ ...gala, key: `g${at}`, on: on(18 + 10 * at) }));
    const crowded = answer({ events: shows, until: on(60), terms: { ...usualBench, workingDays: 2, shippingDays: 0 } });
    expect(crowded.best?.before).not.toBeNull();
    expect(texts(why(crowded))).toMatch(
      /Winter gala on \d{4}-\d\d-\d\d comes soon after: no day that makes sense leaves 14 days before an audience\./,
    );
    const late = answer({ events: [{ ...gala, on: on(30) }], due: on(-90), from: on(-200), until: on(-1) });
    expect(texts(why(late))).toContain('what is overdue does not wait for it');
    const dearer = { ...answer(), best: { ...answer().best, losesLeast: false } } as ReturnType<typeof answer>;
    expect(texts(why(dearer))).toContain('a day that costs less would leave fewer than 14 days before an audience');
  });

  test('a sign that was seen is said as one, what is due now as due now, a day that is past is not said to come', () => {
    const seen = texts(why(answer(), { clocks: [clock({ due: null, state: 'due' })] }));
    expect(seen).toContain('Bench service: a sign was seen.');
    expect(texts(why(answer(), { clocks: [clock({ state: 'due' })] }))).toContain('Bench service: due now.');
    expect(texts(why(answer(), { from: on(-30) }))).toContain('After 2027-01-26 half its time more has gone by.');
    expect(texts(why(answer()))).toContain('less than three quarters of its time have run');
  });

  test('a pupil’s goes in over the holiday, and nothing is lost where nothing is played', () => {
    expect(texts(why(answer(), {}, true))).toContain('over the long holiday');
    expect(texts(why(answer()))).not.toContain('over the long holiday');
    expect(texts(why(answer({ minutesOn: () => 0 })))).toContain(
      'Nothing is expected to be played on it in that time.',
    );
  });

  test('what a sign called for is put right, and what is done in its turn is done', () => {
    const { items } = usualPractice(BOOK, 'trombone', usualBuild(BOOK.kinds.trombone));
    const of = (...ids: CareItemId[]) => items.filter(({ id }) => ids.includes(id));
    expect(of('wind/bench-service', 'brass/dent', 'brass/water-key-cork').map(benchDeed).toSorted()).toEqual([
      'Bench service',
      'Put right: a dent',
      'Put right: a water key that leaks',
    ]);
    expect(doneThereWords(of('wind/bench-service', 'brass/dent'))).toBe(
      'Done there: bench service. Put right: a dent.',
    );
    expect(doneThereWords(of('brass/dent'))).toBe('Put right: a dent.');
    expect(doneThereWords(of('wind/bench-service'))).toBe('Done there: bench service.');
    expect(doneThereWords([])).toBe('Done there: nothing of its care.');
    // Whatever the book sends to the bench reads as something that was done.
    for (const { kind, item } of KIND_IDS.flatMap((kind) =>
      usualPractice(BOOK, kind, usualBuild(BOOK.kinds[kind])).items.map((item) => ({ kind, item })),
    ))
      if (item.place === 'bench')
        expect([kind, benchDeed(item)]).toEqual([kind, expect.not.stringMatching(/to the bench|show it/)]);
  });

  test('every line is a whole sentence', () => {
    for (const { text } of why(answer({ events: [gala] }), {}, true)) expect(text).toMatch(/^[A-Z0-9].*\.$/);
  });
});
