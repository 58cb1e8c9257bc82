import type { KindId } from '#core/instruments/kind.ts';

/** Strokes of tube and bell for 48 × 48; our own, drawn for this program. */
const keys = (x: number, y: number): string => [0, 1, 2, 3].map((at) => `M${x - at * 4} ${y + at * 5.4}l3 2`).join('');
const saxophone = (neck: string, body: string): readonly string[] => [
  neck,
  body,
  'M36 32l5 -9',
  'M24 20l4 2M22 26l4 2',
];
const valves = (left: number, top: number, count: number): string =>
  Array.from({ length: count }, (_, at) => `M${left + at * 5} ${top}v14`).join('');

export const SILHOUETTES: Readonly<Record<KindId, readonly string[]>> = {
  clarinet: ['M38 6l-3 5', 'M35 11L15 38', 'M15 38q-4 2 -6 7q6 0 9 -4', keys(30, 17)],
  'bass-clarinet': ['M40 9q-6 -6 -10 0', 'M30 9L16 36', 'M16 36q-3 7 4 7q7 0 9 -8', keys(26, 16)],
  'soprano-saxophone': ['M38 5l-4 6', 'M34 11L13 40', 'M13 40l-5 1l7 5z', keys(30, 17)],
  'alto-saxophone': saxophone('M40 8q-7 -5 -12 2', 'M28 10L20 34q-2 8 5 9q8 1 11 -11'),
  'tenor-saxophone': saxophone('M42 11q-3 -8 -9 -4q-3 2 -6 1', 'M27 8L17 34q-2 9 6 10q9 1 13 -12'),
  'baritone-saxophone': [
    'M42 12q-4 -7 -9 -2q-5 -9 -9 0',
    'M24 10L17 34q-2 9 6 10q9 1 13 -12',
    'M36 32l5 -9',
    'M28 6q6 -3 4 4',
    'M22 20l4 2M20 26l4 2',
  ],
  oboe: ['M39 5l-4 6', 'M35 11L15 38', 'M15 38q-4 0 -4 4q0 3 4 2q3 -1 3 -4', keys(31, 16)],
  'cor-anglais': ['M41 9q-2 -5 -6 0', 'M35 9L17 35', 'M17 35q-7 1 -6 7q1 4 6 1q4 -3 3 -7', keys(30, 15)],
  bassoon: ['M14 20q0 -8 8 -8', 'M22 12V40q0 4 4 4t4 -4V6', 'M28 6h4', 'M22 24l-3 1M22 30l-3 1M30 22l3 1M30 30l3 1'],
  flute: ['M6 40L42 8', 'M36 13l3 3', 'M28 18l3 3M24 22l3 3M20 25l3 3M14 31l3 3'],
  piccolo: ['M14 34L34 14', 'M30 18l3 3', 'M25 20l3 3M20 25l3 3'],
  'bamboo-flute': ['M34 5L18 36q-1 5 -5 7', 'M31 6l5 2', 'M29 15h.1M26 21h.1M23 27h.1', 'M20 31l5 3'],
  recorder: ['M36 5l5 4', 'M38 7L13 38', 'M13 38l-4 5l7 -3', 'M33 10l3 2', 'M29 17h.1M26 21h.1M23 25h.1M20 29h.1'],
  'highland-pipes': [
    'M14 30q-2 -10 10 -10t14 8q0 8 -12 8t-12 -6',
    'M18 21L12 6',
    'M24 20L22 8',
    'M29 20V10',
    'M38 26l6 -8',
    'M26 36l-2 9',
  ],
  trumpet: [
    'M4 21h3M7 21h27',
    'M34 21q5 -1 9 -7v18q-4 -7 -9 -7',
    'M34 27H18q-5 0 -5 -3t5 -3',
    valves(20, 17, 3),
    'M15 31q-4 0 -4 -3',
  ],
  cornet: [
    'M8 22h24',
    'M32 22q5 -1 9 -7v18q-4 -7 -9 -7',
    'M32 28H18q-6 0 -6 -3t6 -3',
    'M18 28q-5 5 3 6h6',
    valves(20, 17, 3),
  ],
  flugelhorn: ['M6 22h22', 'M28 22q8 -1 14 -10v22q-6 -10 -14 -7', 'M28 28H16q-6 0 -6 -3t6 -3', valves(17, 16, 3)],
  horn: ['M8 12q6 0 8 6', 'M24 36a12 12 0 1 1 10 -6', 'M34 30q6 4 12 2l-9 12q-6 -2 -9 -9', 'M20 22h8M20 26h8'],
  trombone: ['M4 18h30q6 0 6 4t-6 4H10', 'M10 26q-4 0 -4 -4', 'M14 26q-6 4 -12 4v12q7 -5 12 -8h14q5 0 5 -4t-5 -4'],
  baritone: ['M10 14h8', 'M18 14v20q0 8 8 8t8 -8V18', 'M34 18q0 -6 5 -12H23q5 6 5 12v14', valves(18, 22, 3)],
  euphonium: ['M8 16h9', 'M17 16v18q0 10 10 10t10 -10V20', 'M37 20q0 -8 5 -15H22q6 7 6 15v14', valves(18, 22, 4)],
  tuba: [
    'M8 20h8',
    'M16 20v16q0 9 10 9t11 -9V20',
    'M37 20q1 -9 7 -17H20q8 8 8 17v16',
    valves(18, 24, 3),
    'M13 30v8q0 4 4 6',
  ],
  sousaphone: [
    'M30 44q-16 2 -18 -12t8 -16q10 -4 16 4',
    'M36 20q4 -8 0 -16',
    'M24 4h20q-3 9 -10 9t-10 -9',
    'M22 40q-12 -2 -11 -14',
    valves(20, 24, 3),
  ],
};
