import { ask } from '#core/instruments/build-questions.ts';
import type { InstrumentKind } from '#core/instruments/kind.ts';
import { WATER } from '#core/tables/instruments/water.ts';

/** The oboe. Parts and build from the practice book. Lengths, bores and water shares are estimates made for the drawing. */
export const oboe = {
  id: 'oboe',
  name: 'Oboe',
  family: 'Double reeds',
  nameByBuild: [
    { when: { body: ['wood'] }, name: 'Wooden oboe' },
    { when: { body: ['plastic'] }, name: 'Plastic oboe' },
    { when: { body: ['hard-rubber'] }, name: 'Hard-rubber oboe' },
  ],
  tube: [
    {
      id: 'reed',
      name: 'Reed',
      lengthMm: 70,
      boreMm: [2, 4.5],
      nearness: 'at-the-mouth',
      waterShare: 0.15,
      joint: 'tenon',
    },
    {
      id: 'upper-joint',
      name: 'Upper joint',
      lengthMm: 233,
      boreMm: [4.5, 8],
      nearness: 'first-half',
      waterShare: 0.5,
      joint: 'tenon',
    },
    {
      id: 'lower-joint',
      name: 'Lower joint',
      lengthMm: 250,
      boreMm: [8, 13],
      nearness: 'the-rest',
      waterShare: 0.27,
      joint: 'tenon',
    },
    { id: 'bell', name: 'Bell', lengthMm: 125, boreMm: [13, 38], nearness: 'the-rest', waterShare: 0.08 },
  ],
  loose: [
    { id: 'swab', name: 'Swab', nearness: 'first-half' },
    { id: 'case', name: 'Case', nearness: 'the-rest' },
  ],
  standsFor: { 'the-bore': 'upper-joint', 'the-keys': 'lower-joint', 'the-tenons': 'upper-joint' },
  fields: [
    ask('body', ['wood', 'plastic', 'hard-rubber'], 'wood'),
    ask('tenons', ['cork', 'thread'], 'cork'),
    ask('pads', ['skin', 'leather', 'cork', 'synthetic'], 'skin'),
    ask('swabTail', ['two-cords', 'no-tail'], 'two-cords'),
    ask('scrape', ['long', 'short', 'unknown'], 'unknown'),
  ],
  water: WATER.oboe,
} as const satisfies InstrumentKind;
