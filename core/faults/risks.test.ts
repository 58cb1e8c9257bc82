import { describe, expect, test } from '@jest/globals';
import type { CareItemId } from '#core/book/care-ids.ts';
import type { ItemClock } from '#core/care/care-clock.ts';
import { PLAIN_FORMAT } from '#core/explain/format.ts';
import { riskWords } from '#core/faults/fault-words.ts';
import { risksIn, type RiskFacts } from '#core/faults/risks.ts';
import { playColumns } from '#core/plays/play-columns.ts';
import { wallMinute } from '#core/plays/play.ts';
import { addDays, localDate } from '#core/time/local-date.ts';

const today = localDate('2026-11-24');
const plays = (...all: readonly (readonly [daysAgo: number, minutes: number])[]) =>
  playColumns(
    Int32Array.from(all.map(([daysAgo]) => wallMinute(addDays(today, -daysAgo), 1200))),
    Int32Array.from(all.map(([, minutes]) => minutes)),
  );
const clock = (id: CareItemId, over: object) =>
  ({ item: { id, name: `The item ${id}` }, state: 'fresh', load: 0, lastDone: null, ...over }) as unknown as ItemClock;
const air = (daysAgo: number, celsius: number, humidityPercent: number) => ({
  key: `a${daysAgo}`,
  on: addDays(today, -daysAgo),
  atMinute: null,
  celsius,
  humidityPercent,
});
const facts = (over: Partial<RiskFacts> = {}): RiskFacts => ({
  today,
  instrument: { acquiredOn: localDate('2025-11-24') },
  player: { standing: 'grown-up' },
  plays: plays([1, 30]),
  care: { clocks: [], awaitsPackUp: false },
  conditions: { ids: [], roomCelsius: 20 },
  air: [],
  faults: { mishaps: [] },
  ...over,
});
const named = (over: Partial<RiskFacts>) => risksIn(facts(over)).map(({ risk }) => risk);

describe('what the record says that makes causes likelier', () => {
  test('nothing where nothing is out of the ordinary', () => expect(named({})).toEqual([]));

  test.each<[string, Partial<RiskFacts>, string[]]>([
    ['a long play', { plays: plays([3, 20], [0, 90]) }, ['long-play']],
    ['a long rest', { plays: plays([40, 20]) }, ['long-rest']],
    ['a child’s first weeks', { player: { standing: 'child' } }, ['new-player']],
    ['a cold room', { conditions: { ids: [], roomCelsius: 14 } }, ['cold-room']],
    ['damp air', { air: [air(1, 20, 70)] }, ['damp-air']],
    [
      'dry air, as read and as a condition, once',
      { air: [air(0, 20, 30)], conditions: { ids: ['dry-air'], roomCelsius: 20 } },
      ['dry-air'],
    ],
    ['air of last week says nothing', { air: [air(8, 20, 80)] }, []],
    ['air of three days ago still counts', { air: [air(3, 20, 80)] }, ['damp-air']],
    ['air of four days ago does not', { air: [air(4, 20, 80)] }, []],
    ['the weather turned within four days', { air: [air(4, 20, 40), air(0, 20, 56)] }, ['weather-change']],
    ['the weather turned over five', { air: [air(5, 20, 40), air(0, 20, 56)] }, []],
    ['the weather turned', { air: [air(2, 20, 40), air(0, 20, 56)] }, ['weather-change']],
    ['not packed up', { care: { clocks: [], awaitsPackUp: true } }, ['swab-skipped']],
    [
      'pads left wet',
      { care: { clocks: [clock('keyed/blot-pads', { load: 4 })], awaitsPackUp: false } },
      ['pads-skipped'],
    ],
    [
      'a bath overdue',
      { care: { clocks: [clock('piston-brass/bath', { state: 'overdue' })], awaitsPackUp: false } },
      ['bath-overdue'],
    ],
    [
      'a bath today',
      {
        care: { clocks: [clock('piston-brass/bath', { lastDone: { on: today, by: 'player' } })], awaitsPackUp: false },
      },
      ['valves-out-today'],
    ],
    [
      'old pads nobody has seen to',
      {
        instrument: { acquiredOn: localDate('2019-01-01') },
        care: { clocks: [clock('wind/bench-service', {})], awaitsPackUp: false },
      },
      ['old-pads'],
    ],
  ])('%s', (_what, over, risks) => expect(named(over)).toEqual(risks));

  /** One step under where each begins to count, and that step itself. */
  test.each<[string, Partial<RiskFacts>, Partial<RiskFacts>, string]>([
    ['75 minutes', { plays: plays([0, 74]) }, { plays: plays([0, 75]) }, 'long-play'],
    ['28 days', { plays: plays([27, 20]) }, { plays: plays([28, 20]) }, 'long-rest'],
    [
      'the 30th play',
      { player: { standing: 'pupil' }, plays: plays(...Array.from({ length: 30 }, () => [1, 9] as const)) },
      { player: { standing: 'pupil' }, plays: plays(...Array.from({ length: 29 }, () => [1, 9] as const)) },
      'new-player',
    ],
    [
      '16 °C',
      { conditions: { ids: [], roomCelsius: 16.1 } },
      { conditions: { ids: [], roomCelsius: 16 } },
      'cold-room',
    ],
    ['65 %', { air: [air(0, 20, 65)] }, { air: [air(0, 20, 65.1)] }, 'damp-air'],
    ['35 %', { air: [air(0, 20, 35)] }, { air: [air(0, 20, 34.9)] }, 'dry-air'],
    ['15 %', { air: [air(1, 20, 45), air(0, 20, 59)] }, { air: [air(1, 20, 45), air(0, 20, 60)] }, 'weather-change'],
    ['8 °C', { air: [air(1, 20, 50), air(0, 27, 50)] }, { air: [air(1, 20, 50), air(0, 28, 50)] }, 'weather-change'],
    ['a reading to come', { air: [air(-1, 20, 80)] }, { air: [air(0, 20, 80)] }, 'damp-air'],
    [
      'three plays',
      { care: { clocks: [clock('keyed/blot-pads', { load: 2 })], awaitsPackUp: false } },
      { care: { clocks: [clock('keyed/blot-pads', { load: 3 })], awaitsPackUp: false } },
      'pads-skipped',
    ],
    [
      'five years',
      {
        instrument: { acquiredOn: localDate('2021-11-25') },
        care: { clocks: [clock('wind/bench-service', {})], awaitsPackUp: false },
      },
      {
        instrument: { acquiredOn: localDate('2021-11-24') },
        care: { clocks: [clock('wind/bench-service', {})], awaitsPackUp: false },
      },
      'old-pads',
    ],
    [
      'due is late as well',
      { care: { clocks: [clock('keyed/key-oil', { state: 'soon' })], awaitsPackUp: false } },
      { care: { clocks: [clock('keyed/key-oil', { state: 'due' })], awaitsPackUp: false } },
      'key-oil-overdue',
    ],
    [
      'a bath yesterday',
      {
        care: {
          clocks: [clock('piston-brass/bath', { lastDone: { on: addDays(today, -1), by: 'player' } })],
          awaitsPackUp: false,
        },
      },
      {
        care: { clocks: [clock('piston-brass/bath', { lastDone: { on: today, by: 'player' } })], awaitsPackUp: false },
      },
      'valves-out-today',
    ],
  ])('%s', (_what, under, from, risk) => {
    expect(named(under)).not.toContain(risk);
    expect(named(from)).toContain(risk);
  });

  test('of two readings the newer counts, and of plays the last', () => {
    expect(named({ air: [air(2, 20, 80), air(1, 20, 50)] })).toEqual(['weather-change']);
    expect(named({ plays: plays([2, 90], [0, 20]) })).toEqual([]);
    expect(named({ player: { standing: 'pupil' }, plays: plays() })).toEqual(['new-player']);
  });

  test('a knock at the mouth is none on the body; nobody knows where may be either', () => {
    const knocked = (part: 'mouthpiece' | 'barrel' | null) =>
      named({ faults: { mishaps: [{ key: 'k', mishap: 'knocked', part, on: today, end: null }] } });
    expect(knocked('mouthpiece')).toEqual(['mouthpiece-knocked']);
    expect(knocked('barrel')).toEqual(['knocked']);
    expect(knocked(null)).toEqual(['mouthpiece-knocked', 'knocked']);
  });

  test('each is a whole sentence', () => {
    const all = risksIn(
      facts({
        plays: plays([0, 90]),
        air: [air(2, 30, 90), air(0, 12, 20)],
        care: { clocks: [clock('keyed/key-oil', { state: 'due' })], awaitsPackUp: true },
        conditions: { ids: ['new-cork', 'new-wood', 'long-rest'], roomCelsius: 12 },
        faults: { mishaps: [{ key: 'k', mishap: 'rain', part: null, on: today, end: null }] },
      }),
    ).map((one) => riskWords(one, PLAIN_FORMAT));
    expect(all.length).toBeGreaterThan(8);
    expect(all.filter((one) => !/^[A-Z].*\.$/.test(one))).toEqual([]);
  });
});
