import { isOnTheSpot } from '#core/book/care-item.ts';
import { BOOK } from '#core/tables/book.ts';
import { refusalWords } from '#core/failure/refusal.ts';
import { PLAIN_FORMAT } from '#core/explain/format.ts';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { CareFacts, LastDone } from '#core/care/care-clock.ts';
import { careClocks } from '#core/care/care-clocks.ts';
import { clockReasonWords, standingWords } from '#core/care/care-words.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';
import type { CareItemId } from '#core/book/care-ids.ts';
import { practiceFor } from '#core/methods/practice-for.ts';
import { checkCondition, type ConditionRefusal } from '#core/conditions/check-condition.ts';
import { conditionCalls } from '#core/conditions/condition-calls.ts';
import { conditionNotes } from '#core/conditions/condition-effects.ts';
import { conditionNoteWords, endWords } from '#core/conditions/condition-words.ts';
import { CONDITION_IDS, type ConditionId } from '#core/book/condition-ids.ts';
import type { Condition } from '#core/book/condition.ts';
import { concerns, conditionKind, holdsOn, idsInForce, lastDay, roomRead } from '#core/conditions/in-force.ts';
import type { Instrument } from '#core/instruments/instrument.ts';
import { KIND_IDS, type KindId } from '#core/instruments/kind.ts';
import { forecastDays } from '#core/plays/forecast.ts';
import { usualWeek } from '#core/plays/usual-week.ts';
import { playColumns } from '#core/plays/play-columns.ts';
import { wallMinute } from '#core/plays/play.ts';
import { plainContext, practiceUnder } from '#core/methods/practice-under.ts';
import type { MethodChoices, MethodSetting } from '#core/book/method-setting.ts';
import { addDays, dayNumber, daysBetween, localDate, type LocalDate } from '#core/time/local-date.ts';

const TODAY = localDate('2026-11-24');
const ago = (days: number): LocalDate => addDays(TODAY, -days);
const condition = (id: ConditionId, over: Partial<Condition> = {}): Condition => ({
  key: id,
  id,
  beginsOn: TODAY,
  endsOn: null,
  part: null,
  alone: null,
  air: null,
  ...over,
});
const settingOf = (
  kind: KindId,
  choices: MethodChoices = {},
  conditions: readonly ConditionId[] = [],
): MethodSetting => ({
  choices,
  context: { ...plainContext(BOOK, kind, usualBuild(BOOK.kinds[kind])), conditions },
});
const callsOn = (
  kind: KindId,
  item: CareItemId,
  one: Condition,
  { today = TODAY, done = null as LocalDate | null, choices = {} as MethodChoices } = {},
) => conditionCalls(item, [one], { today, lastDoneOn: done, methods: settingOf(kind, choices) });
const dueOn = (...given: Parameters<typeof callsOn>) => callsOn(...given)[0]?.on ?? null;

describe('the room read off', () => {
  const read = (beginsOn: LocalDate, celsius: number, endsOn: LocalDate | null = null) =>
    condition('dry-air', { key: `${celsius}`, beginsOn, endsOn, air: { celsius, humidityPercent: 30 } });

  test('is the newest reading of a condition that holds, and none without one', () => {
    const room = (...conditions: Condition[]) => roomRead(conditions, TODAY, settingOf('clarinet'));
    expect(room()).toBeNull();
    expect(room(condition('ill'))).toBeNull();
    expect(room(read(ago(9), 19), read(ago(2), 24))).toBe(24);
    expect(room(read(ago(2), 24), read(ago(9), 19))).toBe(24);
    expect(room(read(ago(9), 19), read(ago(2), 24, ago(1)))).toBe(19);
    expect(room(read(addDays(TODAY, 1), 24))).toBeNull();
  });
});

// Common practice, no source: day 4 and day 7 rest on one voice, day 0 is an estimate.
describe('illness', () => {
  const wash: CareItemId = 'single-reed/mouthpiece-wash';
  const thorough: CareItemId = 'clarinet/thorough-clean';
  const ill = condition('ill', { beginsOn: ago(0) });

  test('mouthpiece and reeds at once; the thorough clean on day 4, day 7, then weekly', () => {
    expect(dueOn('clarinet', wash, ill)).toBe(TODAY);
    expect(dueOn('clarinet', 'single-reed/reed-hygiene', ill)).toBe(TODAY);
    expect(dueOn('clarinet', thorough, ill)).toBe(addDays(TODAY, 4));
    const after = (days: number) =>
      dueOn('clarinet', thorough, ill, { done: addDays(TODAY, days), today: addDays(TODAY, days) });
    expect([after(4), after(6), after(7), after(8), after(14), after(20)]).toEqual(
      [7, 7, 14, 14, 21, 21].map((days) => addDays(TODAY, days)),
    );
  });

  test('done before it began counts for nothing; a missed day stays due; one clean settles every day before it', () => {
    expect(dueOn('clarinet', wash, ill, { done: ago(1) })).toBe(TODAY);
    expect(dueOn('clarinet', thorough, ill, { today: addDays(TODAY, 9) })).toBe(addDays(TODAY, 4));
    expect(dueOn('clarinet', thorough, ill, { today: addDays(TODAY, 9), done: addDays(TODAY, 9) })).toBe(
      addDays(TODAY, 14),
    );
  });

  test('the method decides the days', () => {
    const after = (choice: string, done: LocalDate | null) =>
      dueOn('clarinet', thorough, ill, { done, choices: { 'ill-cleaning': choice } });
    expect([after('weekly', null), after('weekly', addDays(TODAY, 7))]).toEqual([
      addDays(TODAY, 7),
      addDays(TODAY, 14),
    ]);
    expect([after('day-4-and-7', null), after('day-4-and-7', addDays(TODAY, 7))]).toEqual([addDays(TODAY, 4), null]);
  });

  test('after its last day it asks for nothing, nor for a day that lies behind it', () => {
    const over = condition('ill', { beginsOn: ago(10), endsOn: ago(8) });
    expect(callsOn('clarinet', wash, over)).toEqual([]);
    const short = condition('ill', { beginsOn: ago(0), endsOn: addDays(TODAY, 3) });
    expect(dueOn('clarinet', thorough, short)).toBeNull();
    expect(dueOn('clarinet', wash, short)).toBe(TODAY);
  });

  test('on every kind something goes to the mouth at once, and something is cleaned thoroughly', () => {
    for (const kind of KIND_IDS) {
      const { items } = practiceFor(BOOK, kind, usualBuild(BOOK.kinds[kind]));
      const days = new Set(items.map(({ id }) => dueOn(kind, id, ill)));
      expect([kind, days.has(TODAY)]).toEqual([kind, true]);
      // Pipes and bamboo are cleaned at the mouth on the later days as well, which is the same item.
      const later = items.map(({ id }) => dueOn(kind, id, ill, { done: TODAY }));
      expect([kind, later.includes(addDays(TODAY, 4))]).toEqual([kind, true]);
    }
  });
});

describe('the other conditions', () => {
  test('a new cork belongs to each joining, two weeks or one, on its own part', () => {
    const cork = condition('new-cork', { part: 'barrel' });
    const last = (choices: MethodChoices) => lastDay(cork, settingOf('clarinet', choices));
    expect([last({}), last({ 'new-cork-grease': 'one-week' })]).toEqual([addDays(TODAY, 13), addDays(TODAY, 6)]);
    expect(callsOn('clarinet', 'tenons/new-cork', cork)[0]?.kind).toBe('at-each-joining');
    expect(callsOn('clarinet', 'tenons/new-cork', cork, { today: addDays(TODAY, 14) })).toEqual([]);
    expect(callsOn('alto-saxophone', 'saxophone/new-cork', cork)).toHaveLength(1);
  });

  test('before a long rest oil and grease first; greased in the week before is enough', () => {
    const rest = condition('long-rest', { beginsOn: addDays(TODAY, 5) });
    expect(dueOn('trumpet', 'piston-brass/valve-oil', rest)).toBe(addDays(TODAY, 5));
    expect(dueOn('trumpet', 'piston-brass/valve-oil', rest, { done: ago(1) })).toBeNull();
    expect(dueOn('trumpet', 'piston-brass/valve-oil', rest, { done: ago(3) })).toBe(addDays(TODAY, 5));
    expect(dueOn('trumpet', 'piston-brass/bath', rest)).toBeNull();
  });

  test('a wet week brings the swab forward and ends by itself', () => {
    const tour = condition('wet-tour');
    expect(dueOn('clarinet', 'swab/wash', tour, { done: ago(1) })).toBe(addDays(TODAY, 2));
    expect(dueOn('clarinet', 'swab/wash', tour)).toBe(TODAY);
    expect(lastDay(tour, settingOf('clarinet'))).toBe(addDays(TODAY, 6));
    expect(holdsOn(tour, addDays(TODAY, 7), settingOf('clarinet'))).toBe(false);
  });

  test('dry air moves the default of bore oil; new wood has minutes to keep to', () => {
    const ids = idsInForce([condition('dry-air')], TODAY, settingOf('clarinet'));
    const notes = conditionNotes(condition('dry-air'), settingOf('clarinet', {}, ids), 0);
    expect(notes).toContainEqual(expect.objectContaining({ rule: 'default', words: 'every 3 months' }));
    const own = conditionNotes(condition('dry-air'), settingOf('clarinet', { 'bore-oil-interval': 'none' }, ids), 0);
    expect(own.some(({ rule }) => rule === 'default')).toBe(false);
    const humidifier = (choices: MethodChoices) =>
      conditionNotes(condition('dry-air'), settingOf('clarinet', choices, ids), 0).some(
        (note) => note.rule === 'hold' && note.text.includes('humidifier'),
      );
    expect([humidifier({}), humidifier({ 'case-humidifier': 'none' })]).toEqual([true, false]);
    const [wood] = conditionNotes(condition('new-wood'), settingOf('clarinet'), 13);
    expect(wood && conditionNoteWords(wood)).toBe('At most about 20 min a day: 7 min left today.');
  });

  test('each says how it ends, names items of the book, and concerns some kind and not another where it says so', () => {
    const known = new Set(
      KIND_IDS.flatMap((kind) => practiceFor(BOOK, kind, usualBuild(BOOK.kinds[kind])).items.map(({ id }) => id)),
    );
    for (const id of CONDITION_IDS) {
      const kind = conditionKind(BOOK, id);
      expect(endWords(kind).length).toBeGreaterThan(5);
      for (const effect of kind.effects)
        if ('items' in effect)
          for (const item of effect.items)
            expect([id, item, known.has(item) || item === 'rotary-tuba/flush']).toEqual([id, item, true]);
      expect(KIND_IDS.some((one) => concerns(kind, one, usualBuild(BOOK.kinds[one])))).toBe(true);
    }
    expect(concerns(conditionKind(BOOK, 'new-wood'), 'trumpet', usualBuild(BOOK.kinds['trumpet']))).toBe(false);
    expect(concerns(conditionKind(BOOK, 'dry-air'), 'bamboo-flute', usualBuild(BOOK.kinds['bamboo-flute']))).toBe(true);
  });
});

describe('clocks under a condition', () => {
  const format = PLAIN_FORMAT;
  const clockOf = (
    id: CareItemId,
    conditions: readonly Condition[],
    done: LocalDate | null,
    choices: MethodChoices = {},
  ) => {
    // Played every day: what playing wears runs as everything does.
    const days = Array.from({ length: 60 }, (_, at) => wallMinute(ago(60 - at), 1200));
    const plays = playColumns(
      Int32Array.from(days),
      Int32Array.from(days, () => 40),
    );
    const context = {
      ...plainContext(BOOK, 'clarinet', usualBuild(BOOK.kinds['clarinet'])),
      conditions: idsInForce(conditions, TODAY, settingOf('clarinet', choices)),
    };
    const facts: CareFacts = {
      plays,
      lastDone: new Map<CareItemId, LastDone>(
        done ? [[id, { atWallMinute: wallMinute(done, 600), by: 'player' }]] : [],
      ),
      acquiredOn: ago(900),
      cameNew: false,
      signs: new Map(),
      decisions: new Map(),
    };
    const forecast = forecastDays(usualWeek(plays, dayNumber(TODAY)));
    const practice = practiceUnder(practiceFor(BOOK, 'clarinet', context.build), { choices, context });
    const clock = careClocks(practice, facts, { today: TODAY, forecast, choices, context, conditions }).find(
      ({ item }) => item.id === id,
    );
    if (!clock) throw new Error(id);
    return clock;
  };

  test('what is fresh by its own clock is due when its player falls ill, with the reason first', () => {
    const ill = condition('ill');
    expect(clockOf('single-reed/mouthpiece-wash', [], ago(1)).state).toBe('fresh');
    const due = clockOf('single-reed/mouthpiece-wash', [ill], ago(1));
    expect([due.state, due.due?.on]).toEqual(['due', TODAY]);
    const [reason] = due.because;
    expect(reason && clockReasonWords(reason, format).text).toContain('Ill since 2026-11-24');
    expect(clockOf('single-reed/mouthpiece-wash', [ill], TODAY).state).toBe('fresh');
  });

  test('a day missed by half a week is overdue; one to come in two days is soon', () => {
    expect(clockOf('clarinet/thorough-clean', [condition('ill', { beginsOn: ago(8) })], null).state).toBe('overdue');
    // A week past its day it has run over by a whole interval (estimate).
    const long = clockOf('clarinet/thorough-clean', [condition('ill', { beginsOn: ago(18) })], null);
    const past = daysBetween(long.due?.on ?? TODAY, TODAY);
    expect(past).toBeGreaterThan(7);
    expect(long.load).toBeCloseTo(1 + past / 7, 10);
    const soon = clockOf('clarinet/thorough-clean', [condition('ill', { beginsOn: ago(3) })], ago(4));
    expect([soon.state, soon.due?.on]).toEqual(['soon', addDays(TODAY, 1)]);
  });

  test('a clock that runs out before the condition asks keeps its own day', () => {
    const rest = condition('long-rest', { beginsOn: addDays(TODAY, 20) });
    expect(clockOf('swab/wash', [rest], ago(6)).due?.on).toBe(addDays(TODAY, 1));
  });

  test('a new cork stands until its last day, in words a player reads', () => {
    const cork = clockOf('tenons/new-cork', [condition('new-cork', { part: 'barrel', beginsOn: ago(2) })], null);
    expect([cork.state, cork.part, standingWords(cork, TODAY)]).toEqual([
      'due',
      'barrel',
      'at each joining, for 12 more days',
    ]);
    expect(clockOf('tenons/new-cork', [], null).state).toBe('as-seen');
  });

  test('whatever is in force, no clock is less pressing than without it', () => {
    const weight = { off: 0, 'as-seen': 0, unknown: 0, waiting: 0, fresh: 1, soon: 2, due: 3, overdue: 4 };
    const items = practiceFor(BOOK, 'clarinet', usualBuild(BOOK.kinds['clarinet'])).items.filter(
      (item) => item.trigger.kind !== 'every-play' && !isOnTheSpot(item),
    );
    const any = fc.record({
      id: fc.constantFrom(...CONDITION_IDS),
      begins: fc.integer({ min: -30, max: 10 }),
      lasts: fc.option(fc.integer({ min: 0, max: 60 })),
    });
    fc.assert(
      fc.property(
        fc.array(any, { maxLength: 3 }),
        fc.constantFrom(...items),
        fc.integer({ min: 0, max: 40 }),
        (rows, item, done) => {
          const conditions = rows.map(({ id, begins, lasts }) =>
            condition(id, {
              beginsOn: addDays(TODAY, begins),
              endsOn: lasts === null ? null : addDays(TODAY, begins + lasts),
            }),
          );
          const [with_, without] = [clockOf(item.id, conditions, ago(done)), clockOf(item.id, [], ago(done))];
          expect(weight[with_.state]).toBeGreaterThanOrEqual(weight[without.state]);
        },
      ),
      { seed: 4, numRuns: 300 },
    );
  });
});

describe('entering one', () => {
  const clarinet: Instrument = {
    id: 'cl' as Instrument['id'],
    name: 'Clarinet',
    kind: 'clarinet',
    build: usualBuild(BOOK.kinds['clarinet']),
    playerId: 'ada' as Instrument['playerId'],
    acquiredOn: ago(100),
    cameNew: true,
    leftOn: null,
  };
  const refusal = (
    one: Condition,
    instrument: Instrument | null = clarinet,
  ): Pick<ConditionRefusal, 'code' | 'field'> | null => {
    const checked = checkCondition({ book: BOOK, condition: one }, instrument, TODAY);
    return checked.ok ? null : { code: checked.failure.code, field: checked.failure.field };
  };
  const dry = (celsius: number, humidityPercent: number) => condition('dry-air', { air: { celsius, humidityPercent } });

  test.each([
    ['an end before its begin', condition('ill', { endsOn: ago(1) }), 'ends-before', 'endsOn'],
    ['an end in ten years', condition('ill', { endsOn: addDays(TODAY, 3650) }), 'too-long', 'endsOn'],
    ['an illness of tomorrow', condition('ill', { beginsOn: addDays(TODAY, 1) }), 'begins-later', 'beginsOn'],
    ['a rest in two years', condition('long-rest', { beginsOn: addDays(TODAY, 800) }), 'begins-much-later', 'beginsOn'],
    ['new wood before it came', condition('new-wood', { beginsOn: ago(200) }), 'not-come-yet', 'beginsOn'],
    ['a new cork on nothing', condition('new-cork'), 'which-part', 'part'],
    ['dry air without a reading', condition('dry-air'), 'no-air', 'air.humidityPercent'],
    ['a room of 80 °C', dry(80, 30), 'no-room', 'air.celsius'],
    ['a room of −80 °C', dry(-80, 30), 'no-room', 'air.celsius'],
    ['no number at all', dry(Number.NaN, 30), 'no-room', 'air.celsius'],
    ['130 % humidity', dry(20, 130), 'no-humidity', 'air.humidityPercent'],
    ['air that is just not dry any more', dry(20, 40), 'not-dry', 'air.humidityPercent'],
    [
      'a rest in a year and two days',
      condition('long-rest', { beginsOn: addDays(TODAY, 367) }),
      'begins-much-later',
      'beginsOn',
    ],
    ['air that is not dry', dry(20, 55), 'not-dry', 'air.humidityPercent'],
  ] as const)('%s is refused by name', (_what, one, code, field) => {
    expect(refusal(one)).toEqual({ code, field });
  });

  test('80 in a Fahrenheit house is said so', () => {
    const checked = checkCondition({ book: BOOK, condition: dry(80, 30) }, clarinet, TODAY);
    expect(!checked.ok && refusalWords(checked.failure, PLAIN_FORMAT)).toContain('80 °F are 27 °C');
  });

  test('on an instrument that has left, or cannot be in it', () => {
    expect(refusal(condition('ill'), { ...clarinet, leftOn: ago(1) })).toMatchObject({ code: 'has-left' });
    const plastic = { ...clarinet, build: { ...clarinet.build, body: 'plastic' as const } };
    expect(refusal(condition('new-wood'), plastic)).toMatchObject({ code: 'not-for-this' });
  });

  test('what is right is taken, to its edges', () => {
    expect([dry(20, 39.9), dry(50, 0), dry(-40, 0)].map((one) => refusal(one))).toEqual([null, null, null]);
    expect(refusal(condition('long-rest', { beginsOn: addDays(TODAY, 366) }))).toBeNull();
    for (const one of [
      condition('ill', { beginsOn: ago(300) }),
      dry(21, 30),
      condition('new-cork', { part: 'barrel' }),
      condition('long-rest', { beginsOn: addDays(TODAY, 30) }),
      condition('long-rest', { endsOn: addDays(TODAY, 1100) }),
    ])
      expect(refusal(one)).toBeNull();
    expect(refusal(condition('long-rest', { endsOn: addDays(TODAY, 1101) }))).toMatchObject({ code: 'too-long' });
  });
});
