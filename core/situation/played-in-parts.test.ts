import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { usualBuild } from '#core/instruments/usual-build.ts';
import type { Instrument, InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import { KIND_IDS, type KindId } from '#core/instruments/kind.ts';
import { concernsAlone } from '#core/methods/practice-alone.ts';
import { MINUTES_PER_DAY } from '#core/plays/play.ts';
import { playColumns, withAlone, type PlayMore } from '#core/plays/play-columns.ts';
import { situationOf, type InstrumentFacts, type Situation } from '#core/situation/situation.ts';
import type { Condition } from '#core/book/condition.ts';
import { BOOK } from '#core/tables/book.ts';
import { practiceOf } from '#core/testing/any-run.ts';
import { aloneIn } from '#core/methods/practice-alone.ts';
import { addDays, dayNumber, localDate } from '#core/time/local-date.ts';

const today = localDate('2026-11-27');
const first = dayNumber(today) - 40;
const instrumentOf = (kind: KindId): Instrument => ({
  id: kind as string as InstrumentId,
  name: kind,
  kind,
  build: usualBuild(BOOK.kinds[kind]),
  playerId: 'ada' as PlayerId,
  acquiredOn: addDays(today, -700),
  cameNew: true,
  leftOn: null,
});

/** How an instrument stands after these plays, all of it looked after on the day before them. */
function standing(kind: KindId, plays: readonly PlayMore[], conditions: readonly Condition[] = []): Situation {
  const rows = plays.toSorted((a, b) => a.at - b.at || a.minutes - b.minutes);
  const columns = playColumns(
    Int32Array.from(rows, ({ at }) => at),
    Int32Array.from(rows, ({ minutes }) => minutes),
  );
  const items = BOOK.pagesOf[kind].flatMap(({ page }) => page.items.map(({ id }) => id));
  const done = { atWallMinute: first * MINUTES_PER_DAY, by: 'player' as const };
  const facts: InstrumentFacts = {
    plays: withAlone(
      columns,
      rows.filter(({ alone }) => alone !== null),
    ),
    care: { lastDone: new Map(items.map((item) => [item, done])), signs: new Map(), decisions: new Map() },
    choices: {},
    conditions,
    events: [],
    air: [],
    faults: { interviews: [], mishaps: [] },
    inspections: [],
    handovers: [],
  };
  return situationOf(BOOK, instrumentOf(kind), facts, today);
}

const IN_PARTS = KIND_IDS.filter((kind) => aloneIn(practiceOf(BOOK, { kind })).length > 0);
/** A month of plays of a kind, of the whole and of its parts. */
const anyMonth = fc.constantFrom(...IN_PARTS).chain((kind) =>
  fc.record({
    kind: fc.constant(kind),
    plays: fc.array(
      fc.record({
        at: fc.integer({ min: 1, max: 39 * MINUTES_PER_DAY }).map((minute) => first * MINUTES_PER_DAY + minute),
        minutes: fc.integer({ min: 5, max: 120 }),
        alone: fc.constantFrom(null, ...aloneIn(practiceOf(BOOK, { kind })).map(({ id }) => id)),
      }),
      { maxLength: 15 },
    ),
  }),
);

describe('a play of parts', () => {
  test('never wets or ages what stayed in its case: the rest stands as if it had not been', () => {
    fc.assert(
      fc.property(anyMonth, ({ kind, plays }) => {
        const all = standing(kind, plays);
        const whole = standing(
          kind,
          plays.filter(({ alone }) => alone === null),
        );
        const inCase = (part: Situation['care']['clocks'][number]['item']['part']) =>
          all.alone.sets.every((set) => !concernsAlone(set, part));
        const told = ({ care }: Situation) =>
          care.clocks
            .filter(({ item }) => inCase(item.part))
            .map(({ item, state, load, due }) => [item.id, state, load, due]);
        expect(told(all)).toEqual(told(whole));
      }),
      { numRuns: 120 },
    );
  });

  test('counts for what was played as a play of the whole does', () => {
    fc.assert(
      fc.property(anyMonth, ({ kind, plays }) => {
        const all = standing(kind, plays);
        const asWhole = standing(
          kind,
          plays.map((play) => ({ ...play, alone: null })),
        );
        const told = ({ care }: Situation) =>
          care.clocks
            .filter(({ item }) => all.alone.sets.every((set) => concernsAlone(set, item.part)))
            .map(({ item, state, load }) => [item.id, state, load]);
        expect(told(all)).toEqual(told(asWhole));
      }),
      { numRuns: 60 },
    );
  });
});

test('for some weeks nothing is foreseen of what stays in the case, and of the rest what always was', () => {
  const condition: Condition = {
    ...{ key: 'parts', id: 'in-parts', beginsOn: today, endsOn: addDays(today, 20), part: null, air: null },
    alone: 'mouthpiece-and-barrel',
  };
  const plays = Array.from({ length: 38 }, (_, day): PlayMore => ({
    ...{ at: (first + day) * MINUTES_PER_DAY + 1140, minutes: 40, alone: null },
  }));
  const { alone, plays: foreseen } = standing('clarinet', plays, [condition]);
  expect(alone.usual?.alone.id).toBe('mouthpiece-and-barrel');
  const days = Array.from({ length: 25 }, (_, ahead) => dayNumber(today) + ahead);
  const [body, barrel] = [foreseen.ofPart('upper-joint').forecast, foreseen.ofPart('barrel').forecast];
  expect(days.map((day) => body.minutesOn(day) > 0)).toEqual(days.map((_, ahead) => ahead > 20));
  expect(days.map((day) => barrel.minutesOn(day))).toEqual(days.map((day) => foreseen.forecast.minutesOn(day)));
});
