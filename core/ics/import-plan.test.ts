import { describe, expect, test } from '@jest/globals';
import type { ImportedEvent } from '#core/calendar/imported-event.ts';
import { guessKind } from '#core/ics/guess-kind.ts';
import { mostPlayedOn, previewSeries, takenIn, vanishedFrom, type SeriesChoice } from '#core/ics/import-plan.ts';
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
/** What was taken of a file before, under keys of its own. */
const before = (all: readonly IcsSeries[], ...choices: SeriesChoice[]): ImportedEvent[] =>
  takenIn(all, choices, []).map((one, at) => ({ key: `k${at}`, ...one }));
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
    const all = takenIn(file, [choice('a'), choice('b', { what: 'holiday' }), choice('c')], []);
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
    const [long, years] = takenIn(file, [choice('long'), choice('years', { what: 'travel' })], []);
    expect([long?.minutes, long?.name?.length]).toEqual([600, 60]);
    expect([years?.until, years?.name]).toEqual([on(3 + 366), null]);
  });

  test('is nothing of what was not chosen, and what has vanished and is kept beside it', () => {
    const kept = before([series('old', date(8))], choice('old'));
    const all = takenIn([series('a', date(3)), series('b', date(4))], [choice('a')], kept);
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
    expect(vanishedFrom(moved, taken, today).map(({ uid }) => uid)).toEqual(['b']);
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
    expect(vanishedFrom([weekly(3)], taken, today).map(({ on: day }) => day)).toEqual([on(10)]);
  });

  test('an instrument that has left is no longer played on, and what came from here is left out', () => {
    const taken = before(FILE, choice('a', { instrumentIds: [clarinet, alto] }));
    expect(previewSeries(FILE, taken, { own: own.slice(1), today })[0]?.instrumentIds).toEqual([alto]);
    const ours = [series('x@ulu', date(3)), ...FILE];
    expect(previewSeries(ours, [], setting).map(({ uid }) => uid)).toEqual(['a', 'b']);
    expect(takenIn(ours, [choice('x@ulu')], [])).toEqual([]);
  });
});
