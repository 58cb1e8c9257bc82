import { describe, expect, test } from '@jest/globals';
import type { ImportedEvent } from '#core/calendar/imported-event.ts';
import { guessKind } from '#core/ics/guess-kind.ts';
import { datesBefore, byName, sameCalendar, vanishedFrom } from '#core/ics/beside-before.ts';
import { likeliest, mostPlayedOn, previewSeries, takenIn, type SeriesChoice } from '#core/ics/import-plan.ts';
import type { IcsDate, IcsSeries } from '#core/ics/ics-series.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { addDays, localDate } from '#core/time/local-date.ts';

const today = localDate('2026-11-27');
const on = (days: number) => addDays(today, days);
const [clarinet, alto] = ['clarinet' as InstrumentId, 'alto' as InstrumentId];
const date = (days: number, over: Partial<IcsDate> = {}): IcsDate => ({
  instance: null,
  on: on(days),
  until: on(days),
  atMinute: 1140,
  minutes: 120,
  summary: 'Gala',
  ...over,
});
const series = (uid: string, ...dates: IcsDate[]): IcsSeries => ({ uid, summary: dates[0]?.summary ?? '', dates });
const choice = (uid: string, over: Partial<SeriesChoice> = {}): SeriesChoice => ({
  uid,
  what: 'concert',
  instrumentIds: [clarinet],
  ...over,
});
const NOTHING = { before: [], kept: [] };
const gone = (all: readonly IcsSeries[], known: readonly ImportedEvent[]) =>
  vanishedFrom({ series: all, cancelled: [], isOnlyCancelling: false }, known, today);
/** What was taken of a file before, under keys of its own. */
const before = (all: readonly IcsSeries[], ...choices: SeriesChoice[]): ImportedEvent[] =>
  takenIn(all, choices, NOTHING).map((one, at) => ({ ...one, key: `k${at}` }));
/** Friday is the alto's; the clarinet has more of the week. */
const usual = (...usualMinutes: number[]) => usualMinutes;
const own = [
  { id: clarinet, usualMinutes: usual(60, 60, 60, 60, 20, 0, 0) },
  { id: alto, usualMinutes: usual(0, 0, 0, 0, 90, 0, 0) },
];
const setting = { own, today };

describe('what an entry probably is', () => {
  test.each([
    ['Winter concert', false, 'concert', true],
    ['Matinée', false, 'concert', true],
    ['Audition for the town band', false, 'audition', true],
    ['Concert rehearsal', false, 'rehearsal', true],
    ['Band practice', false, 'rehearsal', true],
    ['Half-term', true, 'holiday', true],
    ['Tour of the north', true, 'travel', true],
    ['Tuba to the bench', true, 'bench', true],
    ['Dentist', false, 'rehearsal', false],
    ['Aunt Olga', true, 'holiday', false],
    ['Showroom', false, 'rehearsal', false],
  ] as const)('%s', (name, isWholeDay, what, isSure) => {
    expect(guessKind(name, isWholeDay)).toEqual({ what, isSure });
  });
});

describe('what is taken of a file', () => {
  test('is as long as it lasts where it is played, and has no minutes where it is not', () => {
    const file = [
      series('a', date(3)),
      series('b', date(5, { minutes: null, until: on(9) })),
      series('c', date(4, { minutes: 0 })),
    ];
    const all = takenIn(file, [choice('a'), choice('b', { what: 'holiday' }), choice('c')], NOTHING);
    expect(all.map(({ uid, on: day, until, minutes }) => [uid, day, until, minutes])).toEqual([
      ['a', on(3), null, 120],
      ['b', on(5), on(9), null],
      // A calendar that does not say how long it is.
      ['c', on(4), null, 80],
    ]);
  });

  test('keeps within what an event may be: ten hours, a year, sixty letters, a name that can be seen', () => {
    const file = [
      series('long', date(3, { minutes: 2000, summary: `${'x'.repeat(80)}\n y` })),
      series('years', date(3, { minutes: null, until: on(900), summary: '  ' })),
    ];
    const [long, years] = takenIn(file, [choice('long'), choice('years', { what: 'travel' })], NOTHING);
    expect([long?.minutes, long?.name?.length]).toEqual([600, 60]);
    expect([years?.until, years?.name]).toEqual([on(3 + 366), null]);
  });

  test('is nothing of what was not chosen, and what has vanished and is kept beside it', () => {
    const kept = before([series('old', date(8))], choice('old'));
    const all = takenIn([series('a', date(3)), series('b', date(4))], [choice('a')], { before: kept, kept });
    expect(all.map(({ uid }) => uid)).toEqual(['a', 'old']);
  });
});

describe('a file beside what was taken before', () => {
  const FILE = [series('a', date(3)), series('b', date(4, { summary: 'Dentist' }))];

  test('new, it is ticked where its name says that it concerns a player', () => {
    expect(previewSeries(FILE, [], setting).map(({ uid, state, taken }) => [uid, state, taken])).toEqual([
      ['a', 'new', true],
      ['b', 'new', false],
    ]);
  });

  test('a rehearsal is on what is most played on its weekday, a holiday on everything', () => {
    const friday = series('fri', date(7, { summary: 'Band practice' }));
    const monday = series('mon', date(3, { summary: 'Band practice' }));
    const sunday = series('sun', date(2, { summary: 'Matinée' }));
    const away = series('off', date(7, { minutes: null, summary: 'Half-term' }));
    expect(
      previewSeries([friday, monday, sunday, away], [], setting).map(({ uid, instrumentIds }) => [uid, instrumentIds]),
    ).toEqual([
      ['fri', [alto]],
      ['mon', [clarinet]],
      // Nobody plays on Sundays: what has most of the week.
      ['sun', [clarinet]],
      ['off', [clarinet, alto]],
    ]);
    expect(mostPlayedOn([], today)).toBeNull();
    // Who has said nothing yet: the first.
    expect(
      mostPlayedOn(
        [alto, clarinet].map((id) => ({ id, usualMinutes: [] })),
        today,
      ),
    ).toBe(alto);
  });

  test('the same, changed, or gone: and what was said of it before is said again', () => {
    const taken = before(FILE, choice('a', { what: 'audition', instrumentIds: [alto] }), choice('b'));
    const same = previewSeries(FILE, taken, setting);
    expect(same.map(({ state, taken: is }) => [state, is])).toEqual([
      ['same', true],
      ['same', true],
    ]);
    expect(same[0]).toMatchObject({ what: 'audition', instrumentIds: [alto] });
    const moved = [series('a', date(5))];
    expect(previewSeries(moved, taken, setting)[0]?.state).toBe('changed');
    expect(gone(moved, taken).map(({ uid, isCancelled }) => [uid, isCancelled])).toEqual([['b', false]]);
  });

  test('one date more or less of a series is a change; one that is over is none', () => {
    const weekly = (...days: number[]) => series('w', ...days.map((day) => date(day, { instance: on(day) })));
    const taken = before([weekly(-7, 3, 10)], choice('w'));
    const state = (...days: number[]) => previewSeries([weekly(...days)], taken, setting)[0]?.state;
    expect([state(-7, 3, 10), state(3, 10), state(3), state(3, 10, 17)]).toEqual([
      'same',
      'same',
      'changed',
      'changed',
    ]);
    // The series is still there without it: its organiser has left it out.
    expect(gone([weekly(3)], taken).map(({ on: day, isCancelled }) => [day, isCancelled])).toEqual([[on(10), true]]);
  });

  test('an instrument that has left is no longer played on, and what came from here is left out', () => {
    const taken = before(FILE, choice('a', { instrumentIds: [clarinet, alto] }));
    expect(previewSeries(FILE, taken, { own: own.slice(1), today })[0]?.instrumentIds).toEqual([alto]);
    const ours = [series('x@ulu', date(3)), ...FILE];
    expect(previewSeries(ours, [], setting).map(({ uid }) => uid)).toEqual(['a', 'b']);
    expect(takenIn(ours, [choice('x@ulu')], NOTHING)).toEqual([]);
  });

  const rehearsals = (hour: string, ...days: number[]) =>
    series('w', ...days.map((day) => date(day, { instance: `${on(day)}T${hour}:00:00Z` })));
  const again = (file: IcsSeries, taken: readonly ImportedEvent[]) =>
    takenIn([file], [choice('w')], { before: taken, kept: [] });

  test('a series whose hour was changed is the same series, and keeps its keys', () => {
    const taken = before([rehearsals('18', 3, 10, 17)], choice('w'));
    const later = rehearsals('19', 3, 10, 17, 24);
    expect(previewSeries([later], taken, setting)[0]?.state).toBe('changed');
    expect(gone([later], taken)).toEqual([]);
    const after = again(later, taken);
    expect(after.map(({ key, on: day }) => [key, day])).toEqual([
      ['k0', on(3)],
      ['k1', on(10)],
      ['k2', on(17)],
      [null, on(24)],
    ]);
    expect(after.slice(0, 3).map(({ instance }) => instance)).toEqual(taken.map(({ instance }) => instance));
    // And once more at another hour: found by its day again.
    const known = after.map((one, at) => ({ ...one, key: one.key ?? `n${at}` }));
    expect(again(rehearsals('17', 3, 10, 17, 24), known).map(({ key }) => key)).toEqual(['k0', 'k1', 'k2', 'n3']);
  });

  test('one moved by a day is the same, one moved by a week is another; each is found once', () => {
    const taken = before([rehearsals('18', 3, 10, 17)], choice('w'));
    const found = (...days: number[]) => again(rehearsals('20', ...days), taken).map(({ key }) => key);
    expect(found(4, 11, 18)).toEqual(['k0', 'k1', 'k2']);
    expect(found(2, 3, 10)).toEqual([null, 'k0', 'k1']);
    expect(found(8, 9)).toEqual([null, 'k1']);
    expect(found(30)).toEqual([null]);
  });

  test('a single date that becomes a series is its first, and a series that becomes one date, too', () => {
    const single = before([series('w', date(3))], choice('w'));
    expect(again(rehearsals('18', 3, 10), single).map(({ key, instance }) => [key, instance])).toEqual([
      ['k0', null],
      [null, `${on(10)}T18:00:00Z`],
    ]);
    const many = before([rehearsals('18', 3, 10)], choice('w'));
    expect(again(series('w', date(10)), many).map(({ key }) => key)).toEqual(['k1']);
  });

  test('what its calendar cancels is said to be cancelled; a file that only cancels says nothing of the rest', () => {
    const taken = before([rehearsals('18', 3, 10), series('a', date(5))], choice('w'), choice('a'));
    const cancels = (over: Partial<Parameters<typeof vanishedFrom>[0]>) =>
      vanishedFrom({ series: [], cancelled: [], isOnlyCancelling: false, ...over }, taken, today).map((one) => [
        one.uid,
        one.on,
        one.isCancelled,
      ]);
    const one = { uid: 'w', instance: 'elsewhere', on: on(10) };
    expect(cancels({ cancelled: [one], isOnlyCancelling: true })).toEqual([['w', on(10), true]]);
    expect(cancels({ cancelled: [one] })).toEqual([
      ['w', on(3), false],
      ['w', on(10), true],
      ['a', on(5), false],
    ]);
    const all = { uid: 'w', instance: null, on: null };
    expect(cancels({ cancelled: [all], isOnlyCancelling: true }).map(([, day]) => day)).toEqual([on(3), on(10)]);
    // What is over was not cancelled.
    expect(vanishedFrom({ series: [], cancelled: [all], isOnlyCancelling: true }, taken, on(4))).toHaveLength(1);
  });

  test('a file under another name is the calendar it has most in common with, if that is half of the smaller', () => {
    const named = (calendar: string, ...uids: string[]) => ({
      calendar,
      events: before(
        uids.map((uid) => series(uid, date(3))),
        ...uids.map((uid) => choice(uid)),
      ),
    });
    const known = [named('Band', 'a', 'b', 'c', 'd'), named('School', 'e', 'f')];
    const same = (name: string, ...uids: string[]) => sameCalendar(name, new Set(uids), known)?.calendar ?? null;
    expect(same('School', 'a', 'b')).toBe('School');
    expect(same('band (1).ics', 'a', 'b', 'x', 'y')).toBe('Band');
    expect(same('band (1).ics', 'a', 'x', 'y', 'z')).toBeNull();
    expect(same('more.ics', 'a', 'e', 'f')).toBe('School');
    expect(same('else.ics', 'x')).toBeNull();
    expect(same('empty.ics')).toBeNull();
  });

  test('of twenty thousand dates on the days of a thousand each is found once', () => {
    const days = Array.from({ length: 20_000 }, (_, at) => at % 500);
    const file = series('w', ...days.map((day, at) => date(day, { instance: `n${at}` })));
    const taken = before([rehearsals('18', ...days.slice(0, 1000))], choice('w'));
    const found = [...datesBefore(file, byName(taken))];
    expect(new Set(found.map(([, one]) => one)).size).toBe(1000);
    expect(found.every(([is, was]) => is.on === was.on)).toBe(true);
  });

  test('of more series than anybody ticks the likeliest are shown, in their order, and the rest is counted', () => {
    const many = Array.from({ length: 3000 }, (_, at) =>
      series(`n${at}`, date(3000 - at, { summary: at % 3 === 0 ? 'Gala' : 'Dentist' })),
    );
    const known = before([series('n1', date(2999))], choice('n1'));
    const all = previewSeries(many, known, setting);
    const { shown, hidden } = likeliest(all);
    expect([shown.length, hidden]).toEqual([1000, 2000]);
    // What was taken before, and only galas beside it, those that come first.
    expect(shown.map(({ uid }) => uid)).toContain('n1');
    expect(shown.filter(({ name }) => name !== 'Gala').map(({ uid }) => uid)).toEqual(['n1']);
    expect(shown.at(-1)?.uid).toBe('n2997');
    expect(likeliest(all.slice(0, 9))).toEqual({ shown: all.slice(0, 9), hidden: 0 });
    const long = all.slice(0, 900).map((one) => ({ ...one, uid: `${one.uid} ${'x'.repeat(900)}` }));
    expect(JSON.stringify(likeliest(long).shown).length).toBeLessThan(400_000);
  });
});
