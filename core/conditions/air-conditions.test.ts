import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { AirRead } from '#core/air/air-record.ts';
import type { Condition } from '#core/book/condition.ts';
import { withAir } from '#core/conditions/air-conditions.ts';
import { addDays, localDate } from '#core/time/local-date.ts';

const START = localDate('2026-11-01');
const day = (at: number) => addDays(START, at);
const read = (at: number, humidityPercent: number, atMinute = 600): AirRead => ({
  key: `${at}/${atMinute}`,
  on: day(at),
  atMinute,
  celsius: 20,
  humidityPercent,
});
const entered = (over: Partial<Condition> = {}): Condition => ({
  key: 'entered',
  id: 'dry-air',
  beginsOn: day(0),
  endsOn: null,
  part: null,
  alone: null,
  air: { celsius: 20, humidityPercent: 30 },
  ...over,
});
const spans = (all: readonly Condition[]) => all.map(({ beginsOn, endsOn }) => [beginsOn, endsOn]);

describe('dry air by readings', () => {
  test('begins with a dry one and ends the day before one that is not; 40 % is not dry', () => {
    const { read: spells } = withAir([], [read(0, 45), read(2, 39), read(3, 30), read(5, 40), read(9, 20)]);
    expect(spans(spells)).toEqual([
      [day(2), day(4)],
      [day(9), null],
    ]);
    expect(spells[0]).toMatchObject({ key: '2/600', air: { humidityPercent: 39 } });
  });

  test('goes by the newest of a day', () => {
    expect(withAir([], [read(1, 30, 500), read(1, 50, 900)]).read).toEqual([]);
    expect(spans(withAir([], [read(1, 50, 500), read(1, 30, 900)]).read)).toEqual([[day(1), null]]);
  });

  test('ends what was entered, and brings nothing on beside it', () => {
    expect(spans(withAir([entered()], [read(2, 30)]).read)).toEqual([]);
    expect(spans(withAir([entered()], [read(2, 30), read(4, 55)]).entered)).toEqual([[day(0), day(3)]]);
    expect(spans(withAir([entered({ endsOn: day(2) })], [read(4, 55)]).entered)).toEqual([[day(0), day(2)]]);
    expect(withAir([entered({ id: 'ill' })], [read(4, 55)]).entered[0]?.endsOn).toBeNull();
  });

  test('spells never overlap and the last is open just when the newest reading is dry', () => {
    const reads = fc.array(fc.record({ at: fc.nat(30), percent: fc.integer({ min: 10, max: 80 }) }), { maxLength: 12 });
    fc.assert(
      fc.property(reads, (drawn) => {
        const all = drawn.toSorted((a, b) => a.at - b.at).map(({ at, percent }, index) => read(at, percent, index));
        const { read: spells } = withAir([], all);
        spells.forEach(({ beginsOn, endsOn }, index) => {
          if (endsOn !== null) expect(endsOn >= beginsOn).toBe(true);
          const next = spells[index + 1];
          if (next) expect(endsOn !== null && endsOn < next.beginsOn).toBe(true);
        });
        const newest = all.at(-1);
        expect(spells.at(-1)?.endsOn === null).toBe(newest !== undefined && newest.humidityPercent < 40);
      }),
    );
  });
});
