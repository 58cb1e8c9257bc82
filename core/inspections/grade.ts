import type { MeasureWay, ReadingLimits, Span } from '#core/book/measure.ts';
import { checkNumber } from '#core/kernel/check-number.ts';

/** What a reading says: well, to be looked at sooner, or work for the bench. */
export const GRADES = ['good', 'sooner', 'bench'] as const;
export type Grade = (typeof GRADES)[number];

const isWithin = ({ least, most, below }: Span, value: number): boolean =>
  (least === undefined || value >= least) &&
  (most === undefined || value <= most) &&
  (below === undefined || value < below);

/** What a reading says by its limits. @throws RangeError for what is no number */
export function gradeOf({ good, sooner }: ReadingLimits, value: number): Grade {
  checkNumber('a reading', value, { least: -Number.MAX_SAFE_INTEGER });
  if (isWithin(good, value)) return 'good';
  return sooner === undefined || isWithin(sooner, value) ? 'sooner' : 'bench';
}

/** Can this be read at all: within the range of its way, no finer than it can be read? Steps are compared in whole ones. */
export function isReadable({ range: { least, most, step } }: Pick<MeasureWay, 'range'>, value: number): boolean {
  if (!Number.isFinite(value) || value < least || value > most) return false;
  const steps = (value - least) / step;
  return Math.abs(steps - Math.round(steps)) < 1e-6;
}

/** Things that are counted, and steps of a scale, come in whole ones. */
const inWholeOnes = ({ unit }: Pick<MeasureWay, 'unit'>): boolean => unit === 'count' || unit === 'degree';

/**
 * Where work for the bench begins on the side a line heads for: of what comes in whole ones the first reading that is, of
 * anything else the end of what is not yet. Null where that side has no such end.
 *
 * @param rises the way it goes
 */
export function limitAhead(way: Pick<MeasureWay, 'unit' | 'limits' | 'range'>, rises: boolean): number | null {
  const { sooner } = way.limits;
  const end = rises ? (sooner?.most ?? sooner?.below) : sooner?.least;
  if (end === undefined) return null;
  return inWholeOnes(way) ? end + (rises ? 1 : -1) * way.range.step : end;
}

/**
 * The reading that is offered as good before anything is said; null where a number has to be measured: nobody is made to
 * say that it held five seconds.
 */
export function goodReading(way: Pick<MeasureWay, 'unit' | 'range' | 'limits'>): number | null {
  const { good } = way.limits;
  const least = good.least ?? way.range.least;
  if (!inWholeOnes(way) && good.most !== way.range.least) return null;
  return good.most === undefined ? least : Math.floor((least + good.most + 1) / 2);
}
