import { ask } from '#core/instruments/build-questions.ts';
import type { InstrumentKind } from '#core/instruments/kind.ts';
import { WATER } from '#core/tables/instruments/water.ts';

/** The recorder in four sizes. Parts and build from the practice book. Lengths, bores and water shares are estimates made for the drawing. */
export const recorder = {
  id: 'recorder',
  name: 'Recorder',
  family: 'Flutes',
  nameByBuild: [
    { when: { body: ['wood'], size: ['soprano'] }, name: 'Wooden soprano recorder' },
    { when: { body: ['wood'], size: ['alto'] }, name: 'Wooden alto recorder' },
    { when: { body: ['wood'], size: ['tenor'] }, name: 'Wooden tenor recorder' },
    { when: { body: ['wood'], size: ['bass'] }, name: 'Wooden bass recorder' },
    { when: { size: ['soprano'] }, name: 'Plastic soprano recorder' },
    { when: { size: ['alto'] }, name: 'Plastic alto recorder' },
    { when: { size: ['tenor'] }, name: 'Plastic tenor recorder' },
    { when: { size: ['bass'] }, name: 'Plastic bass recorder' },
  ],
  tube: [
    {
      id: 'head-joint',
      name: 'Head with windway and window',
      lengthMm: 110,
      boreMm: [14, 13],
      nearness: 'at-the-mouth',
      waterShare: 0.6,
      joint: 'tenon',
    },
    {
      id: 'middle-joint',
      name: 'Middle joint',
      lengthMm: 170,
      boreMm: [13, 10],
      nearness: 'first-half',
      waterShare: 0.3,
      joint: 'tenon',
    },
    {
      id: 'foot-joint',
      name: 'Foot joint',
      lengthMm: 60,
      boreMm: [10, 9],
      nearness: 'the-rest',
      waterShare: 0.1,
    },
  ],
  loose: [
    { id: 'swab', name: 'Cloth on its rod', nearness: 'first-half' },
    { id: 'case', name: 'Case', nearness: 'the-rest' },
  ],
  standsFor: { 'the-bore': 'middle-joint', 'the-tenons': 'middle-joint', 'the-keys': 'foot-joint' },
  fields: [
    ask('size', ['soprano', 'alto', 'tenor', 'bass'], 'soprano'),
    ask('body', ['wood', 'plastic'], 'plastic'),
    ask('tenons', ['plastic', 'cork', 'thread'], 'plastic'),
  ],
  water: WATER.recorder,
} as const satisfies InstrumentKind;
