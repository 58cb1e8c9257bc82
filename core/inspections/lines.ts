import type { MeasureId, MeasureWay, PlaceId, WayId } from '#core/book/measure.ts';
import type { WorkDone } from '#core/calendar/event.ts';
import type { InspectionNoted } from '#core/inspections/inspection.ts';
import { wayOf, type MeasureHere, type TakenBy } from '#core/inspections/measures-for.ts';
import type { LocalDate } from '#core/time/local-date.ts';

/** A number on its day, and who read it. */
export type ReadOn = { readonly on: LocalDate; readonly value: number; readonly by: TakenBy; readonly key: string };

/** Readings that can be compared: of one thing, taken in one way, with no repair between them; oldest first. */
export type ReadLine = {
  readonly way: MeasureWay;
  readonly reads: readonly [ReadOn, ...ReadOn[]];
  /** Why it begins where it does; null where it is the first. */
  readonly begins: 'repair' | 'way' | null;
};

/** What was done at the bench, and when. */
export type DoneOn = readonly WorkDone[];

const renews = ({ renewedBy, work }: MeasureHere, { itemIds, works }: WorkDone): boolean =>
  works.includes(work) || itemIds.some((id) => renewedBy.includes(id));

type Taken = ReadOn & { readonly way: WayId };
/** Everything that was read, by what and where: gathered once, however much there is to be read. */
export type TakenOf = ReadonlyMap<string, readonly Taken[]>;

const nameOf = (measure: MeasureId, place: PlaceId | null): string => `${measure} ${place ?? ''}`;

/** The readings of all inspections by what was read, each in the order of its days; of one day in that of the entries. */
export function gathered(inspections: readonly InspectionNoted[]): TakenOf {
  const sorted = inspections.toSorted((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0));
  const of = new Map<string, Taken[]>();
  for (const { on, by, key, readings } of sorted)
    for (const { measure, place, way, value } of readings) {
      const name = nameOf(measure, place);
      const known = of.get(name) ?? [];
      if (known.length === 0) of.set(name, known);
      known.push({ on, value, by, key, way });
    }
  return of;
}

/** Was it renewed after one reading and before the next, or on the day of the next: it is read once it is back? */
const renewedBetween = (days: readonly LocalDate[], before: LocalDate, next: LocalDate): boolean =>
  days.some((day) => day > before && day <= next);

/**
 * Every line through the readings of one thing at one place, the oldest first. A repair begins a new one, and so does a
 * way of reading that changed; on one day and in one way the later entry stands.
 */
export function linesOf(measure: MeasureHere, place: PlaceId | null, taken: TakenOf, done: DoneOn): ReadLine[] {
  const renewed = done.filter((one) => renews(measure, one)).map(({ on }) => on);
  const lines: { way: MeasureWay; reads: [ReadOn, ...ReadOn[]]; begins: ReadLine['begins'] }[] = [];
  /** Why a reading does not go on the line that is open; null where it does. */
  const beginsAfter = (open: (typeof lines)[number], way: MeasureWay, on: LocalDate): ReadLine['begins'] => {
    const last = open.reads.at(-1);
    if (last !== undefined && renewedBetween(renewed, last.on, on)) return 'repair';
    return open.way.id === way.id ? null : 'way';
  };
  for (const { way: wayId, ...read } of taken.get(nameOf(measure.id, place)) ?? []) {
    const way = wayOf(measure, wayId);
    const open = lines.at(-1);
    if (way === undefined) continue;
    const begins = open && beginsAfter(open, way, read.on);
    if (open === undefined || begins) lines.push({ way, reads: [read], begins: begins ?? null });
    else if (open.reads.at(-1)?.on === read.on) open.reads[open.reads.length - 1] = read;
    else open.reads.push(read);
  }
  return lines;
}

/** Has what is read been renewed since it was last read: then nobody knows how it stands now? */
export const isRenewedSince = (measure: MeasureHere, last: LocalDate, done: DoneOn): boolean =>
  done.some((one) => one.on > last && renews(measure, one));
