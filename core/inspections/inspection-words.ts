import type { Mark } from '#core/explain/explained.ts';
import { asSentence, counted, listed, type Format } from '#core/explain/format.ts';
import type { WhyLine } from '#core/explain/explained.ts';
import type { MeasureUnit, MeasureWay, Place, WayId } from '#core/book/measure.ts';
import type { Grade } from '#core/inspections/grade.ts';
import { datesOf, type InspectionsStanding, type MeasureStanding } from '#core/inspections/inspections-standing.ts';
import type { ReadLine } from '#core/inspections/lines.ts';
import type { MeasureHere, TakenBy } from '#core/inspections/measures-for.ts';
import { mishapSaid } from '#core/faults/fault-words.ts';
import type { AfterMishap } from '#core/inspections/look-again.ts';
import { LEAST_READINGS, type Trend } from '#core/inspections/trend.ts';

export const GRADE_WORDS: Readonly<Record<Grade, string>> = {
  good: 'Good',
  sooner: 'Look again sooner',
  bench: 'For the bench',
};

export const WAY_WORDS: Readonly<Record<WayId, string>> = {
  'by-eye': 'by eye',
  'by-hand': 'by hand',
  feeler: 'with a feeler of paper',
  'sucked-shut': 'sucked shut',
  ruler: 'with a ruler',
  'feeler-gauge': 'with a feeler gauge',
  'spring-balance': 'with a spring balance',
  'spring-gauge': 'with a spring gauge',
  'of-ten': 'pressed ten times',
  'slow-film': 'filmed in slow motion',
  'under-water': 'under a film of water',
  'by-ear': 'by ear',
  'blown-full': 'blown full',
};

export const TAKEN_BY_WORDS: Readonly<Record<TakenBy, string>> = {
  player: 'the player',
  teacher: 'a teacher',
  bench: 'the bench',
};

const UNIT_AFTER: Readonly<Record<MeasureUnit, string>> = {
  count: '',
  degree: '',
  seconds: ' s',
  millimetres: ' mm',
  newtons: ' N',
  grams: ' g',
};
/** What stands after a number of this unit, and on the axis of its chart. */
export const unitAfter = (unit: MeasureUnit): string => UNIT_AFTER[unit];

/** A number with its unit: "2.5 s", "4 of 5", "3". */
export function valueWords({ unit, range }: Pick<MeasureWay, 'unit' | 'range'>, value: number, format: Format): string {
  const written = format.number(value);
  return unit === 'degree' ? `${written} of ${format.number(range.most)}` : `${written}${UNIT_AFTER[unit]}`;
}

/** A reading with what its number means: "4 of 5, heavy", "3 keys". */
export function readingWords(way: MeasureWay, value: number, format: Format): string {
  const said = way.says?.[value];
  if (said === undefined) return valueWords(way, value, format);
  return way.unit === 'degree' ? `${valueWords(way, value, format)}, ${said}` : said;
}

/** What is read, and where: "Pull of the slide: tuning slide". */
export const measureWords = ({ name }: Pick<MeasureHere, 'name'>, place: Pick<Place, 'name'> | null): string =>
  place === null ? name : `${name}: ${place.name}`;

const DAYS_A_MONTH = 30.44;
const spanWords = (from: string, to: string): string => (from === to ? `about ${from}` : `between ${from} and ${to}`);

/** Where a line goes, in one or two sentences. */
export function trendWords(trend: Trend, line: ReadLine, format: Format): string {
  const aMonth = trend.line.slope * DAYS_A_MONTH;
  const unit = UNIT_AFTER[line.way.unit];
  const dates = datesOf(trend);
  // Less than can be read in ten years is no way anywhere.
  if (trend.line.slope === 0 || Math.abs(aMonth) * 120 < line.way.range.step) return 'It stays as it is.';
  const way = `It ${aMonth > 0 ? 'rises' : 'falls'} by about ${amountWords(Math.abs(aMonth), format)}${unit} a month.`;
  if (trend.limit === null) return way;
  const limit = `${format.number(trend.limit)}${unit}`;
  if (dates === null) return `${way} It is not to be seen that it reaches ${limit}, where work for the bench begins.`;
  return dates.to === null
    ? `${way} It reaches ${limit}, where work for the bench begins, not before ${format.date(dates.from)}.`
    : `${way} It probably reaches ${limit}, where work for the bench begins, ${spanWords(format.date(dates.from), format.date(dates.to))}.`;
}

/** Small amounts keep a figure that says something: 0.04, 0.3, 2. */
const amountWords = (amount: number, format: Format): string =>
  amount >= 0.1 ? format.number(amount) : String(Number(amount.toPrecision(1)));

/** Where it goes, or why nobody knows yet. */
export function lineWords({ measure, lines, newest, trend }: MeasureStanding, format: Format): string {
  const line = lines.at(-1);
  if (line === undefined) return 'Not read yet.';
  if (newest === null) return 'Seen to since it was last read. Read it again to know how it stands.';
  if (measure.noLine) return 'It is another one each time: no line is drawn.';
  const found = trend();
  if (found) return trendWords(found, line, format);
  const more = LEAST_READINGS - line.reads.length;
  const begins = {
    repair: ' A new line began after it was seen to.',
    way: ' A new line began when it was read in another way.',
  };
  const why = line.begins === null ? '' : begins[line.begins];
  return more > 0
    ? `${asSentence(counted(more, 'more reading'))} until a line can be drawn.${why}`
    : `All readings are of one day: read it on another.${why}`;
}

const mishapLine = ({ mishap, on }: AfterMishap['mishap'], format: Format): string =>
  `${mishapSaid(mishap)} on ${format.date(on)}.`;

/** Why it is looked at again on that day. */
export function againWords({ again, measure }: MeasureStanding, format: Format): string | null {
  if (again === null) return null;
  if (again.because === 'mishap') return `${mishapLine(again.mishap, format)} Look at it now.`;
  const days = counted(again.days, 'day');
  const why = {
    book: `every ${counted(measure.every.value, 'day')}`,
    longer: `after ${days}: it was good three times running`,
    'twice-as-long': `after ${days}: it was good six times running`,
    sooner: `after ${days}: it was not quite good`,
    bench: `after ${days}, if the bench has not had it by then`,
    'never-longer': `every ${days}, however good it reads`,
  }[again.because];
  return `Look again on ${format.date(again.on)}, ${why}.`;
}

/** The limits of a way, in words: what is good, what is looked at sooner, where the bench begins. */
export function limitsWords(way: MeasureWay, format: Format): string {
  const { good, sooner } = way.limits;
  const unit = UNIT_AFTER[way.unit];
  const one = ({ least, most, below }: typeof good): string => {
    const [low, high] = [least ?? way.range.least, most ?? below];
    if (below !== undefined) return `below ${format.number(below)}${unit}`;
    if (high === undefined || high >= way.range.most) return `${format.number(low)}${unit} or more`;
    if (low === high) return `${format.number(low)}${unit}`;
    return low <= way.range.least
      ? `up to ${format.number(high)}${unit}`
      : `${format.number(low)}–${format.number(high)}${unit}`;
  };
  if (sooner === undefined) return `Good is ${one(good)}. Anything else is looked at again sooner.`;
  const isSame = one(good) === one(sooner);
  return isSame
    ? `Good is ${one(good)}. Anything else is work for the bench.`
    : `Good is ${one(good)}. Within ${one(sooner)} it is looked at again sooner. Beyond that it is work for the bench.`;
}

/** Everything that speaks for how something stands. */
export function measureWhy(standing: MeasureStanding, format: Format): WhyLine[] {
  const { measure, lines, newest } = standing;
  const line = lines.at(-1);
  const way = line?.way ?? measure.ways[0];
  const again = againWords(standing, format);
  const mark: Mark = 'yours';
  return [
    { rule: 'limits', text: limitsWords(way, format), mark: way.mark },
    ...(line && newest
      ? [
          {
            rule: 'read',
            text: `Read ${counted(line.reads.length, 'time')} ${WAY_WORDS[way.id]}, last by ${TAKEN_BY_WORDS[newest.by]}.`,
            mark,
          },
        ]
      : []),
    ...(measure.spreads && newest?.grade === 'bench'
      ? [
          {
            rule: 'spreads',
            text: `What grows within ${counted(measure.spreads.withinDays.value, 'day')} is work for the bench, however little it is.`,
            mark: measure.spreads.withinDays.mark,
          },
        ]
      : []),
    ...(again === null ? [] : [{ rule: 'again', text: again, mark: measure.every.mark }]),
  ];
}

/** What holds for every reading. */
export const TAKEN_WORDS =
  'Read in the room, on a dry instrument, before anything is oiled or greased. Read it each time in the same way.';

/** How an instrument stands by what was read of it, in one or two sentences. */
export function headlineOf({ standing }: InspectionsStanding, format: Format): string {
  const named = (grade: Grade): string[] =>
    standing.flatMap(({ measure, place, newest }) =>
      newest?.grade === grade ? [measureWords(measure, place).toLowerCase()] : [],
    );
  const [bench, sooner] = [named('bench'), named('sooner')];
  const read = standing.filter(({ newest }) => newest !== null).length;
  if (read === 0)
    return 'Nothing has been read yet. The first inspection tells where you stand, the fifth where it goes.';
  if (bench.length > 0) return `For the bench: ${listed(bench)}.`;
  if (sooner.length > 0) return `Look again sooner: ${listed(sooner)}.`;
  const heading = standing.flatMap((one) => {
    const trend = one.trend();
    const dates = trend && datesOf(trend);
    return dates === null ? [] : [{ from: dates.from, words: measureWords(one.measure, one.place).toLowerCase() }];
  });
  const [first] = heading.toSorted((a, b) => (a.from < b.from ? -1 : 1));
  return first === undefined
    ? 'All that was read is good.'
    : `All that was read is good. The first to reach its limit: ${first.words}, not before ${format.date(first.from)}.`;
}

/** An inspection as it stands in the record. */
export const inspectionSaid = (count: number, by: TakenBy): string =>
  `Looked over: ${counted(count, 'reading')}, by ${TAKEN_BY_WORDS[by]}`;

/** "Measure it again: pull of the slide, shank": at most so many are named, and first what happened to it. */
export function looksDueWords(due: readonly MeasureStanding[], format: Format): string {
  const after = due.flatMap(({ again }) => (again?.because === 'mishap' ? [again.mishap] : [])).at(-1);
  const names = [...new Set(due.map(({ measure }) => measure.name.toLowerCase()))];
  const shown =
    names.length > LOOKS_NAMED ? [...names.slice(0, LOOKS_NAMED), `${names.length - LOOKS_NAMED} more`] : names;
  return after === undefined
    ? `Measure it again: ${listed(shown)}`
    : `${mishapLine(after, format)} Look it over: ${listed(shown)}`;
}
const LOOKS_NAMED = 3;
