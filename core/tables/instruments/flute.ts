import { ask } from '#core/instruments/build-questions.ts';
import type { InstrumentKind } from '#core/instruments/kind.ts';
import { WATER } from '#core/tables/instruments/water.ts';

/** The metal flute. Parts and build from the practice book. Lengths, bores and water shares are estimates made for the drawing. */
export const flute = {
  id: 'flute',
  name: 'Flute',
  family: 'Flutes',
  nameByBuild: [
    { when: { finish: ['silver'] }, name: 'Silver flute' },
    { when: { finish: ['nickel-silver'] }, name: 'Nickel-silver flute' },
  ],
  tube: [
    {
      id: 'head-joint',
      name: 'Head joint',
      lengthMm: 225,
      boreMm: [17, 19],
      nearness: 'at-the-mouth',
      waterShare: 0.5,
      joint: 'tenon',
    },
    {
      id: 'body',
      name: 'Body',
      lengthMm: 350,
      boreMm: [19, 19],
      nearness: 'first-half',
      waterShare: 0.4,
      joint: 'tenon',
    },
    { id: 'foot-joint', name: 'Foot joint', lengthMm: 140, boreMm: [19, 19], nearness: 'the-rest', waterShare: 0.1 },
  ],
  loose: [
    { id: 'swab', name: 'Swab', nearness: 'first-half' },
    { id: 'case', name: 'Case', nearness: 'the-rest' },
  ],
  standsFor: { 'the-bore': 'body', 'the-keys': 'body', 'the-tenons': 'head-joint' },
  fields: [ask('finish', ['silver', 'nickel-silver'], 'silver'), ask('pads', ['skin', 'synthetic'], 'skin')],
  water: WATER.flute,
} as const satisfies InstrumentKind;
