import type { Book } from '#core/book/book.ts';
import type { Place } from '#core/book/measure.ts';
import { gradeOf, limitAhead, type Grade } from '#core/inspections/grade.ts';
import type { InspectionNoted } from '#core/inspections/inspection.ts';
import {
  gathered,
  isRenewedSince,
  linesOf,
  type DoneOn,
  type ReadLine,
  type ReadOn,
  type TakenOf,
} from '#core/inspections/lines.ts';
import { callsForALook } from '#core/inspections/after-mishap.ts';
import { lookAgain, type LookAgain } from '#core/inspections/look-again.ts';
import { mayTake, measuresFor, type MeasureHere } from '#core/inspections/measures-for.ts';
import { MOST_READINGS, trendOf, type Trend } from '#core/inspections/trend.ts';
import type { MishapNoted } from '#core/faults/fault-record.ts';
import type { Instrument } from '#core/instruments/instrument.ts';
import type { Standing } from '#core/players/player.ts';
import { dateOfDay, dayNumber, type LocalDate } from '#core/time/local-date.ts';

/** One thing that is measured, at one place, as it stands. */
export type MeasureStanding = {
  readonly measure: MeasureHere;
  readonly place: Place | null;
  /** Every line, the oldest first; none where it was never read. */
  readonly lines: readonly ReadLine[];
  /** Its newest reading and what that says; null where it was never read, or was renewed since. */
  readonly newest: (ReadOn & { readonly grade: Grade }) | null;
  /** Where the newest line goes; null with too few readings. Worked out when it is asked for. */
  readonly trend: () => Trend | null;
  /** Null where it was never read and nothing happened to it: then it is looked at with the next inspection. */
  readonly again: LookAgain | null;
};

export type InspectionsStanding = {
  /** Everything that can be measured on it. */
  readonly measures: readonly MeasureHere[];
  readonly standing: readonly MeasureStanding[];
};

/** A rise within the days in which any is work for the bench. */
function hasSpread({ spreads }: MeasureHere, { reads }: ReadLine): boolean {
  const last = reads.at(-1);
  if (spreads === undefined || last === undefined) return false;
  const since = dayNumber(last.on) - spreads.withinDays.value;
  return reads.some(({ on, value }) => dayNumber(on) >= since && value < last.value);
}

function gradeNow(measure: MeasureHere, line: ReadLine, value: number): Grade {
  const grade = gradeOf(line.way.limits, value);
  return grade !== 'good' && hasSpread(measure, line) ? 'bench' : grade;
}

/** Trends that were worked out, by all they hang on: after a new reading the other lines go where they went before. */
const trendsKnown = new Map<string, Trend | null>();
const TRENDS_KEPT = 4000;

function trendOfLine(measure: MeasureHere, line: ReadLine, today: LocalDate): Trend | null {
  if (measure.noLine) return null;
  const points = line.reads.slice(-MOST_READINGS).map(({ on, value }) => ({ day: dayNumber(on), value }));
  const name = [today, measure.id, line.way.id, ...points.map(({ day, value }) => `${day}:${value}`)].join(' ');
  const known = trendsKnown.get(name);
  if (known !== undefined) return known;
  const trend = trendOf(points, (rises) => limitAhead(line.way, rises), dayNumber(today));
  if (trendsKnown.size >= TRENDS_KEPT) trendsKnown.clear();
  trendsKnown.set(name, trend);
  return trend;
}

type Known = {
  readonly taken: TakenOf;
  readonly done: DoneOn;
  readonly today: LocalDate;
  readonly callingFor: (measure: MeasureHere, readOn: LocalDate | null) => LookAgain | null;
};

function standingOf(measure: MeasureHere, place: Place | null, known: Known): MeasureStanding {
  const { taken, done, today, callingFor } = known;
  const lines = linesOf(measure, place?.id ?? null, taken, done);
  const line = lines.at(-1);
  const last = line?.reads.at(-1);
  if (line === undefined || last === undefined || isRenewedSince(measure, last.on, done))
    return { measure, place, lines, newest: null, trend: () => null, again: callingFor(measure, last?.on ?? null) };
  const grade = gradeNow(measure, line, last.value);
  let trend: { readonly found: Trend | null } | undefined;
  return {
    measure,
    place,
    lines,
    newest: { ...last, grade },
    trend: () => (trend ??= { found: trendOfLine(measure, line, today) }).found,
    again: callingFor(measure, last.on) ?? lookAgain(measure, line, grade),
  };
}

/** Works out how everything that was measured on an instrument stands; nothing is stored. Readings still to come are left out. */
export function inspectionsStanding(
  book: Book,
  { kind, build }: Pick<Instrument, 'kind' | 'build'>,
  inspections: readonly InspectionNoted[],
  {
    today,
    done,
    mishaps,
  }: { readonly today: LocalDate; readonly done: DoneOn; readonly mishaps: readonly MishapNoted[] },
): InspectionsStanding {
  const measures = measuresFor(book, kind, build);
  const callingFor = callsForALook(book, mishaps, { today, done });
  const taken = gathered(inspections.filter(({ on }) => on <= today));
  const standing = measures.flatMap((measure) =>
    (measure.places ?? [null]).map((place) => standingOf(measure, place, { taken, done, today, callingFor })),
  );
  return { measures, standing };
}

/** The days between which a trend probably reaches its limit, as dates. */
export const datesOf = ({ reaches }: Trend): { readonly from: LocalDate; readonly to: LocalDate | null } | null =>
  reaches && { from: dateOfDay(reaches.from), to: reaches.to === null ? null : dateOfDay(reaches.to) };

/** What is to be looked at again by now and can be read by whoever plays it; what only others read is not asked of them. */
export const looksDue = (
  { standing }: InspectionsStanding,
  today: LocalDate,
  player: Standing,
): readonly MeasureStanding[] =>
  standing.filter(
    ({ measure, again }) =>
      again !== null && again.on <= today && measure.ways.some((way) => mayTake(measure, way, 'player', player)),
  );

/** The day something is to be looked at again; null where nothing was ever read. */
export function nextLook({ standing }: InspectionsStanding): LocalDate | null {
  const days = standing.flatMap(({ again }) => (again === null ? [] : [again.on]));
  return days.sort()[0] ?? null;
}
