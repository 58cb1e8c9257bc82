import { BOOK } from '#core/tables/book.ts';
import { PLAIN_FORMAT } from '#core/explain/format.ts';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  careClock,
  limbsOf,
  type CareFacts,
  type ItemClock,
  type LastDone,
  type SignNoticed,
} from '#core/care/care-clock.ts';
import { careClocks } from '#core/care/care-clocks.ts';
import type { CareItemId } from '#core/book/care-ids.ts';
import type { CareItem } from '#core/book/care-item.ts';
import { clockReasonWords, overdueDays, standingWords } from '#core/care/care-words.ts';
import { chosenMethod } from '#core/methods/chosen-method.ts';
import { plainContext, usualPractice } from '#core/methods/practice-under.ts';
import { packedUp, whatMatters, worstClock } from '#core/care/what-matters.ts';
import { estimate, practice as marked } from '#core/explain/explained.ts';
import { forecastDays } from '#core/plays/forecast.ts';
import { usualWeek } from '#core/plays/usual-week.ts';
import { playColumns } from '#core/plays/play-columns.ts';
import { wallMinute } from '#core/plays/play.ts';
import { addDays, localDate, type LocalDate } from '#core/time/local-date.ts';

const today = localDate('2026-11-24');
const daysAgo = (days: number) => addDays(today, -days);
const item: CareItem = {
  id: 'piston-brass/valve-oil',
  name: 'Oil',
  part: 'valve-block',
  severity: 'function',
  why: 'because',
  mark: 'practice',
  trigger: { kind: 'clock', limbs: { days: marked(8), minutes: estimate(200), plays: estimate(4) }, words: 'often' },
};
const playsOn = (days: readonly number[], minutes = 30) => {
  const sorted = days.toSorted((a, b) => b - a);
  return playColumns(
    Int32Array.from(sorted, (ago) => wallMinute(daysAgo(ago), 1200)),
    Int32Array.from(sorted, () => minutes),
  );
};
const doneAt = (on: LocalDate, minute = 1260): LastDone => ({ atWallMinute: wallMinute(on, minute), by: 'player' });
const facts = (over: Partial<CareFacts> = {}): CareFacts => ({
  plays: playsOn([]),
  lastDone: new Map(),
  signs: new Map(),
  decisions: new Map(),
  acquiredOn: daysAgo(1000),
  cameNew: false,
  ...over,
});
const clockOf = (of: CareItem, given: CareFacts, on: LocalDate = today): ItemClock => {
  const forecast = forecastDays(usualWeek(given.plays, Math.floor(wallMinute(on, 0) / 1440)));
  const clock = careClock(of, given, {
    today: on,
    forecast,
    choices: {},
    context: plainContext(BOOK, 'clarinet', {}),
    conditions: [],
  });
  if (clock === null) throw new Error('no clock');
  return clock;
};
const lastDone = (on: LocalDate, minute?: number) => new Map<CareItemId, LastDone>([[item.id, doneAt(on, minute)]]);

describe('a care clock', () => {
  test('load is the largest limb; states at 0.75, 1 and 1.5', () => {
    expect(clockOf(item, facts({ lastDone: lastDone(daysAgo(5)) }))).toMatchObject({ load: 5 / 8, state: 'fresh' });
    expect(clockOf(item, facts({ lastDone: lastDone(daysAgo(6)) }))).toMatchObject({ load: 0.75, state: 'soon' });
    expect(clockOf(item, facts({ lastDone: lastDone(daysAgo(8)) }))).toMatchObject({ load: 1, state: 'due' });
    expect(clockOf(item, facts({ lastDone: lastDone(daysAgo(12)) }))).toMatchObject({ load: 1.5, state: 'overdue' });
    expect(clockOf(item, facts({ lastDone: lastDone(daysAgo(2)), plays: playsOn([1, 1, 0]) }))).toMatchObject({
      load: 0.75,
    });
    expect(clockOf(item, facts({ lastDone: lastDone(daysAgo(2)), plays: playsOn([1], 250) }))).toMatchObject({
      load: 1.25,
      state: 'due',
    });
  });

  test('the play of the same day counts only if it ended after the care', () => {
    expect(clockOf(item, facts({ lastDone: lastDone(today, 1260), plays: playsOn([0], 200) })).load).toBe(0);
    expect(clockOf(item, facts({ lastDone: lastDone(today, 600), plays: playsOn([0], 200) })).load).toBe(1);
  });

  test('unknown history is unknown, never fresh; a new instrument counts from the day it came', () => {
    expect(clockOf(item, facts())).toMatchObject({ state: 'unknown', load: null, due: null });
    expect(clockOf(item, facts({ cameNew: true, acquiredOn: daysAgo(4) }))).toMatchObject({
      state: 'fresh',
      load: 0.5,
    });
  });

  test('the calendar limb runs even when nothing is played', () => {
    expect(clockOf(item, facts({ lastDone: lastDone(daysAgo(20)) })).state).toBe('overdue');
  });

  test('what playing wears is as it was until it is played again, and counts from there', () => {
    const weekly: CareItem = {
      ...item,
      wornBy: 'playing',
      trigger: { kind: 'clock', limbs: { days: marked(7) }, words: 'weekly' },
    };
    const stands = (of: CareItem, done: number, ...played: number[]) => {
      const plays = playsOn(played);
      return clockOf(of, facts({ plays, lastDone: lastDone(daysAgo(done), 600) }));
    };
    // A month without playing: as clean as it was, and no day is foreseen where nobody plays.
    expect(stands(weekly, 30)).toMatchObject({ load: 0, state: 'fresh', due: null });
    expect(stands(weekly, 30, 40, 35)).toMatchObject({ load: 0, state: 'fresh' });
    // Played once since, three weeks later, and left wet: a week from then.
    expect(stands(weekly, 30, 5)).toMatchObject({ load: 5 / 7, due: { on: addDays(today, 2) } });
    expect(stands(weekly, 30, 12, 1)).toMatchObject({ load: 12 / 7, state: 'overdue' });
    // Played again before its week was over: its weekday stays its weekday.
    expect(stands(weekly, 9, 3)).toMatchObject({ load: 9 / 7, state: 'due' });
    expect(stands(weekly, 6, 0)).toMatchObject({ load: 6 / 7, due: { on: addDays(today, 1) } });
    // On the very day its week is over.
    expect(stands(weekly, 9, 2)).toMatchObject({ load: 2 / 7 });
    expect(stands({ ...item, trigger: weekly.trigger }, 30)).toMatchObject({ state: 'overdue' });
    const words = (clock: ItemClock) =>
      clock.because.map((reason) => clockReasonWords(reason, PLAIN_FORMAT).text).join(' ');
    expect(words(stands(weekly, 30))).toContain('Nothing has been played since, so it is as it was');
    expect(words(stands(weekly, 30, 5))).toContain('its days count from 2026-11-19, the first play since.');
  });

  test('of somebody who plays every day it is due a week after it was done', () => {
    const weekly: CareItem = {
      ...item,
      wornBy: 'playing',
      trigger: { kind: 'clock', limbs: { days: marked(7) }, words: 'weekly' },
    };
    // Every day but today, for months; done this morning.
    const plays = playsOn(Array.from({ length: 90 }, (_, ago) => ago + 1));
    const clock = clockOf(weekly, facts({ plays, lastDone: lastDone(today, 600) }));
    expect(clock.due?.on).toBe(addDays(today, 7));
  });

  test('an every-play item is due after each play and done when done', () => {
    const swab: CareItem = { ...item, id: 'clarinet/swab-bore', trigger: { kind: 'every-play', moment: 'after' } };
    expect(clockOf(swab, facts())).toMatchObject({ state: 'fresh' });
    expect(clockOf(swab, facts({ plays: playsOn([1]) }))).toMatchObject({ state: 'due' });
    expect(
      clockOf(swab, facts({ plays: playsOn([1]), lastDone: new Map([[swab.id, doneAt(daysAgo(1))]]) })),
    ).toMatchObject({ state: 'fresh' });
  });

  test('reasons carry the figures and every reason has words', () => {
    const clock = clockOf(item, facts({ lastDone: lastDone(daysAgo(6)), plays: playsOn([3, 2]) }));
    const lines = clock.because.map((reason) => clockReasonWords(reason, PLAIN_FORMAT));
    expect(lines.map(({ text }) => text)).toEqual(
      expect.arrayContaining([
        'Last done on 2026-11-18.',
        '6 days of 8 days have gone by: that is 75 %. This runs out first.',
        '1 h played of about 3 h 20 min: that is 30 %.',
      ]),
    );
    expect(lines.every(({ text }) => text.length > 0)).toBe(true);
    expect(standingWords(clock, today)).toMatch(/^in (about )?2 days$/);
  });

  test('a week hardly known is said where playing decides, and nowhere else', () => {
    const rules = (limbs: (typeof item.trigger & { kind: 'clock' })['limbs'], plays: readonly number[]) =>
      clockOf(
        { ...item, trigger: { kind: 'clock', limbs, words: 'often' } },
        facts({ lastDone: lastDone(daysAgo(1)), plays: playsOn(plays), acquiredOn: daysAgo(3) }),
      ).because.map(({ rule }) => rule);
    const often = Array.from({ length: 120 }, (_, ago) => ago);
    for (const byPlaying of [{ minutes: estimate(900) }, { plays: estimate(40) }]) {
      expect(rules(byPlaying, [1])).toContain('new-week');
      expect(rules(byPlaying, often)).not.toContain('new-week');
    }
    expect(rules({ days: marked(8) }, [1])).not.toContain('new-week');
  });

  test('what a method leaves to no clock has none', () => {
    const setting = { choices: {}, context: plainContext(BOOK, 'clarinet', {}) };
    const limbs = { days: marked(8) };
    const by = (inForce: object) =>
      limbsOf(
        { trigger: { kind: 'clock-by-method', method: 'bore-oil-interval', limbs: inForce, words: 'so' } as never },
        setting,
      );
    const { choice } = chosenMethod('bore-oil-interval', {}, setting.context);
    expect(by({ [choice]: limbs })).toBe(limbs);
    expect(by({ [choice]: 'never' })).toBeNull();
    expect(by({})).toBeNull();
    expect(limbsOf(item, setting)).toMatchObject({ days: { value: 8 } });
    expect(limbsOf({ trigger: { kind: 'sign' } as never }, setting)).toBeNull();
  });

  test('more playing and more days never make anything fresher', () => {
    fc.assert(
      fc.property(
        fc.nat(30),
        fc.nat(30),
        fc.array(fc.nat(30), { maxLength: 20 }),
        fc.array(fc.nat(30), { maxLength: 20 }),
        (done, later, some, more) => {
          const load = (ago: number, days: readonly number[]) =>
            clockOf(item, facts({ lastDone: lastDone(daysAgo(ago)), plays: playsOn(days) })).load ?? 0;
          expect(load(done, [...some, ...more])).toBeGreaterThanOrEqual(load(done, some));
          expect(load(done + later, some)).toBeGreaterThanOrEqual(load(done, some));
        },
      ),
      { seed: 21 },
    );
  });
});

describe('the projected due date', () => {
  test('by the calendar is the day the interval ends, with no range', () => {
    const yearly: CareItem = { ...item, trigger: { kind: 'clock', limbs: { days: marked(365) }, words: 'yearly' } };
    const on = addDays(daysAgo(300), 365);
    expect(clockOf(yearly, facts({ lastDone: lastDone(daysAgo(300)) })).due).toEqual({ on, earliest: on, latest: on });
  });

  test('months are calendar months: the same day of a later month, or its last', () => {
    // Calendar arithmetic as in common date libraries (java.time, Temporal, date-fns): worked by hand.
    for (const [done, months, due] of [
      ['2026-02-14', 3, '2026-05-14'],
      ['2025-11-20', 6, '2026-05-20'],
      ['2026-01-31', 1, '2026-02-28'],
      ['2024-01-31', 1, '2024-02-29'],
      ['2024-02-29', 12, '2025-02-28'],
      ['2026-10-31', 4, '2027-02-28'],
    ] as const) {
      const clock: CareItem = { ...item, trigger: { kind: 'clock', limbs: { months: marked(months) }, words: '' } };
      const on = localDate(done);
      const given = facts({ lastDone: lastDone(on) });
      expect([done, clockOf(clock, given, on).due?.on]).toEqual([done, due]);
      const dayBefore = clockOf(clock, given, addDays(localDate(due), -1));
      const onTheDay = clockOf(clock, given, localDate(due));
      expect([dayBefore.state, onTheDay.state]).toEqual(['soon', 'due']);
    }
  });

  test('by playing follows the record: 60 min every day, 200 min to go is due on the fourth day', () => {
    const byMinutes: CareItem = { ...item, trigger: { kind: 'clock', limbs: { minutes: estimate(200) }, words: '' } };
    const plays = playsOn(
      Array.from({ length: 100 }, (_, index) => index + 1),
      60,
    );
    const clock = clockOf(byMinutes, facts({ plays, lastDone: lastDone(today, 1) }));
    expect(clock.due).toEqual({ on: addDays(today, 4), earliest: addDays(today, 4), latest: addDays(today, 4) });
  });

  test('never lies before today nor outside its own range, and a load of 1 is due today', () => {
    fc.assert(
      fc.property(
        fc.nat(40),
        fc.array(fc.nat(60), { maxLength: 40 }),
        fc.integer({ min: 1, max: 200 }),
        (done, days, minutes) => {
          const clock = clockOf(item, facts({ lastDone: lastDone(daysAgo(done)), plays: playsOn(days, minutes) }));
          if (clock.due === null) throw new Error('a calendar limb always gives a date');
          expect(
            clock.due.earliest >= today && clock.due.earliest <= clock.due.on && clock.due.on <= clock.due.latest,
          ).toBe(true);
          expect(clock.due.on === today).toBe((clock.load ?? 0) >= 1);
        },
      ),
      { seed: 22 },
    );
  });
});

describe('methods', () => {
  const context = { ...plainContext(BOOK, 'clarinet', { body: 'wood' }), ageDays: 100 };
  test('a default may be a rule over the record', () => {
    expect(chosenMethod('bore-oil-interval', {}, context).choice).toBe('3-months');
    expect(chosenMethod('bore-oil-interval', {}, { ...context, ageDays: 800 }).choice).toBe('6-months');
    expect(chosenMethod('bore-oil-interval', {}, { ...context, ageDays: null }).choice).toBe('6-months');
    expect(chosenMethod('service-interval', {}, { ...context, weeklyMinutes: 700 }).choice).toBe('6-months');
  });
  test('the player’s own choice wins; a choice the book dropped falls back', () => {
    expect(chosenMethod('bore-oil-interval', { 'bore-oil-interval': '12-months' }, context)).toMatchObject({
      choice: '12-months',
      mark: 'yours',
    });
    expect(chosenMethod('bore-oil-interval', { 'bore-oil-interval': 'toString' }, context).choice).toBe('3-months');
  });
});

describe('what matters now', () => {
  const build = { body: 'wood', tenons: 'cork', pads: 'skin', mouthpiece: 'hard-rubber' } as const;
  const practice = usualPractice(BOOK, 'clarinet', build);
  const given = facts({
    // What playing wears counts from the first play since.
    plays: playsOn([30, 7, 1]),
    lastDone: new Map<CareItemId, LastDone>([
      ['single-reed/mouthpiece-wash', doneAt(daysAgo(30), 600)],
      ['swab/wash', doneAt(daysAgo(7), 600)],
      ['keyed/key-oil', doneAt(daysAgo(10))],
    ]),
  });
  const clocks = careClocks(practice, given, {
    today,
    forecast: forecastDays(usualWeek(given.plays, 20_000)),
    choices: {},
    context: plainContext(BOOK, 'clarinet', build),
    conditions: [],
  });
  const ids = whatMatters(BOOK.kinds['clarinet'], clocks).map((clock) => clock.item.id);

  test('overdue comes before due, due before unknown; fresh and every-play stay out', () => {
    expect(ids[0]).toBe('single-reed/mouthpiece-wash');
    expect(ids[1]).toBe('swab/wash');
    expect(ids).toContain('wooden-bore/oil');
    expect(ids).not.toContain('keyed/key-oil');
    expect(ids).not.toContain('clarinet/swab-bore');
    expect(worstClock(clocks)?.item.id).toBe('single-reed/mouthpiece-wash');
    expect(overdueDays(clocks.find((clock) => clock.item.id === 'single-reed/mouthpiece-wash') ?? clocks[0]!)).toBe(23);
  });

  test('what is stuck keeps waiting what needs it, until it is put right; another sign does not', () => {
    const horn = usualPractice(BOOK, 'horn', {});
    const blocked = horn.items.filter(({ blockedBy }) => blockedBy === 'brass/stuck').map(({ id }) => id);
    expect(blocked.length).toBeGreaterThan(0);
    const signs = new Map<CareItemId, SignNoticed>();
    const waiting = (lastDoneOf = new Map<CareItemId, LastDone>()) =>
      careClocks(horn, facts({ plays: playsOn([1]), signs, lastDone: lastDoneOf }), {
        today,
        forecast: forecastDays(usualWeek(given.plays, 20_000)),
        choices: {},
        context: plainContext(BOOK, 'horn', {}),
        conditions: [],
      }).flatMap(({ item: { id }, state }) => (state === 'waiting' ? [id] : []));
    const other = horn.items.find(({ id, trigger }) => trigger.kind === 'when-noticed' && id !== 'brass/stuck');
    if (other === undefined) throw new Error('a sign');
    const noticed = { sign: null, part: 'valve-block', atWallMinute: wallMinute(daysAgo(2), 600) } as const;
    signs.set(other.id, noticed);
    expect(waiting()).toEqual([]);
    signs.set('brass/stuck', noticed);
    expect(waiting().toSorted()).toEqual(blocked.toSorted());
    expect(waiting(new Map([['brass/stuck', doneAt(daysAgo(1))]]))).toEqual([]);
    expect(waiting(new Map([['brass/stuck', doneAt(daysAgo(3))]])).toSorted()).toEqual(blocked.toSorted());
  });

  test('an unknown clock asks as one that is just due: of two the one nearer the mouth comes first', () => {
    const unknown = clocks.filter(({ state }) => state === 'unknown');
    const near = unknown.find(({ item: { part } }) => part === 'mouthpiece') ?? unknown[0];
    const base = unknown[0];
    if (near === undefined || base === undefined) throw new Error('an unknown clock');
    const as = (over: Partial<ItemClock['item']>, id: string): ItemClock => ({
      ...base,
      load: null,
      item: { ...base.item, ...over, id: id as CareItemId },
    });
    const far = as({ part: 'case', severity: 'looks' }, 'case/far');
    const close = as({ part: 'mouthpiece', severity: 'person' }, 'case/close');
    expect(whatMatters(BOOK.kinds.clarinet, [far, close]).map(({ item: { id } }) => id)).toEqual([
      'case/close',
      'case/far',
    ]);
  });

  test('an instrument played and not packed up says so', () => {
    expect(packedUp(practice, clocks)).toEqual({ awaitsPackUp: true, leftForLater: [], dampSince: null });
  });

  test('packed up in a hurry: what must not be left out keeps it waiting, the rest is left for later', () => {
    const ofEveryPlay = clocks.filter(({ item }) => item.trigger.kind === 'every-play');
    const isMust = (id: CareItemId) =>
      practice.steps.some(
        ({ item, must, reaches }) => item === id && (must === true || reaches?.includes('bore-dry') === true),
      );
    const after = (done: (id: CareItemId) => boolean) =>
      packedUp(
        practice,
        clocks.map((clock) =>
          clock.item.trigger.kind === 'every-play' && done(clock.item.id)
            ? { ...clock, load: 0, lastDone: { on: today, by: 'player' } }
            : clock,
        ),
      );
    const later = ofEveryPlay.map(({ item }) => item.id).filter((id) => !isMust(id));
    expect(later).toContain('keyed/wipe-keys');
    const hurried = after(isMust);
    expect(hurried.awaitsPackUp).toBe(false);
    expect(hurried.leftForLater.map(({ item }) => item.id)).toEqual(later);
    expect(after(() => true)).toEqual({ awaitsPackUp: false, leftForLater: [], dampSince: null });
    for (const wet of ofEveryPlay.map(({ item }) => item.id).filter(isMust))
      expect([wet, after((id) => id !== wet)]).toEqual([
        wet,
        { awaitsPackUp: true, leftForLater: [], dampSince: null },
      ]);
  });

  test('a method that switches an item off switches its clock off', () => {
    const off = careClocks(practice, given, {
      today,
      forecast: forecastDays(usualWeek(given.plays, 20_000)),
      choices: { 'bore-oil-interval': 'none' },
      context: plainContext(BOOK, 'clarinet', build),
      conditions: [],
    });
    expect(off.find((clock) => clock.item.id === 'wooden-bore/oil')?.state).toBe('off');
  });
});
