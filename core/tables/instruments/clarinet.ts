import { ask } from '#core/instruments/build-questions.ts';
import type { InstrumentKind } from '#core/instruments/kind.ts';
import { WATER } from '#core/tables/instruments/water.ts';

/** The clarinet, soprano sizes. Parts and build from the practice book. Lengths, bores and water shares are estimates made for the drawing. */
export const clarinet = {
  id: 'clarinet',
  name: 'Clarinet',
  family: 'Single reeds',
  nameByBuild: [
    { when: { body: ['wood'] }, name: 'Wooden clarinet' },
    { when: { body: ['plastic'] }, name: 'Plastic clarinet' },
    { when: { body: ['hard-rubber'] }, name: 'Hard-rubber clarinet' },
  ],
  tube: [
    {
      id: 'mouthpiece',
      name: 'Mouthpiece',
      lengthMm: 89,
      boreMm: [10, 15],
      nearness: 'at-the-mouth',
      waterShare: 0.22,
      joint: 'tenon',
    },
    {
      id: 'barrel',
      name: 'Barrel',
      lengthMm: 65,
      boreMm: [15, 15],
      nearness: 'next-to-it',
      waterShare: 0.25,
      joint: 'tenon',
    },
    {
      id: 'upper-joint',
      name: 'Upper joint',
      lengthMm: 225,
      boreMm: [15, 15],
      nearness: 'first-half',
      waterShare: 0.33,
      joint: 'tenon',
    },
    {
      id: 'lower-joint',
      name: 'Lower joint',
      lengthMm: 255,
      boreMm: [15, 20],
      nearness: 'the-rest',
      waterShare: 0.15,
      joint: 'tenon',
    },
    { id: 'bell', name: 'Bell', lengthMm: 105, boreMm: [22, 60], nearness: 'the-rest', waterShare: 0.05 },
  ],
  loose: [
    { id: 'reed', name: 'Reed', nearness: 'at-the-mouth' },
    { id: 'ligature', name: 'Ligature', nearness: 'at-the-mouth' },
    { id: 'swab', name: 'Swab', nearness: 'first-half' },
    { id: 'case', name: 'Case', nearness: 'the-rest' },
  ],
  standsFor: { 'the-bore': 'upper-joint', 'the-keys': 'lower-joint', 'the-tenons': 'barrel' },
  fields: [
    ask('body', ['wood', 'plastic', 'hard-rubber'], 'wood'),
    ask('tenons', ['cork', 'thread'], 'cork'),
    ask('pads', ['skin', 'leather', 'cork', 'synthetic'], 'skin'),
    ask('mouthpiece', ['hard-rubber', 'plastic', 'glass'], 'hard-rubber'),
  ],
  water: WATER.clarinet,
} as const satisfies InstrumentKind;
