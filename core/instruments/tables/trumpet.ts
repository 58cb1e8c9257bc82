import { ask } from '#core/instruments/build-questions.ts';
import type { InstrumentKind } from '#core/instruments/kind.ts';
import { WATER } from '#core/water/water-table.ts';

/** The trumpet, unrolled. Parts and build from the practice book. Lengths, bores and water shares are estimates made for the drawing. */
export const trumpet = {
  id: 'trumpet',
  name: 'Trumpet',
  family: 'Brass',
  nameByBuild: [
    { when: { finish: ['lacquer'] }, name: 'Lacquered trumpet' },
    { when: { finish: ['silver'] }, name: 'Silver-plated trumpet' },
    { when: { finish: ['bare-brass'] }, name: 'Bare brass trumpet' },
  ],
  tube: [
    {
      id: 'mouthpiece',
      name: 'Mouthpiece',
      lengthMm: 87,
      boreMm: [17, 9],
      nearness: 'at-the-mouth',
      waterShare: 0.08,
      joint: 'tenon',
    },
    {
      id: 'mouthpipe',
      name: 'Mouthpipe',
      lengthMm: 240,
      boreMm: [9, 11.7],
      nearness: 'next-to-it',
      waterShare: 0.3,
      joint: 'slide',
    },
    {
      id: 'main-slide',
      name: 'Main slide',
      lengthMm: 240,
      boreMm: [11.7, 11.7],
      nearness: 'first-half',
      waterShare: 0.4,
      joint: 'slide',
    },
    {
      id: 'valve-block',
      name: 'Valve block',
      lengthMm: 180,
      boreMm: [11.7, 11.7],
      nearness: 'first-half',
      waterShare: 0.1,
      joint: 'fixed',
    },
    {
      id: 'valve-slides',
      name: 'Valve slides',
      lengthMm: 200,
      boreMm: [11.7, 11.7],
      nearness: 'the-rest',
      waterShare: 0.1,
      joint: 'slide',
    },
    { id: 'bell', name: 'Bell', lengthMm: 480, boreMm: [11.7, 123], nearness: 'the-rest', waterShare: 0.02 },
  ],
  loose: [{ id: 'case', name: 'Case', nearness: 'the-rest' }],
  standsFor: { 'the-bore': 'mouthpipe', 'the-slides': 'valve-slides', 'the-water': 'main-slide' },
  fields: [
    ask('finish', ['lacquer', 'silver', 'bare-brass'], 'lacquer'),
    ask('brassMouthpiece', ['plated', 'bare-brass', 'stainless'], 'plated'),
  ],
  water: WATER.trumpet,
} as const satisfies InstrumentKind;
