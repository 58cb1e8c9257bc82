import { estimate, type Marked } from '#core/explain/explained.ts';
import { gradeOf, type Grade } from '#core/inspections/grade.ts';
import type { ReadLine } from '#core/inspections/lines.ts';
import type { MeasureHere } from '#core/inspections/measures-for.ts';
import type { MishapNoted } from '#core/faults/fault-record.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';

/** How often "good" has to be read running until it is looked at more seldom, and by how much; and sooner (estimates). */
const RUNNING = 3;
const LONGER: readonly [Marked, Marked] = [estimate(1.5), estimate(2)];
const SOONER = estimate(0.5);

/** When it is looked at again, and what moved that day. */
export type LookAgain =
  | {
      readonly on: LocalDate;
      readonly days: number;
      readonly because: 'book' | 'longer' | 'twice-as-long' | 'sooner' | 'never-longer' | 'bench';
    }
  | AfterMishap;
/** Something happened to it that may have moved what is read. */
export type AfterMishap = {
  readonly on: LocalDate;
  readonly days: 0;
  readonly because: 'mishap';
  readonly mishap: Pick<MishapNoted, 'mishap' | 'on'>;
};

/** How many readings at the end of a line are good, without one between that is not. */
function goodRunning({ way, reads }: ReadLine): number {
  let running = 0;
  for (const { value } of reads.toReversed()) {
    if (gradeOf(way.limits, value) !== 'good') break;
    running += 1;
  }
  return running;
}

/**
 * When it is looked at again: as the book says; after three good readings running one and a half times as long, after
 * three more twice as long; after one that is to be looked at sooner half as long. Never longer where the book forbids it.
 *
 * @param line the newest; its last reading counts
 */
export function lookAgain(measure: MeasureHere, line: ReadLine, grade: Grade): LookAgain {
  const last = line.reads.at(-1) ?? line.reads[0];
  const running = goodRunning(line);
  const times = running >= 2 * RUNNING ? LONGER[1] : running >= RUNNING ? LONGER[0] : estimate(1);
  const book = measure.every.value;
  const after = (factor: Marked, because: Exclude<LookAgain, AfterMishap>['because']): LookAgain => {
    const days = Math.max(1, Math.round(book * factor.value));
    return { on: addDays(last.on, days), days, because };
  };
  if (grade === 'bench') return after(SOONER, 'bench');
  if (grade === 'sooner') return after(SOONER, 'sooner');
  if (times.value === 1) return after(times, 'book');
  if (measure.neverLengthened) return after(estimate(1), 'never-longer');
  return after(times, running >= 2 * RUNNING ? 'twice-as-long' : 'longer');
}
