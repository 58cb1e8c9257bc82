import { isPlayed, MOST_EVENT_MINUTES, LEAST_EVENT_MINUTES, type EventKind } from '#core/calendar/event.ts';
import type { ImportedEvent } from '#core/calendar/imported-event.ts';
import { byName, datesBefore, type Before } from '#core/ics/beside-before.ts';
import { guessKind } from '#core/ics/guess-kind.ts';
import type { IcsDate, IcsSeries } from '#core/ics/ics-series.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { addDays, dayNumber, weekdayOfDay, type LocalDate } from '#core/time/local-date.ts';
import { plainName } from '#core/kernel/visible-text.ts';

/** What ends every name this program gives: what comes back under such a name is its own, and is not taken in again. */
export const OWN_UIDS = '@ulu';
/** Minutes of playing where the calendar does not say how long it is. */
const USUAL_EVENT_MINUTES = 80;
/** Dates that are taken in at once. */
export const MOST_IMPORTED = 1000;
const LONGEST_NAME = 60;
/** A longer holiday is a mistake. */
const MOST_DAYS = 366;

export const SERIES_STATES = ['new', 'changed', 'same'] as const;
/** A series as it is shown before it is taken in. */
export type SeriesPreview = {
  readonly uid: string;
  readonly name: string;
  readonly count: number;
  readonly first: LocalDate;
  readonly last: LocalDate;
  /** How long one is; null for whole days. */
  readonly minutes: number | null;
  readonly state: (typeof SERIES_STATES)[number];
  /** What it probably is, or was last time. */
  readonly what: EventKind;
  /** What is played in it, or away from it: what was said last time, else what is usual of its kind. */
  readonly instrumentIds: readonly InstrumentId[];
  /** What the player usually plays longest on its weekday; null where they have no instrument. */
  readonly mostPlayed: InstrumentId | null;
  /** It was taken last time, or its name says that it concerns a player. */
  readonly taken: boolean;
};

/** What a date says, so that a later import knows whether it has changed. */
const saidBy = ({ on, until, minutes, summary }: IcsDate): string =>
  JSON.stringify(minutes === null ? [on, until, summary] : [on, minutes, summary]);

/** Series that are somebody else's: not those this program has given out itself. */
export const foreign = (series: readonly IcsSeries[]): IcsSeries[] =>
  series.filter(({ uid }) => !uid.endsWith(OWN_UIDS));

function stateOf(series: IcsSeries, before: Before, today: LocalDate): SeriesPreview['state'] {
  const { uid, dates } = series;
  const known = before.get(uid) ?? [];
  if (known.length === 0) return 'new';
  const found = datesBefore(series, before);
  const isSame = dates.every((date) => {
    const known = found.get(date);
    // What was taken in before anybody asked for the hour has none.
    const isAtItsHour = known?.atMinute == null || known.atMinute === date.atMinute;
    return known?.said === saidBy(date) && isAtItsHour;
  });
  const upcoming = known.filter(({ on }) => on >= today).length;
  return isSame && dates.filter(({ on }) => on >= today).length === upcoming ? 'same' : 'changed';
}

/** An instrument of the player's, with what it is usually played on each weekday, Monday first, minutes. */
export type OwnInstrument = { readonly id: InstrumentId; readonly usualMinutes: readonly number[] };

/** What is usually played longest on that weekday; where nothing is, in the week. */
export function mostPlayedOn(own: readonly OwnInstrument[], day: LocalDate): InstrumentId | null {
  const weekday = weekdayOfDay(dayNumber(day));
  const week = ({ usualMinutes }: OwnInstrument) => usualMinutes.reduce((sum, minutes) => sum + minutes, 0);
  const onDay = ({ usualMinutes }: OwnInstrument) => usualMinutes[weekday] ?? 0;
  return own.toSorted((a, b) => onDay(b) - onDay(a) || week(b) - week(a))[0]?.id ?? null;
}

/**
 * What the file holds beside what was taken from this calendar before. Nobody plays a whole rehearsal on each of three
 * instruments: what is new and played is on the one most played on its weekday, until the player says more. Days off are
 * off for all.
 */
export function previewSeries(
  series: readonly IcsSeries[],
  before: readonly ImportedEvent[],
  { own, today }: { readonly own: readonly OwnInstrument[]; readonly today: LocalDate },
): SeriesPreview[] {
  const ids = own.map(({ id }) => id);
  const known = byName(before);
  return foreign(series).flatMap((one): SeriesPreview[] => {
    const [first] = one.dates;
    const last = one.dates.at(-1);
    if (first === undefined || last === undefined) return [];
    const earlier = known.get(one.uid)?.[0];
    const guess = guessKind(one.summary, first.minutes === null);
    const what = earlier?.what ?? guess.what;
    const mostPlayed = mostPlayedOn(own, first.on);
    const usual = isPlayed(what) && mostPlayed !== null ? [mostPlayed] : ids;
    return [
      {
        uid: one.uid,
        name: one.summary,
        count: one.dates.length,
        first: first.on,
        last: last.until,
        minutes: first.minutes,
        state: stateOf(one, known, today),
        what,
        instrumentIds: earlier?.instrumentIds.filter((id) => ids.includes(id)) ?? usual,
        mostPlayed,
        taken: earlier !== undefined || guess.isSure,
      },
    ];
  });
}

/** Series that are shown at once, and letters of their names: nobody ticks more, and no more dates are taken in. */
const [MOST_SHOWN, MOST_LETTERS] = [MOST_IMPORTED, 200_000];

/**
 * The series somebody is likeliest to want, where a file has more than can be shown: what was taken before, what its name
 * says, then what begins first; in the order they had.
 */
export function likeliest(all: readonly SeriesPreview[]): { readonly shown: SeriesPreview[]; readonly hidden: number } {
  const rank = ({ state, taken }: SeriesPreview): number => (state === 'new' ? (taken ? 1 : 2) : 0);
  const wanted = new Set<SeriesPreview>();
  let letters = 0;
  for (const one of all.toSorted((a, b) => rank(a) - rank(b) || (a.first < b.first ? -1 : 1))) {
    letters += one.uid.length + one.name.length;
    if (wanted.size === MOST_SHOWN || letters > MOST_LETTERS) break;
    wanted.add(one);
  }
  return { shown: all.filter((one) => wanted.has(one)), hidden: all.length - wanted.size };
}

/** What the player takes of a series, and as what. */
export type SeriesChoice = {
  readonly uid: string;
  readonly what: EventKind;
  readonly instrumentIds: readonly InstrumentId[];
};

const nameOf = (summary: string): string | null => {
  // Cut by letters: half of one is no letter.
  const name = plainName([...plainName(summary)].slice(0, LONGEST_NAME).join(''));
  return name === '' ? null : name;
};

/** How long is played: as long as it lasts, within what is possible. */
const playedIn = (minutes: number | null): number =>
  minutes === null || minutes === 0
    ? USUAL_EVENT_MINUTES
    : Math.min(MOST_EVENT_MINUTES, Math.max(LEAST_EVENT_MINUTES, minutes));

/** A date as it is taken in; one that was there before keeps its key and its name in the series, whatever its hour is now. */
export type TakenDate = Omit<ImportedEvent, 'key'> & { readonly key: string | null };

function taken(
  date: IcsDate,
  { uid, what, instrumentIds }: SeriesChoice,
  before: ImportedEvent | undefined,
): TakenDate {
  const { on, summary, atMinute, minutes } = date;
  const { key = null, instance = date.instance } = before ?? {};
  const common = { key, uid, instance, said: saidBy(date), what, on, name: nameOf(summary), instrumentIds };
  if (isPlayed(what)) return { ...common, until: null, atMinute, minutes: playedIn(minutes) };
  const latest = addDays(on, MOST_DAYS);
  const until = date.until > latest ? latest : date.until;
  return { ...common, until: until === on ? null : until, atMinute: null, minutes: null };
}

/**
 * What is in the record of this calendar from now on: what was chosen of the file, and what has vanished from it and is
 * kept all the same.
 *
 * @param before what was taken of it before; `kept` is of that
 */
export function takenIn(
  series: readonly IcsSeries[],
  choices: readonly SeriesChoice[],
  { before, kept }: { readonly before: readonly ImportedEvent[]; readonly kept: readonly ImportedEvent[] },
): TakenDate[] {
  const chosen = new Map(choices.map((one) => [one.uid, one]));
  const known = byName(before);
  const dates = foreign(series).flatMap((one) => {
    const choice = chosen.get(one.uid);
    if (choice === undefined) return [];
    const found = datesBefore(one, known);
    return one.dates.map((date) => taken(date, choice, found.get(date)));
  });
  return [...dates, ...kept];
}
