import { BOOK } from '#core/tables/book.ts';
import { describe, expect, test } from '@jest/globals';
import { careClocks } from '#core/care/care-clocks.ts';
import type { CareItemId } from '#core/book/care-ids.ts';
import { itemIn } from '#core/book/practice.ts';
import { practiceFor } from '#core/methods/practice-for.ts';
import { plainContext } from '#core/methods/practice-under.ts';
import { signParts } from '#core/care/sign-parts.ts';
import type { Build } from '#core/instruments/build.ts';
import { forecastDays } from '#core/plays/forecast.ts';
import { usualWeek } from '#core/plays/usual-week.ts';
import { playColumns } from '#core/plays/play-columns.ts';
import { wallMinute } from '#core/plays/play.ts';
import { dayNumber, localDate } from '#core/time/local-date.ts';

const CLARINET: Build = { body: 'wood', tenons: 'cork', pads: 'skin', mouthpiece: 'hard-rubber' };
const BASSOON: Build = { body: 'wood', tenons: 'thread', pads: 'leather' };
const partsOf = (kind: 'clarinet' | 'bassoon', build: Build, id: CareItemId) => {
  const item = itemIn(practiceFor(BOOK, kind, build), id);
  if (!item) throw new Error(`no ${id}`);
  return signParts(item, BOOK.kinds[kind], build);
};

describe('where a sign can be seen', () => {
  test('lime only in the mouthpiece', () => {
    expect(partsOf('clarinet', CLARINET, 'single-reed/mouthpiece-soak')).toEqual(['mouthpiece']);
  });

  test('a joint that goes on stiffly on any part of the tube', () => {
    const parts = partsOf('bassoon', BASSOON, 'tenons/wax');
    for (const part of ['bocal', 'wing-joint', 'boot', 'long-joint', 'bell']) expect(parts).toContain(part);
    expect(new Set(parts).size).toBe(parts.length);
  });

  test('nowhere for what goes by its clock', () => {
    expect(partsOf('clarinet', CLARINET, 'swab/wash')).toEqual([]);
  });
});

test('the work is where its sign was seen', () => {
  const today = localDate('2026-11-24');
  const plays = playColumns(new Int32Array(0), new Int32Array(0));
  const clocks = careClocks(
    practiceFor(BOOK, 'bassoon', BASSOON),
    {
      plays,
      lastDone: new Map(),
      acquiredOn: today,
      cameNew: true,
      signs: new Map([
        ['tenons/wax', { sign: 'corked/tight', atWallMinute: wallMinute(today, 600), part: 'long-joint' }],
      ]),
      decisions: new Map(),
    },
    {
      today,
      forecast: forecastDays(usualWeek(plays, dayNumber(today))),
      choices: {},
      context: plainContext(BOOK, 'bassoon', BASSOON),
      conditions: [],
    },
  );
  const wax = clocks.find(({ item }) => item.id === 'tenons/wax');
  expect(wax).toMatchObject({ state: 'due', part: 'long-joint' });
});
