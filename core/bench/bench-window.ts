import { MOST_BENCH, type BenchTerms } from '#core/bench/bench-terms.ts';
import { daysOf, isOnStage, type CalendarEvent } from '#core/calendar/event.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { addDays, dateOfDay, dayNumber, weekdayOfDay, type LocalDate } from '#core/time/local-date.ts';
import { checkNumber } from '#core/kernel/check-number.ts';

/** What is asked of one instrument with work for the bench. */
export type BenchAsked = {
  readonly today: LocalDate;
  readonly instrumentId: InstrumentId;
  /** When the work falls due; in the past where it is overdue. */
  readonly due: LocalDate;
  /** Before this day it would be wastefully early. */
  readonly from: LocalDate;
  /** After this day it is overdue. */
  readonly until: LocalDate;
  readonly terms: BenchTerms;
  /** Public holidays where the bench is, by the number of the day: it is shut, and no parcel comes. */
  readonly shut: ReadonlyMap<number, string>;
  /** Is the player away when they have a holiday? A school hands its instruments in just then. */
  readonly isAwayOnHolidays: boolean;
  /** Everything that is on for its player. */
  readonly events: readonly CalendarEvent[];
  /** Others of its kind that its player has: one of them stays to be played. */
  readonly kin: readonly InstrumentId[];
  /** Minutes that will probably be played on it on a day. */
  readonly minutesOn: (day: number) => number;
};

/** Days from one to another, both among them. */
export type Stretch = { readonly from: LocalDate; readonly to: LocalDate };

/** A stay: the day it is taken there, the day it is back, and the first day on which it may be played to an audience. */
export type Stay = { readonly on: LocalDate; readonly back: LocalDate; readonly ready: LocalDate };

const CLASHES = ['audience', 'journey', 'kin', 'own-stay', 'shut', 'shut-on-the-way'] as const;
/** Why a day is no day to take it there. */
export type Clash = { readonly kind: (typeof CLASHES)[number]; readonly event: CalendarEvent | null };

/** A stay with what it costs in playing, and how it lies to what is played to an audience. */
export type BestStay = Stay & {
  readonly minutesLost: number;
  /** What is played to an audience in the two weeks after it is ready; null where nothing is. */
  readonly before: CalendarEvent | null;
  /** No other day that makes sense loses less. */
  readonly losesLeast: boolean;
};

export type BenchAnswer = {
  /** Days on which taking it there makes sense, in runs; none where every day clashes with something. */
  readonly windows: readonly Stretch[];
  /** The day to choose; null where no day makes sense. */
  readonly best: BestStay | null;
  /** What stands in the way on other days, each event once, in their order. */
  readonly inTheWay: readonly Clash[];
  /** Late already: it goes as soon as it can. */
  readonly isLate: boolean;
};

const FRIDAY = 4;
/** Is somebody there: Monday to Friday, but for public holidays? */
const isOpen = (day: number, shut: ReadonlyMap<number, string>): boolean =>
  weekdayOfDay(day) <= FRIDAY && !shut.has(day);

/**
 * Can a parcel that is sent on a day be there without lying over days on which nobody comes? One that is longer on the way
 * than a week has working days cannot, whenever it is sent.
 */
function isThereInOneGo(day: number, days: number, shut: ReadonlyMap<number, string>): boolean {
  if (days > FRIDAY) return true;
  return Array.from({ length: days }, (_, at) => day + 1 + at).every((one) => isOpen(one, shut));
}
/** What is overdue is looked for so many days ahead. */
const LATE_DAYS = 120;

/**
 * The stay that begins on a day: the way there, working days Monday to Friday from the day it has come, the way back from
 * the next day on which the bench is open, and from which a parcel does not lie anywhere; a parcel comes on a working day.
 *
 * @param shut public holidays where the bench is
 * @throws RangeError for days that are none
 */
export function stayFrom(on: LocalDate, terms: BenchTerms, shut: ReadonlyMap<number, string>): Stay {
  for (const figure of ['workingDays', 'shippingDays', 'settlingDays'] as const)
    checkNumber(figure, terms[figure], { whole: true, most: MOST_BENCH[figure] });
  const { workingDays, shippingDays, settlingDays } = terms;
  let day = dayNumber(on) + shippingDays;
  for (let left = workingDays; left > 0; day += 1) if (isOpen(day, shut)) left -= 1;
  // Handed out, or sent, on a day on which somebody is there.
  while (!isOpen(day, shut) || !isThereInOneGo(day, shippingDays, shut)) day += 1;
  let comes = day + shippingDays;
  while (!isOpen(comes, shut)) comes += 1;
  const back = dateOfDay(comes);
  return { on, back, ready: addDays(back, settlingDays) };
}

const overlaps = (event: CalendarEvent, from: LocalDate, to: LocalDate): boolean =>
  event.on <= to && (event.until ?? event.on) >= from;

const names = (event: CalendarEvent, ids: readonly InstrumentId[]): boolean =>
  event.instrumentIds.some((id) => ids.includes(id));
const isAway = (event: CalendarEvent, ids: readonly InstrumentId[]): boolean =>
  event.what === 'bench' && names(event, ids);
const isOn = (event: CalendarEvent, ...days: readonly LocalDate[]): boolean =>
  days.some((day) => daysOf(event).includes(dayNumber(day)));

/** Why a day is no day to take it there; null where it is one. */
export function clashOn(on: LocalDate, asked: BenchAsked): Clash | null {
  const { terms, shut, isAwayOnHolidays, events, instrumentId, kin } = asked;
  const day = dayNumber(on);
  if (!isOpen(day, shut)) return { kind: 'shut', event: null };
  if (!isThereInOneGo(day, terms.shippingDays, shut)) return { kind: 'shut-on-the-way', event: null };
  const { back, ready } = stayFrom(on, terms, shut);
  const isAwayIn = ({ what }: CalendarEvent): boolean => what === 'travel' || (what === 'holiday' && isAwayOnHolidays);
  const found = (kind: Clash['kind'], is: (event: CalendarEvent) => boolean): Clash | null => {
    const event = events.find(is);
    return event === undefined ? null : { kind, event };
  };
  return (
    // Played to an audience from the day it is ready on.
    found(
      'audience',
      (event) => isOnStage(event.what) && names(event, [instrumentId]) && overlaps(event, on, addDays(ready, -1)),
    ) ??
    found('own-stay', (event) => isAway(event, [instrumentId]) && overlaps(event, on, back)) ??
    found('kin', (event) => isAway(event, kin) && overlaps(event, on, back)) ??
    found('journey', (event) => isAwayIn(event) && isOn(event, on, back))
  );
}

/** Minutes that would have been played on it while it is away. */
export const minutesLost = ({ on, back }: Stay, minutesOn: BenchAsked['minutesOn']): number => {
  let sum = 0;
  for (let day = dayNumber(on); day < dayNumber(back); day++) {
    const minutes = minutesOn(day);
    checkNumber('the minutes of a day', minutes);
    sum += minutes;
  }
  return Math.round(sum);
};

/** An instrument that has just been worked on is not what one plays to an audience: days after it is ready (estimate). */
export const DAYS_BEFORE_AUDIENCE = 14;

/** The first that is played on it to an audience in the two weeks after a stay. */
function soonAfter({ ready }: Stay, { events, instrumentId }: BenchAsked): CalendarEvent | null {
  const last = addDays(ready, DAYS_BEFORE_AUDIENCE - 1);
  const soon = events.filter(
    (event) => isOnStage(event.what) && names(event, [instrumentId]) && overlaps(event, ready, last),
  );
  return soon.toSorted((a, b) => (a.on < b.on ? -1 : 1))[0] ?? null;
}

type Looked = { readonly day: number; readonly clash: Clash | null };

/** The sensible days in runs; a weekend, a public holiday or a day on which no parcel is sent breaks none. */
function runsOf(looked: readonly Looked[]): Stretch[] {
  const runs: { from: number; to: number }[] = [];
  let goesOn = false;
  for (const { day, clash } of looked) {
    const last = runs.at(-1);
    if (clash !== null) goesOn = goesOn && clash.event === null;
    else if (goesOn && last !== undefined) last.to = day;
    else {
      runs.push({ from: day, to: day });
      goesOn = true;
    }
  }
  return runs.map(({ from, to }) => ({ from: dateOfDay(from), to: dateOfDay(to) }));
}

/**
 * When an instrument should go to the bench: from the day it is not too early any more until it is overdue, on days on
 * which nothing it is needed for falls into the stay and the days after it, none of its kind is away, and somebody is
 * there to take it and to fetch it. Of those one that leaves two weeks before the next audience, where any does; then the
 * day that loses the least playing, and the one nearest to its date among equals.
 */
export function benchWindow(asked: BenchAsked): BenchAnswer {
  const { today, due, from, until, terms, shut, minutesOn } = asked;
  const isLate = until <= today;
  const first = dayNumber(from > today ? from : today);
  const last = isLate ? first + LATE_DAYS : Math.max(first, dayNumber(until));
  const looked = Array.from({ length: last - first + 1 }, (_, at): Looked => {
    const day = first + at;
    return { day, clash: clashOn(dateOfDay(day), asked) };
  });
  const sensible = looked.flatMap(({ day, clash }) => (clash === null ? [day] : []));
  const inTheWay = new Map(
    looked.flatMap(({ clash }) => (clash?.event ? [[`${clash.kind} ${clash.event.key}`, clash] as const] : [])),
  );
  const stays = sensible.map((day) => {
    const stay = stayFrom(dateOfDay(day), terms, shut);
    return { ...stay, minutesLost: minutesLost(stay, minutesOn), before: soonAfter(stay, asked) };
  });
  const least = Math.min(...stays.map((stay) => stay.minutesLost));
  // What is overdue goes as soon as it can.
  const nearest = ({ on }: Stay): number => Math.abs(dayNumber(on) - (isLate ? first : dayNumber(due)));
  type Found = (typeof stays)[number];
  const cheaper = (a: Found, b: Found): number =>
    Number(a.before !== null) - Number(b.before !== null) || a.minutesLost - b.minutesLost;
  const [best] = stays.toSorted(
    (a, b) => (isLate ? 0 : cheaper(a, b)) || nearest(a) - nearest(b) || (a.on < b.on ? -1 : 1),
  );
  return {
    windows: runsOf(looked),
    best: best ? { ...best, losesLeast: best.minutesLost === least } : null,
    inTheWay: [...inTheWay.values()],
    isLate,
  };
}
