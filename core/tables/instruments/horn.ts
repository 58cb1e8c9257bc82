import { ask } from '#core/instruments/build-questions.ts';
import type { InstrumentKind } from '#core/instruments/kind.ts';
import { WATER } from '#core/tables/instruments/water.ts';

/** The horn, unrolled. Parts and build from the practice book. Lengths, bores and water shares are estimates made for the drawing. */
export const horn = {
  id: 'horn',
  name: 'Horn',
  family: 'Brass',
  nameByBuild: [
    { when: { finish: ['lacquer'] }, name: 'Lacquered horn' },
    { when: { finish: ['nickel-silver'] }, name: 'Nickel-silver horn' },
    { when: { finish: ['bare-brass'] }, name: 'Bare brass horn' },
  ],
  tube: [
    {
      id: 'mouthpiece',
      name: 'Mouthpiece',
      lengthMm: 65,
      boreMm: [18, 8],
      nearness: 'at-the-mouth',
      waterShare: 0.06,
      joint: 'tenon',
    },
    {
      id: 'mouthpipe',
      name: 'Mouthpipe',
      lengthMm: 500,
      boreMm: [8, 12],
      nearness: 'next-to-it',
      waterShare: 0.24,
      joint: 'slide',
    },
    {
      id: 'main-slide',
      name: 'Main slide',
      lengthMm: 500,
      boreMm: [12, 12],
      nearness: 'first-half',
      waterShare: 0.3,
      joint: 'slide',
    },
    {
      id: 'rotors',
      name: 'Rotors',
      lengthMm: 160,
      boreMm: [12, 12],
      nearness: 'first-half',
      waterShare: 0.15,
      joint: 'fixed',
    },
    {
      id: 'valve-slides',
      name: 'Valve slides',
      lengthMm: 900,
      boreMm: [12, 12],
      nearness: 'the-rest',
      waterShare: 0.2,
      joint: 'slide',
    },
    { id: 'bell', name: 'Bell', lengthMm: 1200, boreMm: [12, 310], nearness: 'the-rest', waterShare: 0.05 },
  ],
  loose: [{ id: 'case', name: 'Case', nearness: 'the-rest' }],
  standsFor: { 'the-bore': 'mouthpipe', 'the-slides': 'valve-slides', 'the-water': 'main-slide' },
  fields: [
    ask('finish', ['lacquer', 'nickel-silver', 'bare-brass'], 'lacquer'),
    ask('brassMouthpiece', ['plated', 'bare-brass', 'stainless'], 'plated'),
    ask('bell', ['fixed', 'screw'], 'fixed'),
  ],
  water: WATER.horn,
} as const satisfies InstrumentKind;
