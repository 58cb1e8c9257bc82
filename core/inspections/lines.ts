import type { MeasureWay, PlaceId } from '#core/book/measure.ts';
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

type Taken = ReadOn & { readonly way: MeasureWay };

/** Was it renewed after one reading and before the next, or on the day of the next: it is read once it is back? */
const renewedBetween = (days: readonly LocalDate[], before: LocalDate, next: LocalDate): boolean =>
  days.some((day) => day > before && day <= next);

/**
 * Every line through the readings of one thing at one place, the oldest first. A repair begins a new one, and so does a
 * way of reading that changed; on one day and in one way the later entry stands.
 */
export function linesOf(
  measure: MeasureHere,
  place: PlaceId | null,
  inspections: readonly InspectionNoted[],
  done: DoneOn,
): ReadLine[] {
  const taken = inspections
    .flatMap(({ on, by, key, readings }) =>
      readings.flatMap((one): Taken[] => {
        const way = one.measure === measure.id && one.place === place ? wayOf(measure, one.way) : undefined;
        return way ? [{ on, value: one.value, by, key, way }] : [];
      }),
    )
    .toSorted((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0));
  const renewed = done.filter((one) => renews(measure, one)).map(({ on }) => on);
  const lines: { way: MeasureWay; reads: [ReadOn, ...ReadOn[]]; begins: ReadLine['begins'] }[] = [];
  for (const { way, ...read } of taken) {
    const open = lines.at(-1);
    const last = open?.reads.at(-1);
    const isRenewed = last !== undefined && renewedBetween(renewed, last.on, read.on);
    if (open === undefined || isRenewed || open.way.id !== way.id)
      lines.push({ way, reads: [read], begins: open === undefined ? null : isRenewed ? 'repair' : 'way' });
    else if (last?.on === read.on) open.reads[open.reads.length - 1] = read;
    else open.reads.push(read);
  }
  return lines;
}

/** Has what is read been renewed since it was last read: then nobody knows how it stands now? */
export const isRenewedSince = (measure: MeasureHere, last: LocalDate, done: DoneOn): boolean =>
  done.some((one) => one.on > last && renews(measure, one));
