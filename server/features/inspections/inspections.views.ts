import type { MeasureWay } from '#core/book/measure.ts';
import type { Format } from '#core/explain/format.ts';
import { goodReading } from '#core/inspections/grade.ts';
import {
  GRADE_WORDS,
  headlineOf,
  limitsWords,
  lineWords,
  measureWhy,
  readingWords,
  TAKEN_WORDS,
  unitAfter,
  WAY_WORDS,
} from '#core/inspections/inspection-words.ts';
import { datesOf, nextLook, type MeasureStanding } from '#core/inspections/inspections-standing.ts';
import { mayTake, TAKEN_BY, type MeasureHere } from '#core/inspections/measures-for.ts';
import type { Trend } from '#core/inspections/trend.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import type { Standing } from '#core/players/player.ts';
import { dateOfDay, dayNumber, type LocalDate } from '#core/time/local-date.ts';
import type { InspectionsPage, MeasureView, WayView } from '#contract/inspections.ts';
import { noInstrument, type Failure } from '#server/failure.ts';
import type { Services } from '#server/services.ts';

/** Of a line so many of its newest readings are drawn, and of the lines so many. */
const DRAWN_READINGS = 60;
const DRAWN_LINES = 4;
/** How far ahead of today a straight line is drawn at most, days. */
const DRAWN_AHEAD = 548;

function wayView(measure: MeasureHere, way: MeasureWay, standing: Standing, format: Format): WayView {
  const { range, limits } = way;
  return {
    way: way.id,
    words: WAY_WORDS[way.id],
    how: way.how,
    tool: way.tool ?? null,
    unit: way.unit,
    unitAfter: unitAfter(way.unit),
    ...range,
    says: Object.entries(way.says ?? {}).map(([value, words]) => ({ value: Number(value), words: words ?? '' })),
    good: goodReading(way),
    limits: limitsWords(way, format),
    goodFrom: limits.good.least ?? null,
    goodTo: limits.good.most ?? limits.good.below ?? null,
    hands: TAKEN_BY.filter((by) => mayTake(measure, way, by, standing)),
  };
}

/** From its first reading to where it reaches its limit, or as far as is drawn. */
function straightOf({ line, reaches }: Trend, first: LocalDate, today: LocalDate): MeasureView['straight'] {
  const furthest = dayNumber(today) + DRAWN_AHEAD;
  const to = Math.min(furthest, reaches?.to ?? reaches?.from ?? dayNumber(today) + 91);
  return [dayNumber(first), Math.max(to, dayNumber(today))].map((day) => ({
    on: dateOfDay(day),
    value: Number((line.atZero + line.slope * day).toFixed(3)),
  }));
}

/** What was read last, with what it says. */
function newestView({ newest, lines }: MeasureStanding, format: Format): MeasureView['newest'] {
  const line = lines.at(-1);
  if (newest === null || line === undefined) return null;
  const { on, value, grade } = newest;
  return { on, value, words: readingWords(line.way, value, format), grade, gradeWords: GRADE_WORDS[grade] };
}

/** Where its newest line goes. */
function aheadView(
  { lines, trend }: MeasureStanding,
  today: LocalDate,
): Pick<MeasureView, 'limit' | 'straight' | 'reaches'> {
  const [line, found] = [lines.at(-1), trend()];
  if (line === undefined || found === null) return { limit: null, straight: null, reaches: null };
  return { limit: found.limit, straight: straightOf(found, line.reads[0].on, today), reaches: datesOf(found) };
}

type Shown = { readonly today: LocalDate; readonly standing: Standing; readonly format: Format };

function measureView(one: MeasureStanding, { today, standing, format }: Shown): MeasureView {
  const { measure, place, lines, again } = one;
  return {
    measure: measure.id,
    place: place?.id ?? null,
    name: measure.name,
    placeName: place?.name ?? null,
    ways: measure.ways.map((way) => wayView(measure, way, standing, format)),
    newest: newestView(one, format),
    way: lines.at(-1)?.way.id ?? null,
    lines: lines.slice(-DRAWN_LINES).map(({ begins, reads }) => ({
      begins,
      points: reads.slice(-DRAWN_READINGS).map(({ on, value }) => ({ on, value })),
    })),
    words: lineWords(one, format),
    ...aheadView(one, today),
    again: again?.on ?? null,
    stops: measure.stops === true,
    because: measureWhy(one, format),
  };
}

/** Everything that can be measured on an instrument, and how it stands. */
export function inspectionsPageOf(
  { readings, format }: Services,
  id: string,
  today: LocalDate,
): Outcome<InspectionsPage, Failure> {
  const reading = readings.of(id);
  if (!reading) return fail(noInstrument());
  const { instrument, player } = reading;
  const { inspections } = reading.situation(today);
  return succeed({
    instrumentId: instrument.id,
    playerId: player.id,
    today,
    name: instrument.name,
    cameOn: instrument.acquiredOn,
    measures: inspections.standing.map((one) => measureView(one, { today, standing: player.standing, format })),
    headline: headlineOf(inspections, format),
    nextOn: nextLook(inspections),
    taken: TAKEN_WORDS,
  });
}
