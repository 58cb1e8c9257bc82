import { ask } from '#core/instruments/build-questions.ts';
import type { InstrumentKind } from '#core/instruments/kind.ts';
import { WATER } from '#core/tables/instruments/water.ts';

/** The bassoon, its boot the U it is. Parts and build from the practice book. Lengths, bores and water shares are estimates made for the drawing. */
export const bassoon = {
  id: 'bassoon',
  name: 'Bassoon',
  family: 'Double reeds',
  nameByBuild: [
    { when: { body: ['wood'] }, name: 'Maple bassoon' },
    { when: { body: ['plastic'] }, name: 'Plastic bassoon' },
  ],
  tube: [
    {
      id: 'reed',
      name: 'Reed',
      lengthMm: 56,
      boreMm: [3, 4.5],
      nearness: 'at-the-mouth',
      waterShare: 0.1,
      joint: 'tenon',
    },
    {
      id: 'bocal',
      name: 'Bocal',
      lengthMm: 310,
      boreMm: [4, 9],
      nearness: 'next-to-it',
      waterShare: 0.3,
      joint: 'tenon',
    },
    {
      id: 'wing-joint',
      name: 'Wing joint',
      lengthMm: 480,
      boreMm: [9, 14],
      nearness: 'first-half',
      waterShare: 0.25,
      joint: 'tenon',
    },
    {
      id: 'boot',
      name: 'Boot',
      lengthMm: 800,
      boreMm: [14, 25],
      nearness: 'the-rest',
      waterShare: 0.28,
      joint: 'tenon',
      form: 'u-turn',
    },
    {
      id: 'long-joint',
      name: 'Long joint',
      lengthMm: 600,
      boreMm: [26, 33],
      nearness: 'the-rest',
      waterShare: 0.05,
      joint: 'tenon',
    },
    { id: 'bell', name: 'Bell', lengthMm: 330, boreMm: [33, 42], nearness: 'the-rest', waterShare: 0.02 },
  ],
  loose: [
    { id: 'swab', name: 'Swab', nearness: 'first-half' },
    { id: 'case', name: 'Case', nearness: 'the-rest' },
  ],
  standsFor: { 'the-bore': 'wing-joint', 'the-keys': 'boot', 'the-tenons': 'wing-joint' },
  fields: [
    ask('body', ['wood', 'plastic'], 'wood'),
    ask('tenons', ['cork', 'thread'], 'thread'),
    ask('pads', ['skin', 'leather', 'synthetic'], 'leather'),
  ],
  water: WATER.bassoon,
} as const satisfies InstrumentKind;
