import { ask } from '#core/instruments/build-questions.ts';
import type { InstrumentKind } from '#core/instruments/kind.ts';
import { WATER } from '#core/water/water-table.ts';

/** The baritone, unrolled. Parts and build from the practice book. Lengths, bores and water shares are estimates made for the drawing. */
export const baritone = {
  id: 'baritone',
  name: 'Baritone',
  family: 'Brass',
  nameByBuild: [
    { when: { finish: ['lacquer'] }, name: 'Lacquered baritone' },
    { when: { finish: ['silver'] }, name: 'Silver-plated baritone' },
    { when: { finish: ['bare-brass'] }, name: 'Bare brass baritone' },
  ],
  tube: [
    {
      id: 'mouthpiece',
      name: 'Mouthpiece',
      lengthMm: 87,
      boreMm: [25, 9],
      nearness: 'at-the-mouth',
      waterShare: 0.08,
      joint: 'tenon',
    },
    {
      id: 'mouthpipe',
      name: 'Mouthpipe',
      lengthMm: 480,
      boreMm: [9, 13.2],
      nearness: 'next-to-it',
      waterShare: 0.3,
      joint: 'slide',
    },
    {
      id: 'main-slide',
      name: 'Main slide',
      lengthMm: 480,
      boreMm: [13.2, 13.2],
      nearness: 'first-half',
      waterShare: 0.4,
      joint: 'slide',
    },
    {
      id: 'valve-block',
      name: 'Valve block',
      lengthMm: 360,
      boreMm: [13.2, 13.2],
      nearness: 'first-half',
      waterShare: 0.1,
      joint: 'fixed',
    },
    {
      id: 'valve-slides',
      name: 'Valve slides',
      lengthMm: 400,
      boreMm: [13.2, 13.2],
      nearness: 'the-rest',
      waterShare: 0.1,
      joint: 'slide',
    },
    { id: 'bell', name: 'Bell', lengthMm: 960, boreMm: [13.2, 220], nearness: 'the-rest', waterShare: 0.02 },
  ],
  loose: [{ id: 'case', name: 'Case', nearness: 'the-rest' }],
  standsFor: { 'the-bore': 'mouthpipe', 'the-slides': 'valve-slides', 'the-water': 'main-slide' },
  fields: [
    ask('finish', ['lacquer', 'silver', 'bare-brass'], 'lacquer'),
    ask('brassMouthpiece', ['plated', 'bare-brass', 'stainless'], 'plated'),
  ],
  water: WATER.trombone,
} as const satisfies InstrumentKind;
