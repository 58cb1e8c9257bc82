import { boreStrip } from '#core/instruments/bore-strip.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';
import { BOOK } from '#core/tables/book.ts';
import { describe, expect, test } from '@jest/globals';
import { buildMeets, type Build } from '#core/instruments/build.ts';
import { checkBuild } from '#core/instruments/check-build.ts';
import { KIND_IDS, kindName } from '#core/instruments/kind.ts';
import { BRASS, WOODWIND } from '#core/tables/instruments/kind-groups.ts';

const wooden = { body: 'wood', tenons: 'cork', pads: 'skin', mouthpiece: 'hard-rubber' } as const satisfies Build;

describe('a build', () => {
  test('has every field of its kind and no other', () => {
    const clarinet = BOOK.kinds['clarinet'];
    expect(checkBuild(clarinet, wooden)).toEqual({ ok: true, value: wooden });
    expect(checkBuild(clarinet, { ...wooden, finish: 'lacquer' })).toMatchObject({
      ok: false,
      failure: { code: 'no-such-field', field: 'finish' },
    });
    expect(checkBuild(clarinet, { ...wooden, body: 'marble' })).toMatchObject({
      ok: false,
      failure: { code: 'no-such-option', field: 'body' },
    });
    expect(checkBuild(clarinet, { body: 'wood' })).toMatchObject({
      ok: false,
      failure: { code: 'field-missing', field: 'tenons' },
    });
    expect(checkBuild(clarinet, { ...wooden, constructor: 'x' })).toMatchObject({
      ok: false,
      failure: { code: 'no-such-field' },
    });
  });

  test('of several faults the first is told', () => {
    const clarinet = BOOK.kinds['clarinet'];
    expect(checkBuild(clarinet, { finish: 'lacquer', colour: 'red', ...wooden })).toMatchObject({
      failure: { code: 'no-such-field', field: 'finish' },
    });
    expect(checkBuild(clarinet, { colour: 'red', finish: 'lacquer', ...wooden })).toMatchObject({
      failure: { code: 'no-such-field', field: 'colour' },
    });
  });

  test('meets a condition only where it has the field', () => {
    expect(buildMeets(wooden, { body: ['wood', 'plastic'] })).toBe(true);
    expect(buildMeets(wooden, { finish: ['lacquer'] })).toBe(false);
    expect(buildMeets(wooden, {})).toBe(true);
    expect(buildMeets(wooden, undefined)).toBe(true);
  });
});

describe.each(KIND_IDS)('the kind %s', (id) => {
  const kind = BOOK.kinds[id];

  test('shares its water out completely, and no part takes a negative share', () => {
    expect(kind.tube.reduce((sum, { waterShare }) => sum + waterShare, 0)).toBeCloseTo(1, 10);
    expect(Math.min(...kind.tube.map(({ waterShare }) => waterShare))).toBeGreaterThanOrEqual(0);
  });

  test('has distinct parts, real lengths, and a usual option for each question', () => {
    const parts = [...kind.tube, ...kind.loose].map((part) => part.id);
    expect(new Set(parts).size).toBe(parts.length);
    for (const { lengthMm, boreMm } of kind.tube) expect(Math.min(lengthMm, ...boreMm)).toBeGreaterThan(0);
    const usual = Object.fromEntries(kind.fields.map((field) => [field.field, field.usual]));
    const checked = checkBuild(kind, usual);
    expect(checked.ok).toBe(true);
    if (checked.ok) expect(kindName(kind, checked.value)).not.toBe('');
  });
});

test('every kind is a woodwind or a brass instrument, and stands in one group once', () => {
  expect([...WOODWIND, ...BRASS].toSorted()).toEqual([...KIND_IDS].toSorted());
});

test.each(['soprano-saxophone', 'bamboo-flute'] as const)('a %s in one piece has one joint less to draw', (id) => {
  const kind = BOOK.kinds[id];
  const joints = (pieces: 'one-piece' | 'two-piece') =>
    boreStrip(kind, { ...usualBuild(kind), pieces }, 1).filter(({ joint }) => joint === 'tenon').length;
  expect(joints('one-piece')).toBe(joints('two-piece') - 1);
});
