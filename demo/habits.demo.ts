import type { CareItemId } from '#core/book/care-ids.ts';
import type { AloneId } from '#core/instruments/alone.ts';
import type { Build } from '#core/instruments/build.ts';
import type { KindId, PartId } from '#core/instruments/kind.ts';

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
  /** Played last night and not packed up yet. */
  readonly waits?: true;
  /** Played last night, packed up on the way and cased damp since. */
  readonly onTheWay?: true;
  /** Only these parts of it are played. */
  readonly alone?: AloneId;
  /** Signs seen and not yet put right. */
  readonly signs?: readonly { readonly item: CareItemId; readonly part: PartId; readonly daysAgo: number }[];
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
    waits: true,
    care: [
      { item: 'swab/wash', everyDays: 8 },
      { item: 'single-reed/mouthpiece-wash', everyDays: 8, stoppedDaysAgo: 9 },
      { item: 'single-reed/reed-hygiene', everyDays: 7 },
      { item: 'clarinet/thorough-clean', everyDays: 33 },
      { item: 'keyed/screw-check', everyDays: 40 },
      { item: 'keyed/key-oil', everyDays: 370, stoppedDaysAgo: 120 },
      // The neglected one: oiled for years, then not since before last winter.
      { item: 'wooden-bore/oil', everyDays: 150, stoppedDaysAgo: 290 },
      { item: 'wind/case-check', everyDays: 100 },
      { item: 'wind/bench-service', everyDays: 350, stoppedDaysAgo: 200, by: 'bench' },
    ],
  },
  {
    id: 'marit-alto',
    playerId: 'marit',
    name: 'Alto saxophone',
    kind: 'alto-saxophone',
    build: { finish: 'lacquer', pads: 'leather', mouthpiece: 'hard-rubber' },
    acquiredDaysAgo: 1300,
    cameNew: false,
    plays: { chances: [0.05, 0.2, 0.9, 0.95, 0.95, 0.95, 0.1], minutes: [35, 90], endsAtMinute: [1295, 1345] },
    packsUp: 0.95,
    hurries: 0.3,
    waits: true,
    care: [
      { item: 'swab/wash', everyDays: 9, stoppedDaysAgo: 16 },
      { item: 'single-reed/mouthpiece-wash', everyDays: 8 },
      { item: 'single-reed/reed-hygiene', everyDays: 8 },
      { item: 'saxophone/outside', everyDays: 34 },
      { item: 'keyed/key-oil', everyDays: 350, stoppedDaysAgo: 80 },
    ],
  },
  {
    id: 'marit-piccolo',
    playerId: 'marit',
    name: 'Piccolo',
    kind: 'piccolo',
    build: { body: 'wood', tenons: 'cork', pads: 'skin' },
    acquiredDaysAgo: 500,
    cameNew: true,
    plays: { chances: [0, 0.1, 0.8, 0.85, 0.85, 0.85, 0.05], minutes: [10, 35], endsAtMinute: [1295, 1345] },
    packsUp: 0.97,
    hurries: 0.2,
    waits: true,
    care: [
      { item: 'swab/wash', everyDays: 15 },
      { item: 'flute/lip-plate', everyDays: 8 },
      { item: 'keyed/screw-check', everyDays: 31 },
      { item: 'wooden-bore/oil', everyDays: 88, stoppedDaysAgo: 74 },
      { item: 'wind/case-check', everyDays: 95 },
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
      { item: 'piston-brass/bath', everyDays: 64, stoppedDaysAgo: 96 },
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
      { item: 'swab/wash', everyDays: 12, stoppedDaysAgo: 25 },
      { item: 'single-reed/mouthpiece-wash', everyDays: 9 },
      { item: 'single-reed/reed-hygiene', everyDays: 10 },
      { item: 'clarinet/tone-holes', everyDays: 90, stoppedDaysAgo: 60 },
    ],
  },
  {
    id: 'lucan-trombone',
    playerId: 'lucan',
    name: 'Trombone',
    kind: 'trombone',
    build: { finish: 'lacquer', brassMouthpiece: 'plated', rotor: 'one' },
    acquiredDaysAgo: 900,
    cameNew: false,
    plays: { chances: [0.1, 0.4, 0.05, 0.1, 0.05, 0.3, 0.2], minutes: [30, 100], endsAtMinute: [1140, 1300] },
    packsUp: 0.95,
    hurries: 0.15,
    care: [
      { item: 'trombone/mouthpipe-brush', everyDays: 9 },
      { item: 'trombone/slide-oil', everyDays: 4 },
      { item: 'rotary-brass/rotor-oil', everyDays: 9 },
      { item: 'brass/mouthpiece-wash', everyDays: 10 },
      { item: 'trombone/bath', everyDays: 62, stoppedDaysAgo: 70 },
    ],
    // The tuning slide will not move: the bath waits for the bench.
    signs: [{ item: 'brass/stuck', part: 'tuning-slide', daysAgo: 6 }],
  },
  {
    id: 'lucan-tuba',
    playerId: 'lucan',
    name: 'Tuba',
    kind: 'tuba',
    build: { finish: 'lacquer', brassMouthpiece: 'plated', valves: 'piston' },
    acquiredDaysAgo: 2400,
    cameNew: false,
    // Idle since the summer fête: its oil clock runs all the same.
    plays: { chances: [0, 0, 0, 0, 0, 0.04, 0.06], minutes: [20, 60], endsAtMinute: [900, 1080] },
    packsUp: 1,
    hurries: 0,
    care: [
      { item: 'piston-brass/valve-oil', everyDays: 12, stoppedDaysAgo: 12 },
      { item: 'brass/slide-grease', everyDays: 60, stoppedDaysAgo: 95 },
    ],
  },
  {
    id: 'teodor-oboe',
    playerId: 'teodor',
    name: 'Oboe',
    kind: 'oboe',
    build: { body: 'wood', tenons: 'cork', pads: 'skin', swabTail: 'two-cords', scrape: 'long' },
    acquiredDaysAgo: 420,
    cameNew: true,
    plays: { chances: [0.7, 0.7, 0.8, 0.9, 0.6, 0.5, 0.3], minutes: [40, 120], endsAtMinute: [1000, 1320] },
    packsUp: 1,
    hurries: 0.05,
    care: [
      { item: 'swab/wash', everyDays: 7 },
      { item: 'tenons/grease', everyDays: 29 },
      { item: 'keyed/screw-check', everyDays: 30 },
      { item: 'wooden-bore/oil', everyDays: 90 },
      { item: 'wind/case-check', everyDays: 100 },
      { item: 'keyed/key-oil', everyDays: 360, stoppedDaysAgo: 55, by: 'bench' },
    ],
  },
  {
    id: 'teodor-cor',
    playerId: 'teodor',
    name: 'Cor anglais',
    kind: 'cor-anglais',
    build: { body: 'wood', tenons: 'cork', pads: 'cork', swabTail: 'no-tail', scrape: 'long' },
    acquiredDaysAgo: 2600,
    cameNew: false,
    plays: { chances: [0.05, 0, 0.1, 0.2, 0.1, 0.15, 0], minutes: [20, 60], endsAtMinute: [1100, 1320] },
    packsUp: 0.9,
    hurries: 0.1,
    care: [
      { item: 'swab/wash', everyDays: 10, stoppedDaysAgo: 15 },
      { item: 'wooden-bore/oil', everyDays: 190, stoppedDaysAgo: 240 },
    ],
  },
  {
    id: 'petra-bassoon',
    playerId: 'petra',
    name: 'Bassoon',
    kind: 'bassoon',
    build: { body: 'wood', tenons: 'thread', pads: 'leather' },
    acquiredDaysAgo: 1900,
    cameNew: false,
    plays: { chances: [0.5, 0.4, 0.8, 0.5, 0.8, 0.4, 0.2], minutes: [45, 130], endsAtMinute: [1050, 1330] },
    packsUp: 0.98,
    hurries: 0.1,
    care: [
      { item: 'swab/wash', everyDays: 14 },
      { item: 'bassoon/bocal-rinse', everyDays: 32, stoppedDaysAgo: 58 },
      { item: 'keyed/key-oil', everyDays: 370, stoppedDaysAgo: 140 },
    ],
    signs: [{ item: 'tenons/wax', part: 'wing-joint', daysAgo: 3 }],
  },
  {
    id: 'asha-horn',
    playerId: 'asha',
    name: 'Horn',
    kind: 'horn',
    build: { finish: 'nickel-silver', brassMouthpiece: 'plated', bell: 'screw' },
    acquiredDaysAgo: 1100,
    cameNew: true,
    plays: { chances: [0.4, 0.7, 0.8, 0.8, 0.9, 0.6, 0.2], minutes: [40, 110], endsAtMinute: [1080, 1330] },
    packsUp: 0.97,
    hurries: 0.15,
    care: [
      { item: 'horn/weekly-flush', everyDays: 8, stoppedDaysAgo: 13 },
      { item: 'horn/monthly-slides', everyDays: 33 },
      { item: 'brass/mouthpiece-wash', everyDays: 7 },
      { item: 'wind/case-check', everyDays: 100 },
      // Every year to the bench, but not this year.
      { item: 'wind/bench-service', everyDays: 340, stoppedDaysAgo: 385, by: 'bench' },
      { item: 'rotary-brass/rotors-bench', everyDays: 340, stoppedDaysAgo: 385, by: 'bench' },
    ],
  },
  {
    id: 'wren-flute',
    playerId: 'wren',
    name: 'Bamboo flute',
    kind: 'bamboo-flute',
    build: { body: 'bamboo', pieces: 'two-piece' },
    acquiredDaysAgo: 700,
    cameNew: false,
    plays: { chances: [0.5, 0.5, 0.5, 0.5, 0.4, 0.6, 0.7], minutes: [15, 50], endsAtMinute: [480, 1260] },
    packsUp: 1,
    hurries: 0,
    care: [{ item: 'swab/wash', everyDays: 7 }],
  },
  {
    id: 'wren-pipes',
    playerId: 'wren',
    name: 'Pipes',
    kind: 'highland-pipes',
    build: { bag: 'synthetic', blowpipe: 'plastic', blowpipeValve: 'in-line', waterTrap: 'yes' },
    acquiredDaysAgo: 1500,
    cameNew: false,
    plays: { chances: [0, 0.1, 0, 0.3, 0, 0.6, 0.4], minutes: [25, 80], endsAtMinute: [900, 1200] },
    packsUp: 1,
    hurries: 0.1,
    onTheWay: true,
    care: [
      { item: 'highland-pipes/stocks-hold', everyDays: 8 },
      { item: 'highland-pipes/mould', everyDays: 30, stoppedDaysAgo: 47 },
    ],
  },
  {
    id: 'ife-alto',
    playerId: 'ife',
    name: 'School alto',
    kind: 'alto-saxophone',
    build: { finish: 'lacquer', pads: 'leather', mouthpiece: 'plastic' },
    acquiredDaysAgo: 9,
    cameNew: false,
    plays: { chances: [0.6, 0.4, 0.7, 0.4, 0.6, 0.5, 0.3], minutes: [5, 15], endsAtMinute: [960, 1000] },
    packsUp: 1,
    hurries: 0,
    // Her first weeks on it: mouthpiece and neck, and the body stays in the case.
    alone: 'mouthpiece-and-neck',
    care: [],
  },
];

/** Weeks without playing, in days before today: holidays, and a theatre's dark weeks. */
export const DEMO_GAPS: readonly { readonly from: number; readonly to: number }[] = [
  { from: 700, to: 688 },
  { from: 480, to: 462 },
  { from: 335, to: 326 },
  { from: 118, to: 97 },
];
