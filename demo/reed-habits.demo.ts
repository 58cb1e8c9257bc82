import type { BreakIn, ReedMaterial } from '#core/reeds/reed.ts';

/** How somebody in the demo keeps the reeds of one instrument. All of it is invented. */
export type ReedHabit = {
  readonly instrumentId: string;
  readonly name: string;
  readonly strength: string | null;
  readonly place: string;
  readonly material: ReedMaterial;
  readonly breakIn: BreakIn;
  readonly inBox: number;
  readonly costMinor: number | null;
  /** Reeds in turn. */
  readonly inHand: number;
  /** Minutes a reed lives, shortest and longest. */
  readonly lives: readonly [shortest: number, longest: number];
  /** How often the favourite is played although it is not its turn. */
  readonly favourite: number;
  /** How often a play lies partly high. */
  readonly high: number;
  /** Of a hundred reeds so many turn out good enough for concerts. */
  readonly good: number;
  /** For so many days it has been a new box that is being broken in. */
  readonly newBoxDaysAgo?: number;
  /** Without a history of its own: one box that came so many days ago. */
  readonly onlySinceDaysAgo?: number;
};

export const REED_HABITS: readonly ReedHabit[] = [
  {
    instrumentId: 'marit-clarinet',
    name: 'Fennel',
    strength: '2½',
    place: 'upper pocket',
    material: 'cane',
    breakIn: 'week',
    inBox: 10,
    costMinor: 2890,
    inHand: 4,
    lives: [600, 2000],
    favourite: 0.45,
    high: 0.1,
    good: 45,
    newBoxDaysAgo: 6,
  },
  {
    instrumentId: 'marit-alto',
    name: 'Gull Lane',
    strength: 'No. 3',
    place: 'neck pocket',
    material: 'cane',
    breakIn: 'week',
    inBox: 10,
    costMinor: 3250,
    inHand: 4,
    lives: [700, 2200],
    favourite: 0.15,
    high: 0.2,
    good: 55,
  },
  {
    instrumentId: 'marit-alto',
    name: 'Shoal',
    strength: '2.75',
    place: 'neck pocket',
    material: 'synthetic',
    breakIn: 'none',
    inBox: 1,
    costMinor: 2700,
    inHand: 1,
    lives: [9000, 9001],
    favourite: 0,
    high: 0,
    good: 100,
    onlySinceDaysAgo: 60,
  },
  {
    instrumentId: 'teodor-oboe',
    name: 'Sandling',
    strength: 'medium',
    place: 'case for five',
    material: 'cane',
    breakIn: 'none',
    inBox: 3,
    costMinor: 5400,
    inHand: 5,
    lives: [500, 1500],
    favourite: 0.1,
    high: 0.25,
    good: 60,
  },
  {
    instrumentId: 'teodor-cor',
    name: 'Sandling for cor',
    strength: 'medium',
    place: 'case for three',
    material: 'cane',
    breakIn: 'none',
    inBox: 3,
    costMinor: 6300,
    inHand: 3,
    lives: [500, 1500],
    favourite: 0.1,
    high: 0.05,
    good: 60,
  },
  {
    instrumentId: 'petra-bassoon',
    name: 'Mudlark',
    strength: 'medium',
    place: 'vented case',
    material: 'cane',
    breakIn: 'none',
    inBox: 3,
    costMinor: 6900,
    inHand: 5,
    lives: [600, 1900],
    favourite: 0.2,
    high: 0.1,
    good: 55,
  },
];
