import { checkNumber } from '#core/kernel/check-number.ts';
import { readRule, type Rule } from '#core/ics/rule.ts';
import { dayOfYear, daysInMonth, daysInYear, partsOfWall, wallOfParts } from '#core/time/wall-time.ts';
import { weekdayOfDay } from '#core/time/local-date.ts';

/** More dates of one series than anybody plays in a year and a half. */
const MOST_DATES = 800;
/** More times of one day are by the hour or finer. */
const MOST_TIMES = 24;
const MS_PER_DAY = 86_400_000;

/** No calendar goes further from 1970 on either side, ms. */
const FAR = 8.64e15 / 2;

/** Days that may still be looked at; shared by the series of a file. */
export type DayBudget = { days: number };
/** Every day from 1900 to 2050, twice: no rule of one series needs more. */
const DAYS_OF_ONE = 110_000;

export type Recurring = {
  /** The first date, as a wall time. */
  readonly start: number;
  /** The rule as it stands after `RRULE:`. */
  readonly rule: string;
  /** Wall times from and until which dates are wanted. */
  readonly from: number;
  readonly until: number;
  /** Turns a moment into the wall time of the series: an end that is given in UTC. */
  readonly fromMs: (ms: number) => number;
  readonly budget?: DayBudget;
};

export type Recurred =
  | { readonly kind: 'dates'; readonly walls: readonly number[]; readonly isCut: boolean }
  | { readonly kind: 'too-fine' | 'not-understood' | 'too-far' };

/** A day of the calendar with what a rule asks of it. */
type Day = { readonly number: number; readonly year: number; readonly month: number; readonly day: number };

const dayNumberOf = (year: number, month: number, day: number): number =>
  Math.round(wallOfParts({ year, month, day, hour: 0, minute: 0, second: 0 }) / MS_PER_DAY);

/** The first day of the week in which a day lies. */
const weekOf = (day: number, weekStart: number): number => day - ((weekdayOfDay(day) - weekStart + 7) % 7);

/** The number of the week from the start of its year, and from the end: week 1 is the first with four days in the year. */
function weekNumber(day: number, weekStart: number): readonly [number, number] {
  const week = weekOf(day, weekStart);
  const { year } = partsOfWall((week + 3) * MS_PER_DAY);
  const first = weekOf(dayNumberOf(year, 1, 4), weekStart);
  const next = weekOf(dayNumberOf(year + 1, 1, 4), weekStart);
  return [(week - first) / 7 + 1, (week - next) / 7];
}

/** What a rule takes from the first date where it says nothing itself. */
function completed(rule: Rule, start: number): Rule {
  const { every, months, monthDays, yearDays, weeks, weekdays } = rule;
  const { month, day, hour, minute, second } = partsOfWall(start);
  const timed = {
    ...rule,
    hours: rule.hours.length > 0 ? rule.hours : [hour],
    minutes: rule.minutes.length > 0 ? rule.minutes : [minute],
    seconds: rule.seconds.length > 0 ? rule.seconds : [second],
  };
  const own = [{ weekday: weekdayOfDay(Math.floor(start / MS_PER_DAY)), nth: 0 }];
  if (monthDays.length + yearDays.length + weekdays.length > 0 || every === 'DAILY') return timed;
  if (every === 'WEEKLY' || weeks.length > 0) return { ...timed, weekdays: own };
  return { ...timed, monthDays: [day], months: every === 'YEARLY' && months.length === 0 ? [month] : months };
}

/** Does a list name a number, counted from the start, or from the end as a negative one? Where it is empty, every one. */
const names = (list: readonly number[], fromStart: number, fromEnd: number): boolean =>
  list.length === 0 || list.includes(fromStart) || list.includes(fromEnd);

/** Is it a weekday a rule names, of its month or of its year? */
function isItsWeekday({ weekdays, every, months }: Rule, { number, year, month, day }: Day): boolean {
  if (weekdays.length === 0) return true;
  const isOfYear = every === 'YEARLY' && months.length === 0;
  const [at, of] = isOfYear ? [dayOfYear(year, month, day), daysInYear(year)] : [day, daysInMonth(year, month)];
  const [nth, last] = [Math.ceil(at / 7), -Math.ceil((of - at + 1) / 7)];
  const own = weekdayOfDay(number);
  return weekdays.some((one) => one.weekday === own && [0, nth, last].includes(one.nth));
}

/** Is a day one of those a rule names? Every part that is there has to hold. */
function isNamed(rule: Rule, one: Day): boolean {
  const { months, monthDays, yearDays, weeks, weekStart } = rule;
  const { number, year, month, day } = one;
  if (!names(months, month, month) || !names(monthDays, day, day - daysInMonth(year, month) - 1)) return false;
  if (yearDays.length > 0) {
    const ofYear = dayOfYear(year, month, day);
    if (!names(yearDays, ofYear, ofYear - daysInYear(year) - 1)) return false;
  }
  return (weeks.length === 0 || names(weeks, ...weekNumber(number, weekStart))) && isItsWeekday(rule, one);
}

/** The days of a period by its number from the first: a year, a month, a week or a day. */
const PERIODS: Readonly<
  Record<Rule['every'], (start: Day, step: number, weekStart: number) => readonly [first: number, last: number]>
> = {
  YEARLY: ({ year }, step) => [dayNumberOf(year + step, 1, 1), dayNumberOf(year + step, 12, 31)],
  MONTHLY: (start, step) => {
    const months = start.month - 1 + step;
    const [year, month] = [start.year + Math.floor(months / 12), (months % 12) + 1];
    return [dayNumberOf(year, month, 1), dayNumberOf(year, month, daysInMonth(year, month))];
  },
  WEEKLY: ({ number }, step, weekStart) => {
    const first = weekOf(number, weekStart) + step * 7;
    return [first, first + 6];
  },
  DAILY: ({ number }, step) => [number + step, number + step],
};

/** At most so many days a period has. */
const MOST_DAYS = { YEARLY: 366, MONTHLY: 31, WEEKLY: 7, DAILY: 1 } as const;

/** The number of a period before which none is wanted; 0 where dates have to be counted from the first. */
function firstPeriod(rule: Rule, start: Day, from: number): number {
  if (rule.count !== null) return 0;
  const days = Math.floor(from / MS_PER_DAY) - start.number;
  return Math.max(0, Math.floor(days / (rule.interval * MOST_DAYS[rule.every])) - 2);
}

/** Days in a row, each with its date: the date of the first is looked up, the others are counted from it. */
function eachDay(first: number, last: number, look: (day: Day) => void): void {
  let { year, month, day } = partsOfWall(first * MS_PER_DAY);
  for (let number = first; number <= last; number++) {
    look({ number, year, month, day });
    day++;
    if (day <= daysInMonth(year, month)) continue;
    [day, month] = [1, month + 1];
    if (month === 13) [month, year] = [1, year + 1];
  }
}

/** Stretches of a period that are worth looking at: of a year the months a rule names. */
function stretchesOf({ every, months }: Rule, first: number, last: number): readonly (readonly [number, number])[] {
  if (every !== 'YEARLY' || months.length === 0) return [[first, last]];
  const { year } = partsOfWall(first * MS_PER_DAY);
  return months
    .toSorted((a, b) => a - b)
    .map((month) => [dayNumberOf(year, month, 1), dayNumberOf(year, month, daysInMonth(year, month))]);
}

const isOnWeekday = ({ weekdays }: Rule, number: number): boolean => {
  const own = weekdayOfDay(number);
  return weekdays.length === 0 || weekdays.some(({ weekday }) => weekday === own);
};

/** The days of a period that a rule names, by their numbers, in order. */
function namedDays(rule: Rule, first: number, last: number): number[] {
  // Of a single day its weekday is known before its date.
  if (first === last && !isOnWeekday(rule, first)) return [];
  const named: number[] = [];
  for (const [from, to] of stretchesOf(rule, first, last))
    eachDay(from, to, (day) => {
      if (isNamed(rule, day)) named.push(day.number);
    });
  return named;
}

/** The times of a day, ms from its begin, in order. */
const timesOfDay = ({ hours, minutes, seconds }: Rule): number[] =>
  [
    ...new Set(
      hours.flatMap((hour) =>
        minutes.flatMap((minute) => seconds.map((second) => ((hour * 60 + minute) * 60 + second) * 1000)),
      ),
    ),
  ].sort((a, b) => a - b);

/** Of a period's dates those the rule asks for by their place, in order. */
function placed(walls: readonly number[], positions: readonly number[]): readonly number[] {
  if (positions.length === 0) return walls;
  const chosen = positions.flatMap((at) => walls[at > 0 ? at - 1 : walls.length + at] ?? []);
  return [...new Set(chosen)].sort((a, b) => a - b);
}

function lastOf({ until }: Rule, wanted: number, fromMs: Recurring['fromMs']): number {
  if (until === null) return wanted;
  return Math.min(wanted, until.is === 'utc' ? fromMs(until.wall) : until.wall);
}

/** Dates as they are found: those wanted are kept, all are counted. */
class Gathering {
  readonly walls: number[] = [];
  isCut = false;
  private counted = 0;

  constructor(
    private readonly bounds: { readonly start: number; readonly from: number; readonly last: number },
    private readonly count: number | null,
  ) {}

  /** Takes a date in; true where it was the last. */
  take(wall: number): boolean {
    const { start, from, last } = this.bounds;
    if (wall < start) return false;
    if (wall > last) return true;
    if (wall >= from) {
      this.isCut = this.walls.length >= MOST_DATES;
      if (this.isCut) return true;
      this.walls.push(wall);
    }
    return ++this.counted === this.count;
  }
}

/**
 * The dates of a series by its rule (RFC 5545, 3.3.10), as wall times within the days that are wanted: every day of every
 * period is asked whether the rule names it. So what has no date at all costs no more than what has. Periods before the
 * wanted days are passed over, unless the dates have to be counted.
 *
 * @throws RangeError for a time that is none
 * @returns `too-far` where more days would have to be looked at than there may be
 */
export function recurred(asked: Recurring): Recurred {
  const { start, from, fromMs, budget = { days: Infinity } } = asked;
  for (const one of [start, from, asked.until]) checkNumber('a wall time', one, { least: -FAR, most: FAR });
  const read = readRule(asked.rule);
  if (read.kind !== 'rule') return read;
  const rule = completed(read.rule, start);
  const times = timesOfDay(rule);
  if (times.length > MOST_TIMES) return { kind: 'too-fine' };
  const begin: Day = { ...partsOfWall(start), number: Math.floor(start / MS_PER_DAY) };
  const last = lastOf(rule, asked.until, fromMs);
  const gathered = new Gathering({ start, from, last }, rule.count);
  const [ofPeriod, isOfMonths] = [PERIODS[rule.every], rule.every === 'YEARLY' && rule.months.length > 0];
  let looked = 0;
  for (let index = firstPeriod(rule, begin, from); ; index++) {
    const [first, end] = ofPeriod(begin, index * rule.interval, rule.weekStart);
    if (first * MS_PER_DAY > last) break;
    const days = isOfMonths ? rule.months.length * MOST_DAYS.MONTHLY : end - first + 1;
    looked += days;
    budget.days -= days;
    if (looked > DAYS_OF_ONE || budget.days < 0) return { kind: 'too-far' };
    const named = namedDays(rule, first, end);
    const walls = named.flatMap((number) => times.map((time) => number * MS_PER_DAY + time));
    if (placed(walls, rule.positions).some((wall) => gathered.take(wall))) break;
  }
  return { kind: 'dates', walls: gathered.walls, isCut: gathered.isCut };
}

/** About how many days are looked at for a rule: what is little is worked out first. */
export function daysLookedAt(asked: Pick<Recurring, 'start' | 'rule' | 'from' | 'until'>): number {
  const { start, from, until } = asked;
  const read = readRule(asked.rule);
  if (read.kind !== 'rule') return 0;
  const { rule } = read;
  const { count, interval, every } = rule;
  const end = count === null ? Infinity : start + count * interval * MOST_DAYS[every] * MS_PER_DAY;
  const last = Math.min(
    end,
    lastOf(rule, until, (ms) => ms),
  );
  return Math.max(0, last - (count === null ? Math.max(start, from) : start)) / MS_PER_DAY;
}
