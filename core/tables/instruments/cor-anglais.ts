import { ask } from '#core/instruments/build-questions.ts';
import type { InstrumentKind } from '#core/instruments/kind.ts';
import { WATER } from '#core/tables/instruments/water.ts';

/** The cor anglais: an oboe with a bocal. Lengths, bores and water shares are estimates made for the drawing. */
export const corAnglais = {
  id: 'cor-anglais',
  name: 'Cor anglais',
  family: 'Double reeds',
  nameByBuild: [
    { when: { body: ['wood'] }, name: 'Wooden cor anglais' },
    { when: { body: ['plastic'] }, name: 'Plastic cor anglais' },
  ],
  tube: [
    {
      id: 'reed',
      name: 'Reed',
      lengthMm: 60,
      boreMm: [3, 4.5],
      nearness: 'at-the-mouth',
      waterShare: 0.12,
      joint: 'tenon',
    },
    {
      id: 'bocal',
      name: 'Bocal',
      lengthMm: 85,
      boreMm: [4.5, 6.5],
      nearness: 'next-to-it',
      waterShare: 0.2,
      joint: 'tenon',
    },
    {
      id: 'upper-joint',
      name: 'Upper joint',
      lengthMm: 310,
      boreMm: [6.5, 10],
      nearness: 'first-half',
      waterShare: 0.4,
      joint: 'tenon',
    },
    {
      id: 'lower-joint',
      name: 'Lower joint',
      lengthMm: 320,
      boreMm: [10, 16],
      nearness: 'the-rest',
      waterShare: 0.2,
      joint: 'tenon',
    },
    { id: 'bell', name: 'Bell', lengthMm: 150, boreMm: [18, 28], nearness: 'the-rest', waterShare: 0.08 },
  ],
  loose: [
    { id: 'swab', name: 'Swab', nearness: 'first-half' },
    { id: 'case', name: 'Case', nearness: 'the-rest' },
  ],
  standsFor: { 'the-bore': 'upper-joint', 'the-keys': 'lower-joint', 'the-tenons': 'upper-joint' },
  fields: [
    ask('body', ['wood', 'plastic', 'hard-rubber'], 'wood'),
    ask('tenons', ['cork', 'thread'], 'cork'),
    ask('pads', ['skin', 'leather', 'cork', 'synthetic'], 'skin'),
    ask('swabTail', ['two-cords', 'no-tail'], 'two-cords'),
    ask('scrape', ['long', 'short', 'unknown'], 'unknown'),
  ],
  water: WATER.oboe,
} as const satisfies InstrumentKind;
