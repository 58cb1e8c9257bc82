import type { InstrumentKind } from '#core/instruments/kind.ts';

/**
 * The trumpet, unrolled. Parts and build from the practice book; lengths, bores and water shares are estimates made
 * for the drawing. Water runs down the mouthpipe and stands in the main slide, where the water key is.
 */
export const trumpet = {
  id: 'trumpet',
  name: 'Trumpet',
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
  fields: [
    {
      field: 'finish',
      question: 'What is the finish?',
      options: [
        { id: 'lacquer', name: 'Lacquer' },
        { id: 'silver', name: 'Silver plate' },
        { id: 'bare-brass', name: 'Bare brass' },
      ],
      usual: 'lacquer',
    },
    {
      field: 'brassMouthpiece',
      question: 'What is the mouthpiece?',
      options: [
        { id: 'plated', name: 'Plated' },
        { id: 'bare-brass', name: 'Bare brass' },
        { id: 'stainless', name: 'Solid stainless steel' },
      ],
      usual: 'plated',
    },
  ],
  water: {
    flowLitresPerMinute: 18,
    soundingShare: 0.5,
    enteringShare: 1,
    wallWarming: 0.3,
    keptShare: 0.6,
    wettedBoreSquareMetres: 0.06,
    pickedUpPerPass: 0.5,
    leastPasses: 1,
  },
} as const satisfies InstrumentKind;
