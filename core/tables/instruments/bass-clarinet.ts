import { ask } from '#core/instruments/build-questions.ts';
import type { InstrumentKind } from '#core/instruments/kind.ts';
import { WATER } from '#core/tables/instruments/water.ts';

/** The bass clarinet: the clarinet with a metal neck, a metal bell and a spike. Lengths, bores and water shares are estimates made for the drawing. */
export const bassClarinet = {
  id: 'bass-clarinet',
  name: 'Bass clarinet',
  family: 'Single reeds',
  nameByBuild: [
    { when: { body: ['wood'] }, name: 'Wooden bass clarinet' },
    { when: { body: ['plastic'] }, name: 'Plastic bass clarinet' },
  ],
  tube: [
    {
      id: 'mouthpiece',
      name: 'Mouthpiece',
      lengthMm: 105,
      boreMm: [12, 18],
      nearness: 'at-the-mouth',
      waterShare: 0.2,
      joint: 'tenon',
    },
    {
      id: 'neck',
      name: 'Neck',
      lengthMm: 210,
      boreMm: [20, 23],
      nearness: 'next-to-it',
      waterShare: 0.3,
      joint: 'tenon',
    },
    {
      id: 'upper-joint',
      name: 'Upper joint',
      lengthMm: 420,
      boreMm: [23, 23],
      nearness: 'first-half',
      waterShare: 0.3,
      joint: 'tenon',
    },
    {
      id: 'lower-joint',
      name: 'Lower joint',
      lengthMm: 520,
      boreMm: [23, 24],
      nearness: 'the-rest',
      waterShare: 0.12,
      joint: 'tenon',
    },
    { id: 'bell', name: 'Bell', lengthMm: 330, boreMm: [24, 110], nearness: 'the-rest', waterShare: 0.08 },
  ],
  loose: [
    { id: 'reed', name: 'Reed', nearness: 'at-the-mouth' },
    { id: 'ligature', name: 'Ligature', nearness: 'at-the-mouth' },
    { id: 'swab', name: 'Swab', nearness: 'first-half' },
    { id: 'case', name: 'Case', nearness: 'the-rest' },
  ],
  standsFor: { 'the-bore': 'upper-joint', 'the-keys': 'lower-joint', 'the-tenons': 'neck' },
  fields: [
    ask('body', ['wood', 'plastic'], 'wood'),
    ask('tenons', ['cork', 'thread'], 'cork'),
    ask('pads', ['skin', 'leather', 'cork', 'synthetic'], 'leather'),
    ask('mouthpiece', ['hard-rubber', 'plastic', 'glass'], 'hard-rubber'),
  ],
  water: WATER.clarinet,
} as const satisfies InstrumentKind;
