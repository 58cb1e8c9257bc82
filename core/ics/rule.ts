import { realWall } from '#core/time/wall-time.ts';

/** How often a series comes, as its rule says (RFC 5545, 3.3.10): every part checked, none that is not known. */
export type Rule = {
  readonly every: 'YEARLY' | 'MONTHLY' | 'WEEKLY' | 'DAILY';
  readonly interval: number;
  readonly count: number | null;
  readonly until: Until | null;
  readonly months: readonly number[];
  readonly monthDays: readonly number[];
  readonly yearDays: readonly number[];
  readonly weeks: readonly number[];
  /** `nth` 0: every one of the period. */
  readonly weekdays: readonly { readonly weekday: number; readonly nth: number }[];
  readonly hours: readonly number[];
  readonly minutes: readonly number[];
  readonly seconds: readonly number[];
  /** Which of a period's dates: 1 the first, −1 the last; all where nothing is said. */
  readonly positions: readonly number[];
  /** 0 = Monday. */
  readonly weekStart: number;
};

/** The end of a series: a day to its end, a wall time, or a moment in UTC. */
export type Until = { readonly wall: number; readonly is: 'day' | 'wall' | 'utc' };

export type RuleRead =
  { readonly kind: 'rule'; readonly rule: Rule } | { readonly kind: 'too-fine' | 'not-understood' };

const NOT_UNDERSTOOD = { kind: 'not-understood' } as const;

const WEEKDAYS = ['MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU'];
const COARSE = ['YEARLY', 'MONTHLY', 'WEEKLY', 'DAILY'] as const;
const FINE = new Set(['HOURLY', 'MINUTELY', 'SECONDLY']);
const LAST_OF_DAY = 86_399_999;
/** More than any series has, or than the distance of two days of the calendar. */
const MOST = 1_000_000;

/** A whole number between two; null where it is none. */
function wholeIn(text: string | undefined, least: number, most: number): number | null {
  if (text === undefined || !/^[+-]?\d{1,7}$/.test(text)) return null;
  const value = Number(text);
  return value >= least && value <= most ? value : null;
}

/** A list of them; none where nothing is said, null where one of them is none. Below 0 counts from the end; 0 is none then. */
function listIn(text: string | undefined, least: number, most: number): number[] | null {
  if (text === undefined) return [];
  const values = text.split(',').map((one) => wholeIn(one, least, most));
  return values.every((one) => one !== null && !(least < 0 && one === 0)) ? values.filter((one) => one !== null) : null;
}

function weekdaysIn(text: string | undefined): Rule['weekdays'] | null {
  if (text === undefined) return [];
  const found = text.split(',').map((one) => {
    const [, nth = '', name = ''] = /^([+-]?\d{1,2})?([A-Z]{2})$/.exec(one) ?? [];
    const [weekday, which] = [WEEKDAYS.indexOf(name), nth === '' ? 0 : wholeIn(nth, -53, 53)];
    return weekday === -1 || which === null || (nth !== '' && which === 0) ? null : { weekday, nth: which };
  });
  return found.every((one) => one !== null) ? found.filter((one) => one !== null) : null;
}

function untilIn(text: string): Until | null {
  const [, date = '', time, utc] = /^(\d{8})(?:T(\d{6})(Z)?)?$/.exec(text) ?? [];
  const wall = realWall(`${date}${time ?? '000000'}`);
  if (wall === null) return null;
  return time === undefined
    ? { wall: wall + LAST_OF_DAY, is: 'day' }
    : { wall, is: utc === undefined ? 'wall' : 'utc' };
}

const KNOWN = new Set(
  'FREQ UNTIL COUNT INTERVAL BYSECOND BYMINUTE BYHOUR BYDAY BYMONTHDAY BYYEARDAY BYWEEKNO BYMONTH BYSETPOS WKST'.split(
    ' ',
  ),
);

/** The parts of a rule by name; null where one comes twice, is not known or has no value. */
function partsOf(text: string): ReadonlyMap<string, string> | null {
  const parts = new Map<string, string>();
  for (const part of text.trim().toUpperCase().replace(/;$/, '').split(';')) {
    const [name = '', value = '', ...more] = part.split('=');
    if (!KNOWN.has(name) || value === '' || more.length > 0 || parts.has(name)) return null;
    parts.set(name, value);
  }
  return parts;
}

/** Parts that say something only within some periods (the table of RFC 5545, 3.3.10). */
function isOfItsPeriod({ every, weekdays, monthDays, yearDays, weeks, positions }: Rule, named: number): boolean {
  const isByNumber = weekdays.some(({ nth }) => nth !== 0);
  if (isByNumber && (every === 'WEEKLY' || every === 'DAILY' || weeks.length > 0)) return false;
  if (monthDays.length > 0 && every === 'WEEKLY') return false;
  if (yearDays.length > 0 && every !== 'YEARLY') return false;
  if (weeks.length > 0 && every !== 'YEARLY') return false;
  return positions.length === 0 || named > 1;
}

/** The same with what could not be read. */
type Read = { readonly [Part in keyof Rule]: Rule[Part] | 'wrong' };
const isRule = (read: Read): read is Rule => !Object.values(read).includes('wrong');

/** Every part of a rule, read or wrong. */
function readParts(every: Rule['every'], parts: ReadonlyMap<string, string>): Read {
  const list = (name: string, least: number, most: number) => listIn(parts.get(name), least, most) ?? 'wrong';
  const optional = <Value, None>(name: string, read: (value: string) => Value | null, otherwise: None) => {
    const value = parts.get(name);
    return value === undefined ? otherwise : (read(value) ?? 'wrong');
  };
  return {
    every,
    interval: optional('INTERVAL', (value) => wholeIn(value, 1, MOST), 1),
    count: optional('COUNT', (value) => wholeIn(value, 1, MOST), null),
    until: optional('UNTIL', untilIn, null),
    months: list('BYMONTH', 1, 12),
    monthDays: list('BYMONTHDAY', -31, 31),
    yearDays: list('BYYEARDAY', -366, 366),
    weeks: list('BYWEEKNO', -53, 53),
    weekdays: weekdaysIn(parts.get('BYDAY')) ?? 'wrong',
    hours: list('BYHOUR', 0, 23),
    minutes: list('BYMINUTE', 0, 59),
    seconds: list('BYSECOND', 0, 59),
    positions: list('BYSETPOS', -366, 366),
    weekStart: optional('WKST', (value) => (WEEKDAYS.includes(value) ? WEEKDAYS.indexOf(value) : null), 0),
  };
}

/**
 * Reads what stands after `RRULE:`. Series by the hour, the minute or the second are none of a player's.
 *
 * @returns `not-understood` for a part that is unknown, comes twice, or has a value it may not have: a rule is believed
 * whole or not at all
 */
export function readRule(text: string): RuleRead {
  const parts = partsOf(text);
  const freq = parts?.get('FREQ');
  if (parts === null || freq === undefined) return NOT_UNDERSTOOD;
  const every = COARSE.find((one) => one === freq);
  if (every === undefined) return FINE.has(freq) ? { kind: 'too-fine' } : NOT_UNDERSTOOD;
  const rule = readParts(every, parts);
  const named = [...parts.keys()].filter((name) => name.startsWith('BY')).length;
  return isRule(rule) && isOfItsPeriod(rule, named) ? { kind: 'rule', rule } : NOT_UNDERSTOOD;
}
