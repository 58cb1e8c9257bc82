import { ask } from '#core/instruments/build-questions.ts';
import type { InstrumentKind } from '#core/instruments/kind.ts';
import { WATER } from '#core/tables/instruments/water.ts';

/** The end-blown bamboo flute, and its hardwood and plastic kin. Parts and build from the practice book. Lengths, bores and water shares are estimates made for the drawing. */
export const bambooFlute = {
  id: 'bamboo-flute',
  name: 'Bamboo flute',
  family: 'Flutes',
  nameByBuild: [
    { when: { body: ['bamboo'], pieces: ['two-piece'] }, name: 'Two-piece bamboo flute' },
    { when: { body: ['bamboo'] }, name: 'Bamboo flute' },
    { when: { body: ['wood'] }, name: 'Wooden end-blown flute' },
    { when: { body: ['plastic'] }, name: 'Plastic end-blown flute' },
  ],
  tube: [
    {
      id: 'top-half',
      name: 'Top with the blowing edge',
      lengthMm: 270,
      boreMm: [20, 18],
      nearness: 'at-the-mouth',
      waterShare: 0.6,
      joint: 'tenon',
      fixedWhen: { pieces: ['one-piece'] },
    },
    {
      id: 'lower-half',
      name: 'Lower half and root end',
      lengthMm: 275,
      boreMm: [18, 17],
      nearness: 'first-half',
      waterShare: 0.4,
    },
  ],
  loose: [
    { id: 'swab', name: 'Swab', nearness: 'first-half' },
    { id: 'case', name: 'Case', nearness: 'the-rest' },
  ],
  standsFor: { 'the-bore': 'top-half', 'the-tenons': 'top-half' },
  fields: [
    ask('body', ['bamboo', 'wood', 'plastic'], 'bamboo'),
    ask('pieces', ['one-piece', 'two-piece'], 'two-piece'),
  ],
  water: WATER.bambooFlute,
} as const satisfies InstrumentKind;
