import type { MeasureId, PlaceId, WayId } from '#core/book/measure.ts';
import { isReadable } from '#core/inspections/grade.ts';
import { mayTake, wayOf, type MeasureHere, type TakenBy } from '#core/inspections/measures-for.ts';
import type { Standing } from '#core/players/player.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';

/** One number that was read: of what, where, how, and what it was. */
export type Reading = {
  readonly measure: MeasureId;
  /** Where there are several; else null. */
  readonly place: PlaceId | null;
  readonly way: WayId;
  readonly value: number;
};

/** An instrument looked over on a day: every number of it was taken by one hand. */
export type Inspection = {
  readonly on: LocalDate;
  readonly by: TakenBy;
  readonly readings: readonly Reading[];
};
/** As the record has it. */
export type InspectionNoted = Inspection & { readonly key: string };

/** More is not read in one go: every line of the longest kind, at every place. */
export const MOST_IN_ONE = 60;
/** Readings from longer ago say nothing of where it stands. */
const FURTHEST_BACK_DAYS = 3653;

export type InspectionRefusal =
  | { readonly code: 'inspection-in-future' | 'inspection-too-old' | 'inspection-before-it-came'; readonly field: 'on' }
  | {
      readonly code: 'reading-of-nothing-here' | 'reading-twice' | 'reading-not-so' | 'reading-not-alone';
      readonly field: 'readings';
    };

/** Why one reading is none; null where it may stand. */
function readingRefusal(
  { measure: id, place, way: wayId, value }: Reading,
  here: readonly MeasureHere[],
  { by, standing }: { readonly by: TakenBy; readonly standing: Standing },
): Extract<InspectionRefusal, { readonly field: 'readings' }>['code'] | null {
  const measure = here.find((one) => one.id === id);
  const way = measure && wayOf(measure, wayId);
  const isThere = measure?.places === null ? place === null : measure?.places.some((one) => one.id === place) === true;
  if (!measure || !way || !isThere) return 'reading-of-nothing-here';
  if (!isReadable(way, value)) return 'reading-not-so';
  return mayTake(measure, way, by, standing) ? null : 'reading-not-alone';
}

/** Why an inspection is none; null where it may be written down. */
export function inspectionRefusal(
  { on, by, readings }: Inspection,
  here: readonly MeasureHere[],
  { today, cameOn, standing }: { readonly today: LocalDate; readonly cameOn: LocalDate; readonly standing: Standing },
): InspectionRefusal | null {
  if (on > today) return { code: 'inspection-in-future', field: 'on' };
  if (on < addDays(today, -FURTHEST_BACK_DAYS)) return { code: 'inspection-too-old', field: 'on' };
  if (on < cameOn) return { code: 'inspection-before-it-came', field: 'on' };
  const said = new Set(readings.map(({ measure, place }) => `${measure} ${place ?? ''}`));
  if (said.size < readings.length) return { code: 'reading-twice', field: 'readings' };
  const [code] = readings.flatMap((one) => readingRefusal(one, here, { by, standing }) ?? []);
  return code === undefined ? null : { code, field: 'readings' };
}
