import { ask } from '#core/instruments/build-questions.ts';
import type { InstrumentKind } from '#core/instruments/kind.ts';
import { WATER } from '#core/tables/instruments/water.ts';

/** The highland pipes, drones as side tubes of the bag. Parts and build from the practice book. Lengths, bores and water shares are estimates made for the drawing. */
export const highlandPipes = {
  id: 'highland-pipes',
  name: 'Highland pipes',
  family: 'Pipes',
  nameByBuild: [
    { when: { bag: ['hide'] }, name: 'Pipes with a hide bag' },
    { when: { bag: ['synthetic'] }, name: 'Pipes with a synthetic bag' },
  ],
  tube: [
    {
      id: 'blowpipe',
      name: 'Blowpipe',
      lengthMm: 260,
      boreMm: [12, 14],
      nearness: 'at-the-mouth',
      waterShare: 0.25,
      joint: 'tenon',
    },
    {
      id: 'blowpipe-stock',
      name: 'Blowpipe stock',
      lengthMm: 80,
      boreMm: [16, 16],
      nearness: 'next-to-it',
      waterShare: 0.15,
      joint: 'tenon',
    },
    {
      id: 'bag',
      name: 'Bag',
      lengthMm: 420,
      boreMm: [60, 60],
      nearness: 'first-half',
      waterShare: 0.3,
      joint: 'fixed',
      form: 'sack',
    },
    {
      id: 'chanter-stock',
      name: 'Chanter stock',
      lengthMm: 90,
      boreMm: [18, 18],
      nearness: 'first-half',
      waterShare: 0.1,
      joint: 'tenon',
    },
    { id: 'chanter', name: 'Chanter', lengthMm: 360, boreMm: [4, 22], nearness: 'first-half', waterShare: 0.08 },
    {
      id: 'tenor-drones',
      name: 'Tenor drones',
      lengthMm: 400,
      boreMm: [8, 13],
      nearness: 'the-rest',
      waterShare: 0.07,
      joint: 'fixed',
      form: 'side',
    },
    {
      id: 'bass-drone',
      name: 'Bass drone',
      lengthMm: 800,
      boreMm: [8, 14],
      nearness: 'the-rest',
      waterShare: 0.05,
      joint: 'fixed',
      form: 'side',
    },
  ],
  loose: [{ id: 'case', name: 'Case', nearness: 'the-rest' }],
  standsFor: { 'the-bore': 'bag' },
  fields: [
    ask('bag', ['hide', 'synthetic'], 'synthetic'),
    ask('blowpipe', ['plastic', 'wood'], 'plastic'),
    ask('blowpipeValve', ['flap', 'in-line'], 'flap'),
    ask('waterTrap', ['yes', 'no'], 'no'),
  ],
  water: WATER.bagpipe,
} as const satisfies InstrumentKind;
