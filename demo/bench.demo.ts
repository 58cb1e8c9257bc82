import type { MeasureId, PlaceId, WayId } from '#core/book/measure.ts';
import type { TakenBy } from '#core/inspections/measures-for.ts';
import type { WorkId } from '#core/book/work.ts';
import type { BillSort } from '#core/costs/bill.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import { seeded } from '#demo/random.ts';

/** What was read of an instrument when it was looked over, so many days ago. */
export type DemoInspection = {
  readonly key: string;
  readonly instrumentId: InstrumentId;
  readonly daysAgo: number;
  readonly by: TakenBy;
  readonly readings: readonly {
    readonly measure: MeasureId;
    readonly place: PlaceId | null;
    readonly way: WayId;
    readonly value: number;
  }[];
};

const SEED = 30;

type Read = readonly [measure: MeasureId, place: PlaceId | null, way: WayId, values: readonly number[]];
type Told = {
  readonly of: string;
  readonly daysAgo: readonly number[];
  readonly by: TakenBy;
  readonly reads: readonly Read[];
};
const TOLD: readonly Told[] = [
  // The pads of a clarinet that is played daily: it holds a little shorter each time, and will not do so beyond spring.
  {
    of: 'marit-clarinet',
    daysAgo: [351, 290, 232, 175, 113, 62, 9],
    by: 'player',
    reads: [
      ['held-shut/upper-joint', null, 'sucked-shut', [8, 7, 7.5, 6, 6, 5, 4.5]],
      ['keyed/rattling-keys', null, 'by-hand', [0, 0, 0, 0, 0, 0, 0]],
      ['corked/fit', 'barrel', 'by-hand', [4, 4, 3, 4, 3, 3, 3]],
      ['corked/fit', 'upper-joint', 'by-hand', [4, 4, 4, 4, 4, 4, 4]],
      ['any/loose-in-case', null, 'by-ear', [0, 0, 0, 1, 0, 0, 0]],
    ],
  },
  // A valve that begins to hang, and a tuning slide that drags.
  {
    of: 'lucan-trumpet',
    daysAgo: [190, 158, 121, 95, 61, 33, 6],
    by: 'player',
    reads: [
      ['piston/return', 'first-valve', 'of-ten', [0, 0, 0, 0, 0, 0, 0]],
      ['piston/return', 'second-valve', 'of-ten', [0, 0, 0, 1, 0, 1, 1]],
      ['piston/return', 'third-valve', 'of-ten', [0, 0, 0, 0, 0, 0, 0]],
      ['brass/slide-pull', 'main-slide', 'by-hand', [2, 3, 3, 3, 3, 4, 4]],
      ['third-slide/pull', 'third-slide', 'by-hand', [1, 1, 1, 1, 1, 1, 1]],
      ['brass/water-key', null, 'under-water', [0, 0, 0, 0, 0, 0, 1]],
    ],
  },
];

/** What was paid or asked for an instrument, so many days ago, in cents. */
export type DemoBill = {
  readonly key: string;
  readonly instrumentId: InstrumentId;
  readonly daysAgo: number;
  readonly sort: BillSort;
  readonly works: readonly WorkId[];
  readonly what: string | null;
  readonly minor: number;
};
type Paid = readonly [
  of: string,
  daysAgo: number,
  sort: BillSort,
  works: readonly WorkId[],
  what: string | null,
  minor: number,
];
const PAID: readonly Paid[] = [
  ['marit-clarinet', 205, 'bill', ['service'], null, 11_800],
  ['marit-clarinet', 571, 'bill', ['service'], null, 10_900],
  ['marit-clarinet', 440, 'bill', ['recork'], 'Barrel tenon', 2600],
  ['marit-clarinet', 330, 'bill', [], 'A stand that folds', 3450],
  ['marit-alto', 95, 'bill', [], 'A strap', 2900],
  // Put off since: it still rattles.
  ['marit-piccolo', 40, 'quote', ['key-straightened'], null, 4200],
  ['lucan-trumpet', 290, 'bill', ['service'], null, 9600],
];
/** What Marit has put aside, in cents. */
export const DEMO_SAVED = { playerId: 'marit' as PlayerId, minor: 6500, daysAgo: 12 };

/** What instruments of the demo world cost. All of it is invented. */
export function demoBills(): DemoBill[] {
  const random = seeded(SEED + 1);
  return PAID.map(([of, daysAgo, sort, works, what, minor]) => ({
    key: random.key(),
    instrumentId: of as InstrumentId,
    daysAgo,
    sort,
    works,
    what,
    minor,
  }));
}

/** How instruments of the demo world were looked over. All of it is invented. */
export function demoInspections(): DemoInspection[] {
  const random = seeded(SEED);
  return TOLD.flatMap(({ of, daysAgo, by, reads }) =>
    daysAgo.map((days, at) => ({
      key: random.key(),
      instrumentId: of as InstrumentId,
      daysAgo: days,
      by,
      readings: reads.map(([measure, place, way, values]) => ({ measure, place, way, value: values[at] ?? 0 })),
    })),
  );
}
