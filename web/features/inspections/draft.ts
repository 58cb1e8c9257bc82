import type { Said } from '#contract/fact.ts';
import type { inspectionFact, MeasureView, WayView } from '#contract/inspections.ts';
import type { TakenBy } from '#core/inspections/measures-for.ts';
import type { WayId } from '#core/book/measure.ts';
import { FORMAT } from '#web/clock/format.ts';

type Readings = Said<typeof inspectionFact>['readings'];

/** One thing of an inspection that is asked: what is shown, and what has been said of it. */
export type Asked = {
  readonly measure: MeasureView;
  readonly way: WayView;
  /** What is shown; null where nothing is offered and nothing was typed. */
  readonly value: number | null;
  /** It stays as it is shown; a thing nobody has said anything of is not part of the inspection. */
  readonly isSaid: boolean;
};

const sameThing = (
  one: Pick<MeasureView, 'measure' | 'place'>,
  other: Pick<MeasureView, 'measure' | 'place'>,
): boolean => one.measure === other.measure && one.place === other.place;

/** What is asked where this hand reads: each in the way it was read last, where that hand may. */
export function askedBy(measures: readonly MeasureView[], by: TakenBy, said: Readings = []): Asked[] {
  return measures.flatMap((measure): Asked[] => {
    const ways = measure.ways.filter(({ hands }) => hands.includes(by));
    const before = said.find((one) => sameThing(one, measure));
    const way = ways.find((one) => one.way === (before?.way ?? measure.way)) ?? ways[0];
    if (way === undefined) return [];
    const value = before?.value ?? way.good;
    return [{ measure, way, value, isSaid: before !== undefined }];
  });
}

/** Another way to read it: what was shown was read otherwise. */
export const readOtherwise = (asked: Asked, way: WayId): Asked => {
  const other = asked.measure.ways.find((one) => one.way === way) ?? asked.way;
  return { ...asked, way: other, value: other.good, isSaid: false };
};

/** A step up or down, within what can be read. From nothing it begins at the end of what is good. */
export function stepped({ way, value }: Pick<Asked, 'way' | 'value'>, steps: number): number {
  const from = value ?? (way.goodFrom ?? way.least) - steps * way.step;
  const next = Math.min(way.most, Math.max(way.least, from + steps * way.step));
  return Number(next.toFixed(6));
}

/** A number as it was typed, where it can be read so. */
export function typedReading(way: WayView, typed: string): number | null {
  const value = Number(typed.replace(',', '.'));
  if (typed.trim() === '' || !Number.isFinite(value) || value < way.least || value > way.most) return null;
  const steps = (value - way.least) / way.step;
  return Math.abs(steps - Math.round(steps)) < 1e-6 ? value : null;
}

/** "3, smooth", "4.5 s". */
export function shownReading({ says, unitAfter }: WayView, value: number | null): string {
  if (value === null) return '–';
  const words = says.find((one) => one.value === value)?.words;
  const figure = `${FORMAT.number(value)}${unitAfter}`;
  return words === undefined ? figure : `${figure}, ${words}`;
}

/** What is kept of an inspection: what was said, and nothing else. */
export const readingsOf = (asked: readonly Asked[]): Readings =>
  asked.flatMap(({ measure, way, value, isSaid }) =>
    isSaid && value !== null ? [{ measure: measure.measure, place: measure.place, way: way.way, value }] : [],
  );
