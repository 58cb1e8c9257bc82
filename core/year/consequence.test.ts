import { BOOK } from '#core/tables/book.ts';
import { PLAIN_FORMAT } from '#core/explain/format.ts';
import { describe, expect, test } from '@jest/globals';
import type { CareItemId } from '#core/book/care-ids.ts';
import type { LastDone } from '#core/care/care-clock.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';
import { situationOf, type Situation } from '#core/situation/situation.ts';
import type { Condition } from '#core/book/condition.ts';
import type { Instrument } from '#core/instruments/instrument.ts';
import type { KindId } from '#core/instruments/kind.ts';
import { playColumns } from '#core/plays/play-columns.ts';
import { wallMinute } from '#core/plays/play.ts';
import { barredChoice, offeredChoices, methodOf, methodsFor } from '#core/methods/chosen-method.ts';
import { consequenceOf, type Change } from '#core/year/consequence.ts';
import { changeWords, yearWords } from '#core/year/year-words.ts';
import type { MethodId } from '#core/book/method-ids.ts';
import type { MethodChoices } from '#core/book/method-setting.ts';
import { usualYear, yearMemo, YEAR_DAYS, type YearMemo } from '#core/year/usual-year.ts';
import { addDays, addMonths, dayNumber, localDate, type LocalDate } from '#core/time/local-date.ts';
import { usualWetness } from '#core/water/wetness.ts';

const TODAY = localDate('2026-11-24');
const format = PLAIN_FORMAT;

/** Played 40 minutes every day for twelve weeks up to yesterday; each item last done so many days ago. */
function situation(
  kind: KindId,
  choices: MethodChoices = {},
  done: Partial<Record<CareItemId, number>> = {},
  conditions: readonly Condition[] = [],
): Situation {
  const days = Array.from({ length: 84 }, (_, index) => dayNumber(TODAY) - 84 + index);
  const instrument: Instrument = {
    id: `my-${kind}` as Instrument['id'],
    name: kind,
    kind,
    build: usualBuild(BOOK.kinds[kind]),
    playerId: 'ada' as Instrument['playerId'],
    acquiredOn: addDays(TODAY, -2000),
    cameNew: false,
    leftOn: null,
  };
  const lastDone = new Map(
    Object.entries(done).map(([id, ago]) => [
      id as CareItemId,
      { atWallMinute: wallMinute(addDays(TODAY, -(ago ?? 0)), 1400), by: 'player' } as LastDone,
    ]),
  );
  return situationOf(
    BOOK,
    instrument,
    {
      plays: playColumns(
        Int32Array.from(days, (day) => day * 1440 + 1200),
        Int32Array.from(days, () => 40),
      ),
      care: { lastDone, signs: new Map(), decisions: new Map() },
      choices,
      conditions,
      events: [],
      air: [],
      faults: { interviews: [], mishaps: [] },
      inspections: [],
      handovers: [],
    },
    TODAY,
  );
}

const yearOf = (of: Situation, memo?: YearMemo) =>
  usualYear(
    of,
    {
      instrumentId: 'my-clarinet' as Instrument['id'],
      player: { standing: 'grown-up', does: ['key-oil', 'bore-oil'] },
      wetness: usualWetness,
      today: TODAY,
    },
    memo,
  );
const side = (of: Situation) => ({ situation: of, year: yearOf(of) });
const changes = (
  kind: KindId,
  method: MethodId,
  choice: string,
  done: Partial<Record<CareItemId, number>> = {},
  choices: MethodChoices = {},
): Change[] =>
  consequenceOf(
    method,
    side(situation(kind, choices, done)),
    side(situation(kind, { ...choices, [method]: choice }, done)),
  );
const find = <Rule extends Change['rule']>(list: readonly Change[], rule: Rule) =>
  list.filter((one): one is Extract<Change, { rule: Rule }> => one.rule === rule);

describe('the coming year', () => {
  test('an item falls due on its day and then at its interval, counted by hand', () => {
    const year = yearOf(situation('clarinet', {}, { 'single-reed/mouthpiece-wash': 1, 'wooden-bore/oil': 100 }));
    const wash = year.items.get('single-reed/mouthpiece-wash')?.dates ?? [];
    // Done yesterday, every 7 days: in 6 days, then each 7 days while less than a year ahead.
    const expected: LocalDate[] = [];
    for (let day = 6; day < YEAR_DAYS; day += 7) expected.push(addDays(TODAY, day));
    expect(wash).toEqual(expected);
    const oil = year.items.get('wooden-bore/oil')?.dates ?? [];
    // Half a year after it was last done, and once more half a year later.
    expect(oil.length).toBe(2);
    expect(methodDays('bore-oil-interval')).toBeCloseTo(182.6, 1);
    expect(oil[0]).toBe(addMonths(addDays(TODAY, -100), 6));
    expect(oil[1]).toBe(addMonths(addMonths(addDays(TODAY, -100), 6), 6));
  });

  test('what nobody knows is due today; what is overdue as well', () => {
    const year = yearOf(situation('clarinet', {}, { 'swab/wash': 40 }));
    expect(year.items.get('swab/wash')?.dates[0]).toBe(TODAY);
    expect(year.items.get('keyed/key-oil')?.dates[0]).toBe(TODAY);
  });

  test('a play a day: the plays of a year, and its minutes are those of every play and every due time', () => {
    const year = yearOf(situation('clarinet', {}, { 'swab/wash': 1 }));
    expect(Math.abs(year.plays - 365)).toBeLessThan(1);
    const periodic = [...year.items.values()].reduce((sum, { dates, run }) => sum + dates.length * run.minutes, 0);
    expect(year.minutes).toBeCloseTo(year.plays * (year.before.minutes + year.after.minutes) + periodic, 6);
    // Practice: a clarinet is packed up in about 3–5 min; 40 min played take 4–5 passes through each of two joints.
    expect(year.after.minutes).toBeGreaterThan(2.5);
    expect(year.after.minutes).toBeLessThan(5);
    expect(year.after.passes).toBeGreaterThanOrEqual(8);
    expect(year.after.passes).toBeLessThanOrEqual(10);
  });
});

/** Days of the interval in force on a clarinet, read from the book. */
function methodDays(id: MethodId): number | undefined {
  const of = situation('clarinet');
  for (const { trigger } of of.methods.practice.items)
    if (trigger.kind === 'clock-by-method' && trigger.method === id) {
      const limbs = trigger.limbs[methodOf(BOOK, id).usual.otherwise];
      // A month is 365.25 ÷ 12 days on average.
      return typeof limbs === 'object' ? (limbs.days?.value ?? (limbs.months?.value ?? NaN) * 30.4375) : undefined;
    }
  return undefined;
}

describe('another choice', () => {
  test('a rarer wash: how many times fewer, the next day, the minutes of a year', () => {
    const list = changes('clarinet', 'mouthpiece-wash-interval', 'monthly', { 'single-reed/mouthpiece-wash': 1 });
    expect(find(list, 'times')).toEqual([
      { rule: 'times', item: 'Wash the mouthpiece', from: 52, to: 12, next: addDays(TODAY, 29) },
    ]);
    const [year] = find(list, 'minutes-a-year');
    // Forty times fewer, about a minute and a half each.
    expect((year?.from ?? 0) - (year?.to ?? 0)).toBeCloseTo(40 * 1.5, 6);
    expect(yearWords(list)).toBe('about 1 h less a year');
  });

  test('another path: other steps, fewer passes, other minutes each time', () => {
    const list = changes('clarinet', 'clarinet-swab-path', 'whole');
    expect(find(list, 'steps-added')[0]?.headings.join()).toContain('Pull the cloth slowly through');
    expect(find(list, 'steps-gone')[0]?.headings.length).toBeGreaterThan(3);
    expect(find(list, 'passes')[0]?.to).toBe(1);
    expect(find(list, 'minutes-each')[0]?.run).toBe('after');
  });

  test('another order changes nothing but the order', () => {
    expect(changes('flute', 'flute-join-order', 'foot-first')).toEqual([{ rule: 'order', run: 'before' }]);
  });

  test('another cloth: another number of passes', () => {
    const [passes] = find(changes('clarinet', 'swab-cloth', 'cotton'), 'passes');
    expect(passes?.to).toBeLessThan(passes?.from ?? 0);
  });

  test('what may be used: the verdict and where', () => {
    expect(find(changes('clarinet', 'alcohol-on-keys', 'lightly'), 'verdict')).toEqual([
      {
        rule: 'verdict',
        agent: 'Rubbing alcohol or an alcohol wipe',
        surface: expect.any(String),
        from: 'no',
        to: 'care',
      },
    ]);
  });

  test('what the hands do otherwise when an item is done: steps that go, another order, each told once', () => {
    const noWater = changes('horn', 'rotors-and-water', 'no-home-water');
    const gone = find(noWater, 'steps-gone');
    expect(gone[0]).toMatchObject({ run: { item: 'Weekly flush' } });
    expect(gone[0]?.headings.join()).toContain('Run water through from the bell');
    expect(new Set(noWater.map((one) => JSON.stringify(one))).size).toBe(noWater.length);
    const orders = find(changes('horn', 'horn-monthly-order', 'grease-then-rinse'), 'order').map(({ run }) => run);
    expect(orders).toContainEqual({ item: 'Monthly slides' });
    const wiped = changes('trumpet', 'valve-oil-method', 'all-the-way-out');
    expect(find(wiped, 'minutes-each')[0]).toMatchObject({ run: { item: 'Oil the valves' } });
  });

  test('a step that is said otherwise is told with what is said, one that is new or says the same is not', () => {
    const wash = changes('clarinet', 'mouthpiece-wash-tool', 'no-brush');
    const said = find(wash, 'said');
    expect(said.map(({ how }) => how)).toEqual([expect.stringContaining('no brush')]);
    const added = new Set(find(wash, 'steps-added').flatMap(({ headings }) => headings));
    for (const { heading } of said) expect(added.has(heading)).toBe(false);
    for (const choice of ['weekly', 'monthly'] as const)
      expect(find(changes('clarinet', 'swab-wash', choice), 'said')).toEqual([]);
  });

  test('what no step says: a habit, and what a condition asks while it lasts', () => {
    expect(changes('clarinet', 'leaving-the-chair', 'never-on-a-chair')).toEqual([
      { rule: 'habit', text: expect.stringContaining('Never lay it on a chair') },
    ]);
    expect(changes('clarinet', 'ill-cleaning', 'weekly')).toEqual([
      { rule: 'while', condition: 'Ill', words: 'weekly' },
    ]);
    expect(changes('clarinet', 'new-cork-grease', 'one-week')).toEqual([
      { rule: 'while', condition: 'New cork', words: 'one week' },
    ]);
  });

  test('not at all: never again this year', () => {
    const list = changes('clarinet', 'bore-oil-interval', 'none', { 'wooden-bore/oil': 10 });
    expect(find(list, 'times')[0]).toMatchObject({ to: 0, next: null });
    const [times] = list.filter(({ rule }) => rule === 'times');
    expect(times && changeWords(times, format).text).toMatch(/not any more, instead of \d times? this year/);
  });

  test('the same choice changes nothing, every other says what it does in words, on every kind', () => {
    for (const kind of [
      'clarinet',
      'alto-saxophone',
      'oboe',
      'bassoon',
      'flute',
      'highland-pipes',
      'trumpet',
      'horn',
    ] as const) {
      const now = situation(kind);
      const here = side(now);
      for (const method of methodsFor(BOOK, kind, now.methods.context.build))
        for (const choice of Object.keys(methodOf(BOOK, method).choices)) {
          if (barredChoice(method, choice, {}, now.methods.context) !== null) {
            expect(offeredChoices(method, now.methods.context)).not.toContain(choice);
            continue;
          }
          const there = situation(kind, { [method]: choice });
          const list = consequenceOf(method, here, side(there));
          const isSame = there.methods.practice === now.methods.practice;
          if (isSame) expect([kind, method, choice, list]).toEqual([kind, method, choice, []]);
          for (const change of list) expect(changeWords(change, format).text).toMatch(/\S/);
        }
    }
  });
});

test.each(['clarinet', 'trombone'] as const)(
  'what has been worked out for one choice never stands in for another: %s',
  (kind) => {
    const beginsOn = addDays(TODAY, -5);
    const ill: Condition = { key: 'ill', id: 'ill', beginsOn, endsOn: null, part: null, alone: null, air: null };
    const done = { 'swab/wash': 3, 'clarinet/thorough-clean': 6, 'trombone/bath': 6, 'single-reed/mouthpiece-wash': 2 };
    const memo = yearMemo();
    for (const method of methodsFor(BOOK, kind, usualBuild(BOOK.kinds[kind])))
      for (const choice of offeredChoices(method, { book: BOOK, kind, build: usualBuild(BOOK.kinds[kind]) }))
        for (const conditions of [[], [ill]]) {
          const of = situation(kind, { [method]: choice }, done, conditions);
          expect([method, choice, yearOf(of, memo)]).toEqual([method, choice, yearOf(of)]);
        }
  },
);
