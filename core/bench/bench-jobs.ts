import type { WorkId } from '#core/book/work.ts';
import type { Book } from '#core/book/book.ts';
import { isCalledBy, type Severity } from '#core/book/care-item.ts';
import { EARLY_SHARE } from '#core/bench/rates.ts';
import type { ItemClock } from '#core/care/care-clock.ts';
import type { CauseHere } from '#core/faults/faults-for.ts';
import type { StopStanding } from '#core/faults/faults-standing.ts';
import type { ChanceWord } from '#core/faults/interview.ts';
import { datesOf, type MeasureStanding } from '#core/inspections/inspections-standing.ts';
import { handsFor, type PlayerAbilities } from '#core/players/player.ts';
import type { Situation } from '#core/situation/situation.ts';
import { addDays, daysBetween, type LocalDate } from '#core/time/local-date.ts';

/** Nobody plans a stay further ahead. */
const BENCH_HORIZON_DAYS = 182;
/** What falls due so soon after the most pressing goes along; what is later asks for a stay of its own (estimate). */
const GOES_ALONG_DAYS = 56;

/** Does what is due by now wait for that day at the bench? Not where it is as far off as another stay would be. */
export const waitsForTheStay = (goesOn: LocalDate | null, today: LocalDate): boolean =>
  goesOn !== null && goesOn <= addDays(today, GOES_ALONG_DAYS);

/** What asks for the bench: a clock, a sign, a number, where a line goes, what is likely to be wrong. */
export type JobReason =
  | { readonly kind: 'clock' | 'sign'; readonly clock: ItemClock }
  | { readonly kind: 'reading' | 'trend'; readonly standing: MeasureStanding }
  | { readonly kind: 'stop'; readonly stop: StopStanding }
  | { readonly kind: 'fault'; readonly cause: CauseHere; readonly word: ChanceWord; readonly since: LocalDate };

/** One piece of work for the bench, and when. */
export type BenchJob = {
  readonly reason: JobReason;
  readonly work: WorkId;
  readonly severity: Severity;
  /** The day it is due; today where it is due already. */
  readonly due: LocalDate;
  /** Before this day it would be wastefully early; null where nothing is wasted. */
  readonly from: LocalDate | null;
};

/** What is likely to be wrong, and work for the bench. */
export type BenchFault = { readonly cause: CauseHere; readonly word: ChanceWord; readonly since: LocalDate };

/** What an instrument has for the bench: all of it is done in one stay. */
export type BenchWork = {
  /** The most pressing first. */
  readonly jobs: readonly BenchJob[];
  readonly due: LocalDate;
};

/** Is it work the bench does for this player, and in force? */
export const isForTheBench = ({ item, state }: ItemClock, player: PlayerAbilities): boolean =>
  item.trigger.kind !== 'every-play' &&
  state !== 'off' &&
  (item.place === 'bench' || handsFor(item.skill, player) === 'bench');

/** Which work a care item is: what a player leaves to the bench goes with its service. */
export const workOfCare = ({ benchWorks }: Book, item: Pick<ItemClock['item'], 'id' | 'place'>): WorkId =>
  benchWorks.ofCare[item.id] ?? (item.place === 'bench' ? 'look' : 'service');

/** From where a clock counts: the last time, else the day a new instrument came; null where neither is known. */
function countedFrom({ because }: ItemClock): LocalDate | null {
  const found = because.find((reason) => reason.rule === 'counted-from');
  return found?.rule === 'counted-from' ? found.baseline.on : null;
}

/** How long the interval of a clock is, days; null where it does not count. What is due already has its date today: its load says it. */
export function intervalOf(clock: ItemClock, today: LocalDate): number | null {
  const { due, load } = clock;
  const from = countedFrom(clock);
  if (due === null || from === null) return null;
  return load !== null && load >= 1 ? daysBetween(from, today) / load : daysBetween(from, due.on);
}

/**
 * The day on which three quarters of an interval have run. What is due already has its date today: its load says how long
 * its interval is.
 */
function notBefore(clock: ItemClock, today: LocalDate): LocalDate | null {
  const from = countedFrom(clock);
  const interval = intervalOf(clock, today);
  if (from === null || interval === null) return null;
  return addDays(from, Math.round(EARLY_SHARE.value * Math.max(1, interval)));
}

/** The day the sign was seen that an item is called for by; null where none was, or nobody knows when. */
export const noticedOn = ({ because }: Pick<ItemClock, 'because'>): LocalDate | null =>
  because.flatMap((reason) => (reason.rule === 'noticed' ? [reason.on] : []))[0] ?? null;

/** The day a clock was due: what is overdue has been so since its interval had run, what a sign calls for since it was seen. */
export function dueSince(clock: ItemClock, today: LocalDate): LocalDate | null {
  const { due, load } = clock;
  if (due === null) return clock.state === 'due' || clock.state === 'overdue' ? (noticedOn(clock) ?? today) : null;
  const from = countedFrom(clock);
  if (from === null || load === null || load < 1) return due.on;
  return addDays(from, Math.round(daysBetween(from, today) / load));
}

function clockJobs(book: Book, { care, today }: Situation, player: PlayerAbilities): BenchJob[] {
  return care.clocks
    .filter((clock) => isForTheBench(clock, player))
    .flatMap((clock): BenchJob[] => {
      const due = dueSince(clock, today);
      if (due === null) return [];
      return [
        {
          reason: { kind: clock.due === null ? 'sign' : 'clock', clock },
          work: workOfCare(book, clock.item),
          severity: clock.item.severity,
          due,
          from: notBefore(clock, today),
        },
      ];
    });
}

/** What a reading asks for now, or where its line will have got to at the earlier end: looked after before it fails. */
function measureJob(book: Book, standing: MeasureStanding): BenchJob[] {
  const { measure, newest, lines } = standing;
  if (newest === null) return [];
  const { work } = measure;
  const { severity } = book.benchWorks.works[work];
  if (newest.grade === 'bench')
    return [{ reason: { kind: 'reading', standing }, work, severity, due: newest.on, from: null }];
  const trend = standing.trend();
  const dates = trend && datesOf(trend);
  // A date that is open at its later end is one of many: it asks for no day at the bench.
  if (!dates || dates.to === null) return [];
  const first = lines.at(-1)?.reads[0].on ?? newest.on;
  const from = addDays(first, Math.round(EARLY_SHARE.value * daysBetween(first, dates.from)));
  return [{ reason: { kind: 'trend', standing }, work, severity, due: dates.from, from }];
}

const faultJob =
  (book: Book, today: LocalDate) =>
  ({ cause, word, since }: BenchFault): BenchJob => {
    const work = book.benchWorks.ofCause[cause.id] ?? 'look';
    const { severity } = book.benchWorks.works[work];
    return { reason: { kind: 'fault', cause, word, since }, work, severity, due: today, from: null };
  };

/** What is done about a stop: the work of the care its sign calls for, else somebody looks. */
function workOfStop(book: Book, { methods }: Situation, { rule }: StopStanding): WorkId {
  const care = 'sign' in rule ? methods.practice.items.find((item) => isCalledBy(item, rule.sign)) : undefined;
  return care === undefined ? 'look' : workOfCare(book, care);
}

/** What stops an instrument until the bench or its maker has looked. */
const stopJobs = (book: Book, situation: Situation): BenchJob[] =>
  situation.faults.stops
    .filter(({ rule }) => rule.clearedBy === 'bench' || rule.clearedBy === 'maker')
    .map((stop) => ({
      reason: { kind: 'stop', stop },
      work: workOfStop(book, situation, stop),
      severity: 'lasting',
      due: stop.since,
      from: null,
    }));

/** Where it is, of what names a place: three slides are three times the work, one leak told in three ways is one. */
const placeOf = ({ reason }: BenchJob): string => ('standing' in reason ? (reason.standing.place?.id ?? '') : '');

/** One piece of work is asked for once, by what is most pressing. */
function once(jobs: readonly BenchJob[]): BenchJob[] {
  const seen = new Set<string>();
  return jobs.filter((job) => {
    const name = `${job.work} ${placeOf(job)}`;
    // Which slide is stuck a sign does not say: it is the one that was measured, too.
    const isTold = seen.has(name) || (placeOf(job) === '' && [...seen].some((one) => one.startsWith(`${job.work} `)));
    seen.add(name);
    return !isTold;
  });
}

/** The work of an instrument that will be due within half a year, or is; null where there is none. */
export function benchWork(
  book: Book,
  situation: Situation,
  player: PlayerAbilities,
  faults: readonly BenchFault[] = [],
): BenchWork | null {
  const { today, inspections } = situation;
  const last = addDays(today, BENCH_HORIZON_DAYS);
  const asked = [
    ...stopJobs(book, situation),
    ...faults.map(faultJob(book, today)),
    ...inspections.standing.flatMap((standing) => measureJob(book, standing)),
    ...clockJobs(book, situation, player),
  ]
    .filter(({ due }) => due <= last)
    .toSorted((a, b) => (a.due < b.due ? -1 : a.due > b.due ? 1 : 0));
  const [first] = asked;
  if (first === undefined) return null;
  const until = addDays(first.due > today ? first.due : today, GOES_ALONG_DAYS);
  return { jobs: once(asked.filter(({ due }) => due <= until)), due: first.due };
}

/** Bench work of which nobody knows when it was last done. */
export const unknownBenchWork = ({ care }: Situation, player: PlayerAbilities): ItemClock[] =>
  care.clocks.filter((clock) => clock.state === 'unknown' && isForTheBench(clock, player));
