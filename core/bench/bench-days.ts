import type { Severity } from '#core/book/care-item.ts';
import { SEVERITY_WEIGHT } from '#core/book/care-item.ts';
import { RATES } from '#core/bench/rates.ts';
import { isOpen, isThereInOneGo, stayFrom, type AwayFor, type ShutDays, type Stay } from '#core/bench/stay.ts';
import { daysOf, isOnStage, type CalendarEvent } from '#core/calendar/event.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { checkNumber } from '#core/kernel/check-number.ts';
import { addDays, dateOfDay, dayNumber, type LocalDate } from '#core/time/local-date.ts';

/** What is asked of one instrument with work for the bench. */
export type BenchAsked = {
  readonly today: LocalDate;
  readonly instrumentId: InstrumentId;
  /** Each piece of work: when it is due, from when it is not early any more (null: never early), what neglect costs. */
  readonly jobs: readonly {
    readonly due: LocalDate;
    readonly from: LocalDate | null;
    readonly severity: Severity;
  }[];
  readonly away: AwayFor;
  readonly shut: ShutDays;
  /** Months in which nothing is sent, for frost or heat, January 1. What is carried by hand goes all the same. */
  readonly noShippingMonths: readonly number[];
  /** Is the player away when they have a holiday? A school hands its instruments in just then. */
  readonly isAwayOnHolidays: boolean;
  /** Everything that is on for its player. */
  readonly events: readonly CalendarEvent[];
  /** Others of its kind that its player has: one of them stays to be played. */
  readonly kin: readonly InstrumentId[];
  /** Minutes that will probably be played on it on a day. */
  readonly minutesOn: (day: number) => number;
};

const CLASHES = ['audience', 'journey', 'kin', 'own-stay', 'shut', 'shut-on-the-way', 'no-shipping'] as const;
/** Why a day is no day to take it there. */
export type Clash = { readonly kind: (typeof CLASHES)[number]; readonly event: CalendarEvent | null };

/** What a day costs, each in whole minutes of playing. */
export type DayCosts = {
  readonly lost: number;
  readonly overdue: number;
  readonly settling: number;
  readonly shipping: number;
  readonly early: number;
};
export type BenchDay = Stay & { readonly costs: DayCosts; readonly sum: number };

export type BenchAnswer = {
  /** The best days, at least a week apart, the best first; none where every day clashes with something. */
  readonly days: readonly BenchDay[];
  /** The best of those about a month after the best. */
  readonly monthLater: BenchDay | null;
  /** What stands in the way before the last of the days that are shown, each event once, in their order. */
  readonly inTheWay: readonly Clash[];
};

/** Days that are offered, how far apart, and how far ahead they are looked for. */
const OFFERED = 3;
const APART_DAYS = 7;
const LOOKED_DAYS = 365;
/** A month later: within a week, so that a weekend does not decide. */
const MONTH_LATER = { from: 28, to: 35 };

const overlaps = (event: CalendarEvent, from: LocalDate, to: LocalDate): boolean =>
  event.on <= to && (event.until ?? event.on) >= from;
const names = (event: CalendarEvent, ids: readonly InstrumentId[]): boolean =>
  event.instrumentIds.some((id) => ids.includes(id));
const isAway = (event: CalendarEvent, ids: readonly InstrumentId[]): boolean =>
  event.what === 'bench' && names(event, ids);
const isOn = (event: CalendarEvent, ...days: readonly LocalDate[]): boolean =>
  days.some((day) => daysOf(event).includes(dayNumber(day)));

/** The event by which the last of its kind is away on one of the days of a stay; undefined where one is always at home. */
function lastOfKindAway({ kin, events }: BenchAsked, { on, back }: Stay): CalendarEvent | undefined {
  if (kin.length === 0) return undefined;
  const away = events.filter((event) => isAway(event, kin) && overlaps(event, on, back));
  if (away.length === 0) return undefined;
  for (let day = on; day <= back; day = addDays(day, 1)) {
    const then = away.filter((event) => overlaps(event, day, day));
    if (kin.every((id) => then.some(({ instrumentIds }) => instrumentIds.includes(id)))) return then.at(-1);
  }
  return undefined;
}

/** Is it on the way in a month in which nothing is sent? */
function isSentInFrost({ noShippingMonths, away }: BenchAsked, { on, back, sentBack }: Stay): boolean {
  if (away.shippingDays === 0 || noShippingMonths.length === 0) return false;
  const isNamed = (from: LocalDate, to: LocalDate): boolean => {
    for (let day = from; day <= to; day = addDays(day, 1))
      if (noShippingMonths.includes(Number(day.slice(5, 7)))) return true;
    return false;
  };
  return isNamed(on, addDays(on, away.shippingDays)) || isNamed(sentBack, back);
}

/** The stay that begins on a day, or why that is no day to take it there, whatever else speaks for it. */
function stayOn(day: number, asked: BenchAsked): { readonly stay: Stay | null; readonly clash: Clash | null } {
  const { away, shut } = asked;
  if (!isOpen(day, shut)) return { stay: null, clash: { kind: 'shut', event: null } };
  if (!isThereInOneGo(day, away.shippingDays, shut))
    return { stay: null, clash: { kind: 'shut-on-the-way', event: null } };
  const stay = stayFrom(dateOfDay(day), away, shut);
  return { stay, clash: clashOf(stay, asked) };
}
/** Why a day is no day to take it there; null where it is one. */
export const clashOn = (on: LocalDate, asked: BenchAsked): Clash | null => stayOn(dayNumber(on), asked).clash;

/** What a stay clashes with that begins on an open day. */
function clashOf(stay: Stay, asked: BenchAsked): Clash | null {
  const { isAwayOnHolidays, events, instrumentId } = asked;
  const { on, back, ready } = stay;
  if (isSentInFrost(asked, stay)) return { kind: 'no-shipping', event: null };
  const isAwayIn = ({ what }: CalendarEvent): boolean => what === 'travel' || (what === 'holiday' && isAwayOnHolidays);
  const found = (kind: Clash['kind'], event: CalendarEvent | undefined): Clash | null =>
    event === undefined ? null : { kind, event };
  // Played to an audience from the day it is ready on: where it is ready at once, from the day it is back.
  const settled = ready > back ? addDays(ready, -1) : back;
  return (
    found(
      'audience',
      events.find((event) => isOnStage(event.what) && names(event, [instrumentId]) && overlaps(event, on, settled)),
    ) ??
    found(
      'own-stay',
      events.find((event) => isAway(event, [instrumentId]) && overlaps(event, on, back)),
    ) ??
    found('kin', lastOfKindAway(asked, stay)) ??
    found(
      'journey',
      events.find((event) => isAwayIn(event) && isOn(event, on, back)),
    )
  );
}

/** Every stay of a fortnight asks for the minutes of the same days: they are asked for once. */
function askedOnce(minutesOn: BenchAsked['minutesOn']): BenchAsked['minutesOn'] {
  const known = new Map<number, number>();
  return (day) => {
    const before = known.get(day);
    if (before !== undefined) return before;
    const minutes = minutesOn(day);
    checkNumber('the minutes of a day', minutes);
    known.set(day, minutes);
    return minutes;
  };
}

const weeks = (from: LocalDate, to: LocalDate): number => Math.max(0, dayNumber(to) - dayNumber(from)) / 7;

/** Minutes that would have been played on it while it is away. */
function minutesLost({ on, back }: Stay, { minutesOn, kin }: BenchAsked): number {
  let sum = 0;
  for (let day = dayNumber(on); day < dayNumber(back); day++) {
    const minutes = minutesOn(day);
    checkNumber('the minutes of a day', minutes);
    sum += minutes;
  }
  return sum * (kin.length === 0 ? RATES.lost : RATES.lostWithSpare).value;
}

/** Minutes of its rehearsals in the days in which one gets used to it. */
const rehearsedSettling = ({ back, ready }: Stay, { events, instrumentId }: BenchAsked): number =>
  events
    .filter((event) => event.what === 'rehearsal' && names(event, [instrumentId]))
    .filter(({ on }) => on >= back && on < ready)
    .reduce((sum, { minutes, minutesOf }) => {
      const own = minutesOf.find((one) => one.instrumentId === instrumentId)?.minutes;
      return sum + (own ?? minutes ?? 0);
    }, 0);

/** What a day costs, each reason in whole minutes of playing by its rate. */
export function costsOf(stay: Stay, asked: BenchAsked): DayCosts {
  const { jobs, away } = asked;
  const total = (of: (job: BenchAsked['jobs'][number]) => number): number =>
    Math.round(jobs.reduce((sum, job) => sum + of(job), 0));
  const onTheWay = away.shippingDays + dayNumber(stay.back) - dayNumber(stay.sentBack);
  return {
    lost: Math.round(minutesLost(stay, asked)),
    overdue: total(
      ({ due, severity }) => RATES.overdueWeek.value * SEVERITY_WEIGHT[severity].value * weeks(due, stay.on),
    ),
    settling: Math.round(RATES.settling.value * rehearsedSettling(stay, asked)),
    shipping: Math.round(RATES.shippingDay.value * onTheWay),
    early: total(({ from }) => (from === null ? 0 : RATES.earlyWeek.value * weeks(stay.on, from))),
  };
}
const sumOf = ({ lost, overdue, settling, shipping, early }: DayCosts): number =>
  lost + overdue + settling + shipping + early;

const apart = (one: LocalDate, other: LocalDate): number => Math.abs(dayNumber(one) - dayNumber(other));

/** The best of some days, and then again of those at least a week from each that was taken. */
function offered(sorted: readonly BenchDay[]): BenchDay[] {
  const taken: BenchDay[] = [];
  for (const day of sorted) {
    if (taken.length === OFFERED) break;
    if (taken.every(({ on }) => apart(on, day.on) >= APART_DAYS)) taken.push(day);
  }
  return taken;
}

/**
 * When an instrument should go to the bench, of the days of a year: those on which no rule stands in the way, by the sum
 * of what they cost in minutes of playing; among equals the one nearest to its date, then the earliest.
 *
 * @throws RangeError for minutes or days that are none
 */
export function benchDays(question: BenchAsked): BenchAnswer {
  const { today, jobs } = question;
  const asked = { ...question, minutesOn: askedOnce(question.minutesOn) };
  const first = dayNumber(today);
  const looked = Array.from({ length: LOOKED_DAYS + 1 }, (_, at) => {
    return { on: dateOfDay(first + at), ...stayOn(first + at, asked) };
  });
  const due = jobs.map((job) => job.due).sort()[0] ?? today;
  const better = (a: BenchDay, b: BenchDay): number =>
    a.sum - b.sum || apart(a.on, due) - apart(b.on, due) || (a.on < b.on ? -1 : 1);
  const sensible = looked
    .flatMap(({ stay, clash }): BenchDay[] => {
      if (stay === null || clash !== null) return [];
      const costs = costsOf(stay, asked);
      return [{ ...stay, costs, sum: sumOf(costs) }];
    })
    .toSorted(better);
  const days = offered(sensible);
  const [best] = days;
  const later =
    best &&
    sensible.find(({ on }) => on >= addDays(best.on, MONTH_LATER.from) && on <= addDays(best.on, MONTH_LATER.to));
  const until =
    best === undefined ? addDays(today, LOOKED_DAYS) : days.reduce((last, { on }) => (on > last ? on : last), due);
  const inTheWay = new Map(
    looked
      .filter(({ on }) => on <= until)
      .flatMap(({ clash }) => (clash?.event ? [[`${clash.kind} ${clash.event.key}`, clash] as const] : [])),
  );
  return { days, monthLater: later ?? null, inTheWay: [...inTheWay.values()] };
}
