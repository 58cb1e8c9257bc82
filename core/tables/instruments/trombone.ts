import { ask } from '#core/instruments/build-questions.ts';
import type { InstrumentKind } from '#core/instruments/kind.ts';
import { WATER } from '#core/tables/instruments/water.ts';

/** The trombone, unrolled, with and without a rotor. Parts and build from the practice book. Lengths, bores and water shares are estimates made for the drawing. */
export const trombone = {
  id: 'trombone',
  name: 'Trombone',
  family: 'Brass',
  nameByBuild: [
    { when: { rotor: ['one'] }, name: 'Trombone with a rotor' },
    { when: { rotor: ['none'] }, name: 'Trombone' },
  ],
  tube: [
    {
      id: 'mouthpiece',
      name: 'Mouthpiece',
      lengthMm: 80,
      boreMm: [25, 10],
      nearness: 'at-the-mouth',
      waterShare: 0.08,
      joint: 'tenon',
    },
    {
      id: 'hand-slide',
      name: 'Hand slide',
      lengthMm: 1450,
      boreMm: [12.7, 13.9],
      nearness: 'next-to-it',
      waterShare: 0.6,
      joint: 'slide',
    },
    {
      id: 'tuning-slide',
      name: 'Tuning slide',
      lengthMm: 350,
      boreMm: [14, 14.5],
      nearness: 'first-half',
      waterShare: 0.22,
      joint: 'slide',
    },
    {
      id: 'rotors',
      name: 'Rotor',
      when: { rotor: ['one'] },
      lengthMm: 150,
      boreMm: [14, 14],
      nearness: 'first-half',
      waterShare: 0.05,
      joint: 'fixed',
    },
    { id: 'bell', name: 'Bell section', lengthMm: 900, boreMm: [14.5, 203], nearness: 'the-rest', waterShare: 0.05 },
  ],
  loose: [{ id: 'case', name: 'Case', nearness: 'the-rest' }],
  standsFor: { 'the-bore': 'hand-slide', 'the-slides': 'tuning-slide', 'the-water': 'hand-slide' },
  fields: [
    ask('finish', ['lacquer', 'silver', 'bare-brass'], 'lacquer'),
    ask('brassMouthpiece', ['plated', 'bare-brass', 'stainless'], 'plated'),
    ask('rotor', ['none', 'one'], 'none'),
  ],
  water: WATER.trombone,
} as const satisfies InstrumentKind;
