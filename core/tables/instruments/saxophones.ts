import { ask } from '#core/instruments/build-questions.ts';
import type { InstrumentKind } from '#core/instruments/kind.ts';
import { WATER } from '#core/tables/instruments/water.ts';

/** What the four saxophones share; they differ in name and length. Lengths, bores and water shares are estimates made for the drawing. */
const saxophone = (name: string, scale: number) => {
  const long = (mm: number) => Math.round(mm * scale);
  return {
    name,
    family: 'Single reeds',
    nameByBuild: [
      { when: { finish: ['lacquer'] }, name: `${name}, lacquered` },
      { when: { finish: ['silver'] }, name: `${name}, silver-plated` },
      { when: { finish: ['bare-brass'] }, name: `${name}, bare brass` },
    ],
    tube: [
      {
        id: 'mouthpiece',
        name: 'Mouthpiece',
        lengthMm: long(95),
        boreMm: [12, 16],
        nearness: 'at-the-mouth',
        waterShare: 0.18,
        joint: 'tenon',
      },
      {
        id: 'neck',
        name: 'Neck',
        lengthMm: long(200),
        boreMm: [13, 24],
        nearness: 'next-to-it',
        waterShare: 0.32,
        joint: 'tenon',
      },
      {
        id: 'body',
        name: 'Body',
        lengthMm: long(620),
        boreMm: [25, 55],
        nearness: 'first-half',
        waterShare: 0.35,
        joint: 'fixed',
      },
      {
        id: 'bow',
        name: 'Bow',
        lengthMm: long(220),
        boreMm: [56, 72],
        nearness: 'the-rest',
        waterShare: 0.12,
        joint: 'fixed',
        form: 'u-turn',
      },
      { id: 'bell', name: 'Bell', lengthMm: long(280), boreMm: [74, 123], nearness: 'the-rest', waterShare: 0.03 },
    ],
    loose: [
      { id: 'reed', name: 'Reed', nearness: 'at-the-mouth' },
      { id: 'ligature', name: 'Ligature', nearness: 'at-the-mouth' },
      { id: 'swab', name: 'Swab', nearness: 'first-half' },
      { id: 'case', name: 'Case', nearness: 'the-rest' },
    ],
    standsFor: { 'the-bore': 'body', 'the-keys': 'body', 'the-tenons': 'neck' },
    fields: [
      ask('finish', ['lacquer', 'silver', 'bare-brass'], 'lacquer'),
      ask('pads', ['leather', 'synthetic'], 'leather'),
      ask('mouthpiece', ['hard-rubber', 'plastic', 'metal'], 'hard-rubber'),
    ],
    water: WATER.saxophone,
  } as const satisfies Omit<InstrumentKind, 'id'>;
};

const soprano = saxophone('Soprano saxophone', 0.6);
/** Straight as a rule; its neck comes off on some. */
export const sopranoSaxophone: InstrumentKind = {
  id: 'soprano-saxophone',
  ...soprano,
  tube: soprano.tube.map((part) => (part.id === 'neck' ? { ...part, fixedWhen: { pieces: ['one-piece'] } } : part)),
  fields: [ask('pieces', ['one-piece', 'two-piece'], 'two-piece'), ...soprano.fields],
};
export const altoSaxophone: InstrumentKind = { id: 'alto-saxophone', ...saxophone('Alto saxophone', 1) };
export const tenorSaxophone: InstrumentKind = { id: 'tenor-saxophone', ...saxophone('Tenor saxophone', 1.35) };
export const baritoneSaxophone: InstrumentKind = { id: 'baritone-saxophone', ...saxophone('Baritone saxophone', 2.1) };
