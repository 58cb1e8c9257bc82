import { describe, expect, test } from '@jest/globals';
import { benchDays, type BenchAsked } from '#core/bench/bench-days.ts';
import type { BenchJob, BenchWork } from '#core/bench/bench-jobs.ts';
import { usualBench } from '#core/bench/bench-terms.ts';
import { benchDeed, benchHeadline, benchWhy, dayWhy, dayWords, doneThereWords } from '#core/bench/bench-words.ts';
import type { CareItemId } from '#core/book/care-ids.ts';
import type { CalendarEvent } from '#core/calendar/event.ts';
import type { ItemClock } from '#core/care/care-clock.ts';
import { PLAIN_FORMAT } from '#core/explain/format.ts';
import { inspectionsStanding } from '#core/inspections/inspections-standing.ts';
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
const job = (over: Partial<BenchJob> = {}): BenchJob => ({
  reason: { kind: 'clock', clock: clock() },
  work: 'service',
  severity: 'function',
  due: on(40),
  from: on(3),
  ...over,
});
const work = (...jobs: readonly BenchJob[]): BenchWork => ({ jobs, due: jobs[0]?.due ?? today });
const gala: CalendarEvent = {
  key: 'gala',
  playerId: 'asha' as PlayerId,
  what: 'concert',
  on: on(40),
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
const answer = (of: BenchWork, over: Partial<BenchAsked> = {}) =>
  benchDays({
    today,
    instrumentId: horn,
    jobs: of.jobs,
    away: usualBench,
    shut: SHUT,
    noShippingMonths: [],
    isAwayOnHolidays: true,
    events: [],
    kin: [],
    minutesOn: () => 30,
    ...over,
  });
const setting = { terms: usualBench, away: usualBench, shut: SHUT, isPupil: false, format: PLAIN_FORMAT };
const why = (of: BenchWork, over: Partial<BenchAsked> = {}, said: Partial<typeof setting> = {}) =>
  benchWhy(of, answer(of, over), { ...setting, ...said });
const texts = (lines: ReturnType<typeof why>): string => lines.map(({ text }) => text).join(' ');

describe('when it should go to the bench, in words', () => {
  test('one day and the day it is back; soon where it is due', () => {
    const headline = (of: BenchWork, over: Partial<BenchAsked> = {}) =>
      benchHeadline(answer(of, over), of, today, PLAIN_FORMAT);
    expect(headline(work(job()))).toMatch(/^Take it there on \w+ \d+ \w+\. It is back about .*\.$/);
    expect(headline(work(job({ due: on(-9), from: null })))).toMatch(/^It is due. Take it there on /);
    const waited = { away: { workingDays: 0, shippingDays: 0, settlingDays: 0 } };
    expect(headline(work(job()), waited)).toMatch(/It is done on that day\.$/);
    const every = Array.from({ length: 400 }, (_, day) => ({ ...gala, key: `g${day}`, on: on(day) }));
    expect(headline(work(job()), { events: every })).toMatch(/clashes with something: see why\. Ask for a spare/);
  });

  test('the reasons: what is due with its range, whose figures, what is in the way, what waiting costs', () => {
    const said = texts(why(work(job()), { events: [gala] }));
    expect(said).toMatch(/Bench service: due 2027-01-06, between 2027-01-04 and 2027-01-11\. The bench cleans/);
    expect(said).toContain('10 working days at the bench, 2 days on the way, there and again back');
    expect(said).toContain('Winter gala, 2027-01-06. It has to be back and played in before.');
    expect(said).toMatch(/Waiting about a month, until .*, costs (no|\d+ (h|min)( \d+ min)?) more\./);
    expect(said).toContain('does not lie over a weekend');
    expect(why(work(job())).find(({ rule }) => rule === 'terms')?.mark).toBe('estimate');
    const own = {
      name: null,
      phone: null,
      region: null,
      noShippingMonths: [],
      workingDays: 4,
      shippingDays: 0,
      settlingDays: 1,
    };
    const yours = why(work(job()), { away: own }, { terms: own, away: own });
    expect(yours.find(({ rule }) => rule === 'terms')).toMatchObject({
      mark: 'yours',
      text: '4 working days at the bench, carried there by hand, and 1 day to get used to it again.',
    });
    const frost = { ...usualBench, noShippingMonths: [1] };
    expect(texts(why(work(job()), {}, { terms: frost }))).toContain('In the months you have named nothing is sent.');
  });

  test('a holiday of the bench within the stay is named, one outside it is not', () => {
    const best = answer(work(job())).days[0];
    const within = new Map([[dayNumber(best?.on ?? today) + 1, 'May Day']]);
    expect(texts(why(work(job()), {}, { shut: within }))).toContain('(May Day), and no parcel comes.');
    expect(texts(why(work(job())))).not.toContain('May Day');
  });

  test('a sign that was seen is said as one, what is due now as due now, a number as it was read', () => {
    const of = (clockOver: Partial<ItemClock>) =>
      texts(why(work(job({ reason: { kind: 'clock', clock: clock(clockOver) } }))));
    expect(of({ due: null, state: 'due' })).toContain('Bench service: a sign was seen.');
    expect(of({ state: 'due' })).toContain('Bench service: due now.');
    expect(of({ state: 'overdue' })).toContain('Bench service: overdue.');
    const readings = [{ measure: 'brass/slide-pull', place: 'main-slide', way: 'by-hand', value: 5 }] as const;
    const read = inspectionsStanding(
      BOOK,
      { kind: 'horn', build: usualBuild(BOOK.kinds.horn) },
      [{ key: 'i', on: on(-2), by: 'player', readings }],
      { today, done: [], mishaps: [] },
    );
    const standing = read.standing.find(({ newest }) => newest !== null);
    if (!standing) throw new Error('it was read');
    expect(texts(why(work(job({ reason: { kind: 'reading', standing } }))))).toContain(
      'Pull of the slide: tuning slide: 5 of 5, stuck: force nothing, read on 2026-11-25. That is work for the bench.',
    );
  });

  test('what a day costs adds up, a spare is named, and a day without costs says so', () => {
    const minutesIn = (text: string): number => {
      const [, hours = 0] = /(\d+) h/.exec(text) ?? [];
      const [, minutes = 0] = /(\d+) min/.exec(text) ?? [];
      return 60 * Number(hours) + Number(minutes);
    };
    const of = work(job({ due: on(-20), from: null }), job({ due: on(50), from: on(40) }));
    const { days } = answer(of, { kin: ['other' as InstrumentId] });
    for (const day of days) {
      const lines = dayWhy(day, { hasSpare: true, format: PLAIN_FORMAT });
      const reasons = lines.filter(({ rule }) => rule in day.costs);
      const sum = lines.find(({ rule }) => rule === 'sum');
      expect(reasons.reduce((all, { text }) => all + minutesIn(text), 0)).toBe(minutesIn(sum?.text ?? ''));
      expect(minutesIn(sum?.text ?? '')).toBe(day.sum);
      expect(texts(lines)).toContain('counted at 0.3 because another of its kind stays at home');
      expect(dayWords(day)).toMatch(/^It counts as \d/);
    }
    const byHand = { ...usualBench, shippingDays: 0 };
    const free = answer(work(job({ from: null })), { minutesOn: () => 0, away: byHand }).days[0];
    if (!free) throw new Error('a day is free');
    expect(texts(dayWhy(free, { hasSpare: false, format: PLAIN_FORMAT }))).toContain('It costs no playing at all.');
    expect(dayWords(free)).toBe('It costs no playing.');
  });

  test('a pupil’s goes in over the holiday', () => {
    expect(texts(why(work(job()), {}, { isPupil: true }))).toContain('over the long holiday');
    expect(texts(why(work(job())))).not.toContain('over the long holiday');
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
    for (const { text } of why(work(job()), { events: [gala] }, { isPupil: true }))
      expect(text).toMatch(/^[A-Z0-9].*\.$/);
  });
});
