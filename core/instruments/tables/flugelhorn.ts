import { ask } from '#core/instruments/build-questions.ts';
import type { InstrumentKind } from '#core/instruments/kind.ts';
import { WATER } from '#core/water/water-table.ts';

/** The flugelhorn, unrolled. Parts and build from the practice book. Lengths, bores and water shares are estimates made for the drawing. */
export const flugelhorn = {
  id: 'flugelhorn',
  name: 'Flugelhorn',
  family: 'Brass',
  nameByBuild: [
    { when: { finish: ['lacquer'] }, name: 'Lacquered flugelhorn' },
    { when: { finish: ['silver'] }, name: 'Silver-plated flugelhorn' },
    { when: { finish: ['bare-brass'] }, name: 'Bare brass flugelhorn' },
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
      boreMm: [9, 11.5],
      nearness: 'next-to-it',
      waterShare: 0.3,
      joint: 'slide',
    },
    {
      id: 'main-slide',
      name: 'Main slide',
      lengthMm: 240,
      boreMm: [11.5, 11.5],
      nearness: 'first-half',
      waterShare: 0.4,
      joint: 'slide',
    },
    {
      id: 'valve-block',
      name: 'Valve block',
      lengthMm: 180,
      boreMm: [11.5, 11.5],
      nearness: 'first-half',
      waterShare: 0.1,
      joint: 'fixed',
    },
    {
      id: 'valve-slides',
      name: 'Valve slides',
      lengthMm: 200,
      boreMm: [11.5, 11.5],
      nearness: 'the-rest',
      waterShare: 0.1,
      joint: 'slide',
    },
    { id: 'bell', name: 'Bell', lengthMm: 480, boreMm: [11.5, 152], nearness: 'the-rest', waterShare: 0.02 },
  ],
  loose: [{ id: 'case', name: 'Case', nearness: 'the-rest' }],
  standsFor: { 'the-bore': 'mouthpipe', 'the-slides': 'valve-slides', 'the-water': 'main-slide' },
  fields: [
    ask('finish', ['lacquer', 'silver', 'bare-brass'], 'lacquer'),
    ask('brassMouthpiece', ['plated', 'bare-brass', 'stainless'], 'plated'),
  ],
  water: WATER.trumpet,
} as const satisfies InstrumentKind;
