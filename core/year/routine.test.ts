import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { BOOK } from '#core/tables/book.ts';
import type { Instrument } from '#core/instruments/instrument.ts';
import { KIND_IDS, type KindId } from '#core/instruments/kind.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';
import { playColumns } from '#core/plays/play-columns.ts';
import type { Player } from '#core/players/profile.ts';
import { situationOf } from '#core/situation/situation.ts';
import { localDate } from '#core/time/local-date.ts';
import { usualWetness } from '#core/water/wetness.ts';
import { limbsWords, rhythmOf, RHYTHMS, routineOf } from '#core/year/routine.ts';

const TODAY = localDate('2026-11-24');
const PLAYER = { id: 'ada', name: 'Ada', standing: 'grown-up', does: [] } as unknown as Player;

const routine = (
  kind: KindId,
  over: Partial<Instrument['build']> = {},
  player = PLAYER,
  tuningHertz: number | null = null,
) =>
  routineOf(
    situationOf(
      BOOK,
      {
        ...{ id: 'mine', name: kind, kind, playerId: 'ada', acquiredOn: localDate('2020-01-01') },
        ...{ build: { ...usualBuild(BOOK.kinds[kind]), ...over }, cameNew: false, leftOn: null },
      } as unknown as Instrument,
      {
        plays: playColumns(new Int32Array(), new Int32Array()),
        care: { lastDone: new Map(), signs: new Map(), decisions: new Map() },
        choices: {},
        conditions: [],
        events: [],
        air: [],
        faults: { interviews: [], mishaps: [], ends: [] } as never,
        inspections: [],
        handovers: [],
      },
      TODAY,
    ),
    { player, wetness: usualWetness, tuningHertz },
  );
const linesOf = ({ before, after, every, never }: ReturnType<typeof routine>) => [
  ...before,
  ...after,
  ...RHYTHMS.flatMap((rhythm) => every[rhythm]),
  ...never,
];

describe('the routine of an instrument', () => {
  test.each(KIND_IDS)('of a %s says something of each part of its days, no line twice', (kind) => {
    const its = routine(kind);
    expect([its.before.length > 0, its.after.length > 0, its.every.yearly.length > 0, its.never.length > 0]).toEqual([
      true,
      true,
      true,
      true,
    ]);
    for (const lines of [its.before, its.after, ...RHYTHMS.map((rhythm) => its.every[rhythm])])
      expect(new Set(lines).size).toBe(lines.length);
    expect(linesOf(its).filter((line) => /undefined|NaN|Infinity|null/.test(line))).toEqual([]);
  });

  test.each(KIND_IDS)('of a %s says what to tune to, but the pipes have an A of their own', (kind) => {
    const added = routine(kind, {}, PLAYER, 442).before.filter((line) => !routine(kind).before.includes(line));
    expect(added).toEqual(kind === 'highland-pipes' ? [] : ['Tune to A = 442 Hz, once it is warm']);
  });

  test('is that of this build: wood is oiled, plastic is not', () => {
    const wooden = linesOf(routine('clarinet', { body: 'wood' }));
    const plastic = linesOf(routine('clarinet', { body: 'plastic' }));
    expect(wooden.filter((line) => line.startsWith('Oil the bore')).length).toBe(1);
    expect(plastic.filter((line) => line.startsWith('Oil the bore'))).toEqual([]);
  });

  test('says whose hands: key oil is the player’s only where they say so', () => {
    const oiling = (player: Player) =>
      linesOf(routine('clarinet', {}, player)).find((line) => line.startsWith('Oil the keys'));
    expect(oiling(PLAYER)).toBe('Oil the keys: every year, by your teacher or the bench');
    expect(oiling({ ...PLAYER, does: ['key-oil'] })).toBe('Oil the keys: every year');
  });
});

describe('how often', () => {
  const value = (of: number) => ({ value: of, mark: 'practice' }) as const;
  test.each([
    [{ days: value(7) }, 'weekly', 'every 7 days'],
    [{ days: value(1) }, 'weekly', 'every day'],
    [{ days: value(14) }, 'monthly', 'every 14 days'],
    [{ months: value(1) }, 'monthly', 'every month'],
    [{ months: value(3) }, 'yearly', 'every 3 months'],
    [{ months: value(12) }, 'yearly', 'every year'],
    [{ months: value(24) }, 'yearly', 'every 2 years'],
    [{ plays: value(3) }, 'weekly', 'every 3 plays'],
    [{ plays: value(20) }, 'monthly', 'every 20 plays'],
    [{ minutes: value(180) }, 'weekly', 'every 3 h played'],
    [{ days: { value: 30, mark: 'estimate' }, plays: value(90) }, 'monthly', 'about every 30 days or every 90 plays'],
  ] as const)('%j is %s: %s', (limbs, rhythm, words) => {
    expect([rhythmOf(limbs), limbsWords(limbs)]).toEqual([rhythm, words]);
  });

  test('a shorter limb never makes it come round more seldom', () => {
    const limb = fc.option(
      fc.integer({ min: 1, max: 2000 }).map((days) => value(days)),
      { nil: undefined },
    );
    fc.assert(
      fc.property(
        fc.record({ days: limb, months: limb, plays: limb, minutes: limb }),
        fc.integer({ min: 1, max: 9 }),
        (limbs, days) => {
          const said = Object.fromEntries(Object.entries(limbs).filter(([, one]) => one !== undefined));
          const order = (of: object) => RHYTHMS.indexOf(rhythmOf(of));
          expect(order({ ...said, days: value(Math.min(days, limbs.days?.value ?? days)) })).toBeLessThanOrEqual(
            order(said),
          );
        },
      ),
    );
  });
});
