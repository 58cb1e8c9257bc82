import type { InstrumentKind } from '#core/instruments/kind.ts';

/**
 * The soprano clarinet. Parts and build from the practice book; lengths, bores and water shares are estimates made
 * for the drawing ("most near the mouthpiece, in the barrel and at the top tenon; then upper tone holes").
 */
export const clarinet = {
  id: 'clarinet',
  name: 'Clarinet',
  nameByBuild: [
    { when: { body: ['wood'] }, name: 'Wooden clarinet' },
    { when: { body: ['plastic'] }, name: 'Plastic clarinet' },
    { when: { body: ['hard-rubber'] }, name: 'Hard-rubber clarinet' },
  ],
  tube: [
    {
      id: 'mouthpiece',
      name: 'Mouthpiece',
      lengthMm: 89,
      boreMm: [10, 15],
      nearness: 'at-the-mouth',
      waterShare: 0.22,
      joint: 'tenon',
    },
    {
      id: 'barrel',
      name: 'Barrel',
      lengthMm: 65,
      boreMm: [15, 15],
      nearness: 'next-to-it',
      waterShare: 0.25,
      joint: 'tenon',
    },
    {
      id: 'upper-joint',
      name: 'Upper joint',
      lengthMm: 225,
      boreMm: [15, 15],
      nearness: 'first-half',
      waterShare: 0.33,
      joint: 'tenon',
    },
    {
      id: 'lower-joint',
      name: 'Lower joint',
      lengthMm: 255,
      boreMm: [15, 20],
      nearness: 'the-rest',
      waterShare: 0.15,
      joint: 'tenon',
    },
    { id: 'bell', name: 'Bell', lengthMm: 105, boreMm: [22, 60], nearness: 'the-rest', waterShare: 0.05 },
  ],
  loose: [
    { id: 'reed', name: 'Reed', nearness: 'at-the-mouth' },
    { id: 'ligature', name: 'Ligature', nearness: 'at-the-mouth' },
    { id: 'swab', name: 'Swab', nearness: 'first-half' },
    { id: 'case', name: 'Case', nearness: 'the-rest' },
  ],
  fields: [
    {
      field: 'body',
      question: 'What is the body made of?',
      options: [
        { id: 'wood', name: 'Wood' },
        { id: 'plastic', name: 'Plastic' },
        { id: 'hard-rubber', name: 'Hard rubber' },
      ],
      usual: 'wood',
    },
    {
      field: 'tenons',
      question: 'What are the tenons wound with?',
      options: [
        { id: 'cork', name: 'Cork' },
        { id: 'thread', name: 'Thread' },
      ],
      usual: 'cork',
    },
    {
      field: 'pads',
      question: 'What are the pads?',
      options: [
        { id: 'skin', name: 'Skin' },
        { id: 'leather', name: 'Leather' },
        { id: 'cork', name: 'Cork' },
        { id: 'synthetic', name: 'Synthetic' },
      ],
      usual: 'skin',
    },
    {
      field: 'mouthpiece',
      question: 'What is the mouthpiece made of?',
      options: [
        { id: 'hard-rubber', name: 'Hard rubber' },
        { id: 'plastic', name: 'Plastic' },
        { id: 'glass', name: 'Glass' },
      ],
      usual: 'hard-rubber',
    },
  ],
  water: {
    flowLitresPerMinute: 13,
    soundingShare: 0.6,
    enteringShare: 1,
    wallWarming: 0.45,
    keptShare: 0.36,
    wettedBoreSquareMetres: 0.0305,
    pickedUpPerPass: 0.4,
    leastPasses: 1,
  },
} as const satisfies InstrumentKind;
