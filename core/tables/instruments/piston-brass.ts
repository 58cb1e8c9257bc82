import { ask } from '#core/instruments/build-questions.ts';
import type { InstrumentKind, WaterRow } from '#core/instruments/kind.ts';
import { WATER } from '#core/tables/instruments/water.ts';

type Figures = {
  /** Length of the tubing beside a trumpet's. */
  readonly times: number;
  /** Mouthpiece cup, main bore and bell, mm. */
  readonly cupMm: number;
  readonly boreMm: number;
  readonly bellMm: number;
  readonly water: WaterRow;
};

/**
 * What the brass with pistons share; they differ in name, length and bores. Lengths, bores and water shares are
 * estimates made for the drawing.
 */
const pistonBrass = (name: string, { times, cupMm, boreMm, bellMm, water }: Figures) => {
  const noun = name.toLowerCase();
  return {
    name,
    family: 'Brass',
    nameByBuild: [
      { when: { finish: ['lacquer'] }, name: `Lacquered ${noun}` },
      { when: { finish: ['silver'] }, name: `Silver-plated ${noun}` },
      { when: { finish: ['bare-brass'] }, name: `Bare brass ${noun}` },
    ],
    tube: [
      {
        id: 'mouthpiece',
        name: 'Mouthpiece',
        lengthMm: 87,
        boreMm: [cupMm, 9],
        nearness: 'at-the-mouth',
        waterShare: 0.08,
        joint: 'tenon',
      },
      {
        id: 'mouthpipe',
        name: 'Mouthpipe',
        lengthMm: 240 * times,
        boreMm: [9, boreMm],
        nearness: 'next-to-it',
        waterShare: 0.3,
        joint: 'slide',
      },
      {
        id: 'main-slide',
        name: 'Main slide',
        lengthMm: 240 * times,
        boreMm: [boreMm, boreMm],
        nearness: 'first-half',
        waterShare: 0.4,
        joint: 'slide',
      },
      {
        id: 'valve-block',
        name: 'Valve block',
        lengthMm: 180 * times,
        boreMm: [boreMm, boreMm],
        nearness: 'first-half',
        waterShare: 0.1,
        joint: 'fixed',
      },
      {
        id: 'valve-slides',
        name: 'Valve slides',
        lengthMm: 200 * times,
        boreMm: [boreMm, boreMm],
        nearness: 'the-rest',
        waterShare: 0.1,
        joint: 'slide',
      },
      {
        id: 'bell',
        name: 'Bell',
        lengthMm: 480 * times,
        boreMm: [boreMm, bellMm],
        nearness: 'the-rest',
        waterShare: 0.02,
      },
    ],
    loose: [{ id: 'case', name: 'Case', nearness: 'the-rest' }],
    standsFor: { 'the-bore': 'mouthpipe', 'the-slides': 'valve-slides', 'the-water': 'main-slide' },
    fields: [
      ask('finish', ['lacquer', 'silver', 'bare-brass'], 'lacquer'),
      ask('brassMouthpiece', ['plated', 'bare-brass', 'stainless'], 'plated'),
    ],
    water,
  } as const satisfies Omit<InstrumentKind, 'id'>;
};

const small = { times: 1, cupMm: 17, water: WATER.trumpet } as const;
const middle = { times: 2, cupMm: 25, water: WATER.trombone } as const;
const large = { times: 4, cupMm: 25, boreMm: 18.5, water: WATER.tuba } as const;
const asTuba = pistonBrass('Tuba', { ...large, bellMm: 400 });

export const trumpet: InstrumentKind = {
  id: 'trumpet',
  ...pistonBrass('Trumpet', { ...small, boreMm: 11.7, bellMm: 123 }),
};
export const cornet: InstrumentKind = {
  id: 'cornet',
  ...pistonBrass('Cornet', { ...small, boreMm: 11.8, bellMm: 119 }),
};
export const flugelhorn: InstrumentKind = {
  id: 'flugelhorn',
  ...pistonBrass('Flugelhorn', { ...small, boreMm: 11.5, bellMm: 152 }),
};
export const baritone: InstrumentKind = {
  id: 'baritone',
  ...pistonBrass('Baritone', { ...middle, boreMm: 13.2, bellMm: 220 }),
};
export const euphonium: InstrumentKind = {
  id: 'euphonium',
  ...pistonBrass('Euphonium', { ...middle, boreMm: 15, bellMm: 290, water: WATER.tuba }),
};
export const sousaphone: InstrumentKind = {
  id: 'sousaphone',
  ...pistonBrass('Sousaphone', { ...large, bellMm: 650 }),
};
/** The tuba comes with pistons or with rotors. */
export const tuba: InstrumentKind = {
  id: 'tuba',
  ...asTuba,
  nameByBuild: [
    { when: { valves: ['rotary'] }, name: 'Rotary tuba' },
    { when: { valves: ['piston'] }, name: 'Piston tuba' },
  ],
  tube: asTuba.tube.map((part) => (part.id === 'valve-block' ? { ...part, name: 'Valves' } : part)),
  fields: [...asTuba.fields, ask('valves', ['piston', 'rotary'], 'piston')],
};
