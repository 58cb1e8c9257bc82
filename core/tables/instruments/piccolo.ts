import { ask } from '#core/instruments/build-questions.ts';
import type { InstrumentKind } from '#core/instruments/kind.ts';
import { WATER } from '#core/tables/instruments/water.ts';

/** The piccolo, metal, wood or plastic. Parts and build from the practice book. Lengths, bores and water shares are estimates made for the drawing. */
export const piccolo = {
  id: 'piccolo',
  name: 'Piccolo',
  family: 'Flutes',
  nameByBuild: [
    { when: { body: ['wood'] }, name: 'Wooden piccolo' },
    { when: { body: ['metal'] }, name: 'Metal piccolo' },
    { when: { body: ['plastic'] }, name: 'Plastic piccolo' },
  ],
  tube: [
    {
      id: 'head-joint',
      name: 'Head joint',
      lengthMm: 110,
      boreMm: [10, 11],
      nearness: 'at-the-mouth',
      waterShare: 0.5,
      joint: 'tenon',
    },
    { id: 'body', name: 'Body', lengthMm: 210, boreMm: [11, 9], nearness: 'first-half', waterShare: 0.5 },
  ],
  loose: [
    { id: 'swab', name: 'Swab', nearness: 'first-half' },
    { id: 'case', name: 'Case', nearness: 'the-rest' },
  ],
  standsFor: { 'the-bore': 'body', 'the-keys': 'body', 'the-tenons': 'head-joint' },
  fields: [
    ask('body', ['wood', 'metal', 'plastic'], 'wood'),
    ask('tenons', ['cork', 'metal'], 'cork'),
    ask('pads', ['skin', 'synthetic'], 'skin'),
  ],
  water: WATER.flute,
} as const satisfies InstrumentKind;
