import type { CareItemId } from '#core/care/care-item.ts';
import type { Build } from '#core/instruments/build.ts';
import type { KindId } from '#core/instruments/kind.ts';
import type { Skill, Standing } from '#core/players/player.ts';

/** Invented people of Saltmarsh Theatre and the Tideway Wind Band. */
export type DemoPlayer = {
  readonly id: string;
  readonly name: string;
  readonly standing: Standing;
  readonly does: readonly Skill[];
};

export const DEMO_PLAYERS: readonly DemoPlayer[] = [
  { id: 'marit', name: 'Marit Oyelaran', standing: 'grown-up', does: ['key-oil', 'bore-oil', 'screws'] },
  { id: 'lucan', name: 'Lucan Reyes-Holm', standing: 'grown-up', does: ['key-oil'] },
  { id: 'ife', name: 'Ife Reyes-Holm', standing: 'child', does: [] },
];

/** When somebody plays: Monday first, the chance of a play and how long it lasts. */
export type PlayHabit = {
  readonly chances: readonly number[];
  readonly minutes: readonly [number, number];
  readonly endsAtMinute: readonly [number, number];
};

/** How somebody looks after one item: about every so many days, until they stopped some days before today. */
export type CareHabit = {
  readonly item: CareItemId;
  readonly everyDays: number;
  readonly stoppedDaysAgo?: number;
  readonly by?: 'bench';
};

export type DemoInstrument = {
  readonly id: string;
  readonly playerId: string;
  readonly name: string;
  readonly kind: KindId;
  readonly build: Build;
  readonly acquiredDaysAgo: number;
  readonly cameNew: boolean;
  readonly plays: PlayHabit;
  /** Chance that a play is packed up properly, and that optional steps are left out for want of time. */
  readonly packsUp: number;
  readonly hurries: number;
  readonly care: readonly CareHabit[];
};

/** Invented habits: each instrument shows something different on the screens. */
export const DEMO_INSTRUMENTS: readonly DemoInstrument[] = [
  {
    id: 'marit-clarinet',
    playerId: 'marit',
    name: 'Clarinet',
    kind: 'clarinet',
    build: { body: 'wood', tenons: 'cork', pads: 'skin', mouthpiece: 'hard-rubber' },
    acquiredDaysAgo: 2100,
    cameNew: true,
    // Four shows a week, a lesson or some practice besides.
    plays: { chances: [0.15, 0.55, 0.95, 0.97, 0.98, 0.98, 0.2], minutes: [55, 140], endsAtMinute: [1290, 1350] },
    packsUp: 1,
    hurries: 0.25,
    care: [
      { item: 'clarinet/swab-wash', everyDays: 8 },
      { item: 'clarinet/mouthpiece-wash', everyDays: 8, stoppedDaysAgo: 9 },
      { item: 'clarinet/thorough-clean', everyDays: 33 },
      { item: 'clarinet/screw-check', everyDays: 40 },
      { item: 'clarinet/key-oil', everyDays: 370, stoppedDaysAgo: 120 },
      // The neglected one: oiled for years, then not since before last winter.
      { item: 'clarinet/bore-oil', everyDays: 150, stoppedDaysAgo: 290 },
      { item: 'wind/case-check', everyDays: 100 },
      { item: 'wind/bench-service', everyDays: 350, stoppedDaysAgo: 200, by: 'bench' },
    ],
  },
  {
    id: 'lucan-trumpet',
    playerId: 'lucan',
    name: 'Trumpet',
    kind: 'trumpet',
    build: { finish: 'silver', brassMouthpiece: 'plated' },
    acquiredDaysAgo: 1500,
    cameNew: false,
    plays: { chances: [0.6, 0.3, 0.9, 0.4, 0.85, 0.9, 0.5], minutes: [30, 90], endsAtMinute: [1140, 1320] },
    packsUp: 0.96,
    hurries: 0.1,
    care: [
      { item: 'piston-brass/valve-oil', everyDays: 5 },
      { item: 'brass/mouthpiece-wash', everyDays: 8 },
      { item: 'piston-brass/mouthpipe-brush', everyDays: 9 },
      { item: 'brass/slide-grease', everyDays: 30 },
      // The neglected one: the bath waits since autumn's theatre weeks began.
      { item: 'brass/bath', everyDays: 64, stoppedDaysAgo: 96 },
      { item: 'wind/bench-service', everyDays: 380, stoppedDaysAgo: 290, by: 'bench' },
    ],
  },
  {
    id: 'ife-clarinet',
    playerId: 'ife',
    name: 'School clarinet',
    kind: 'clarinet',
    build: { body: 'plastic', tenons: 'cork', pads: 'synthetic', mouthpiece: 'plastic' },
    acquiredDaysAgo: 430,
    cameNew: false,
    plays: { chances: [0.5, 0.6, 0.2, 0.7, 0.1, 0.35, 0.3], minutes: [10, 30], endsAtMinute: [1020, 1140] },
    packsUp: 0.85,
    hurries: 0.35,
    care: [
      { item: 'clarinet/swab-wash', everyDays: 12, stoppedDaysAgo: 25 },
      { item: 'clarinet/mouthpiece-wash', everyDays: 9 },
      { item: 'clarinet/tone-holes', everyDays: 90, stoppedDaysAgo: 60 },
    ],
  },
];

/** Weeks without playing, in days before today: holidays, and a theatre's dark weeks. */
export const DEMO_GAPS: readonly { readonly from: number; readonly to: number }[] = [
  { from: 700, to: 688 },
  { from: 480, to: 462 },
  { from: 335, to: 326 },
  { from: 118, to: 97 },
];
