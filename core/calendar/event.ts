import type { CareItemId } from '#core/book/care-ids.ts';
import type { WorkId } from '#core/book/work.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import type { Money } from '#core/money/money.ts';
import type { PlannedDay } from '#core/plays/forecast.ts';
import { addDays, dayNumber, daysBetween, type LocalDate } from '#core/time/local-date.ts';
import { MINUTES_PER_DAY } from '#core/plays/play.ts';

/** What is played on one day with so many minutes, and what takes days on which nothing is played, or no time is left. */
const PLAYED_EVENTS = ['concert', 'audition', 'rehearsal'] as const;
const DAYS_OFF = ['holiday', 'travel', 'bench'] as const;
export const EVENT_KINDS = [...PLAYED_EVENTS, ...DAYS_OFF] as const;
export type EventKind = (typeof EVENT_KINDS)[number];
export const isPlayed = (what: EventKind): boolean => PLAYED_EVENTS.some((one) => one === what);
/** Before an audience: the reed is ready, and nothing on the instrument has been changed just before. */
export const isOnStage = (what: EventKind): boolean => what === 'concert' || what === 'audition';

export const LEAST_EVENT_MINUTES = 1;
export const MOST_EVENT_MINUTES = 600;
/** Nobody plans further ahead, or looks further back. */
const FURTHEST_DAYS = 730;
/** A longer stay or holiday is a mistake. */
const LONGEST_DAYS = 366;

/** What a stay at the bench came to, once the instrument is back: its clocks count from there. */
export type BenchStay = {
  readonly done: readonly {
    readonly instrumentId: InstrumentId;
    readonly itemIds: readonly CareItemId[];
    /** Work that is no care of the book: a cork renewed, a valve fitted. */
    readonly works?: readonly WorkId[] | undefined;
  }[];
  readonly cost: Money | null;
};

/** Where an imported event comes from, so that importing it again changes it and does not double it. */
export type EventOrigin = {
  /** The calendar it stood in, by the name it has there. */
  readonly calendar: string;
  readonly uid: string;
  /** Which of a series; null where it is not one of a series. */
  readonly instance: string | null;
  /** What it said there: what the player has put right since stands until this changes. */
  readonly said: string;
  /** The player does not want it; it stays away when its calendar is imported again. */
  readonly dropped: boolean;
};

/** What comes more seldom is entered each time. */
export const MOST_REPEAT_WEEKS = 8;
/** Every how many weeks an event comes again, on the same weekday, and the last day it may. */
export type EventRepeats = { readonly weeks: number; readonly until: LocalDate };

/** A day, or days, of which more is known than their weekday, for the instruments it names. */
export type CalendarEvent = {
  readonly key: string;
  readonly playerId: PlayerId;
  readonly what: EventKind;
  readonly on: LocalDate;
  /** Its last day, where it is longer than one. */
  readonly until: LocalDate | null;
  /** The minute of the day at which it begins; null where nobody has said, and for what takes days. */
  readonly atMinute: number | null;
  /** Playing in it, on each of the instruments; null where nothing is played in it. */
  readonly minutes: number | null;
  /** Instruments that are played for another time than that. */
  readonly minutesOf: readonly { readonly instrumentId: InstrumentId; readonly minutes: number }[];
  /** Null where it comes once. */
  readonly repeats: EventRepeats | null;
  readonly name: string | null;
  readonly instrumentIds: readonly InstrumentId[];
  /** Null until it is back, and for what is no stay at the bench. */
  readonly stay: BenchStay | null;
  /** Null where it was typed. */
  readonly origin: EventOrigin | null;
};
type NewEvent = Omit<CalendarEvent, 'key'>;

export type EventRefusal =
  | { readonly code: 'event-too-far'; readonly field: 'on' }
  | { readonly code: 'event-ends-before' | 'event-too-long' | 'event-of-one-day'; readonly field: 'until' }
  | { readonly code: 'event-without-minutes' | 'event-not-played'; readonly field: 'minutes' }
  | { readonly code: 'event-minutes-of-another'; readonly field: 'minutesOf' }
  | { readonly code: 'event-not-repeated' | 'event-repeats-too-far'; readonly field: 'repeats' }
  | { readonly code: 'event-of-nothing'; readonly field: 'instrumentIds' }
  | { readonly code: 'stay-of-no-bench' | 'stay-not-over' | 'stay-of-another'; readonly field: 'stay' }
  | { readonly code: 'event-on-anothers'; readonly field: 'instrumentIds' };

/** Are its days in order, and no more than its kind has? */
function daysBreach({ what, on, until }: NewEvent, today: LocalDate): EventRefusal | null {
  if (on > addDays(today, FURTHEST_DAYS) || on < addDays(today, -FURTHEST_DAYS))
    return { code: 'event-too-far', field: 'on' };
  if (until === null) return null;
  if (until < on) return { code: 'event-ends-before', field: 'until' };
  if (isPlayed(what) && until !== on) return { code: 'event-of-one-day', field: 'until' };
  return daysBetween(on, until) > LONGEST_DAYS ? { code: 'event-too-long', field: 'until' } : null;
}

/** Is it played at a time, for a time on its own instruments, and again and again only within reach? */
function playedBreach(
  { what, on, atMinute, minutesOf, repeats, instrumentIds }: NewEvent,
  today: LocalDate,
): EventRefusal | null {
  if (!isPlayed(what)) {
    if (repeats !== null) return { code: 'event-not-repeated', field: 'repeats' };
    return atMinute === null && minutesOf.length === 0 ? null : { code: 'event-not-played', field: 'minutes' };
  }
  const ids = minutesOf.map(({ instrumentId }) => instrumentId);
  if (new Set(ids).size < ids.length || ids.some((id) => !instrumentIds.includes(id)))
    return { code: 'event-minutes-of-another', field: 'minutesOf' };
  if (repeats === null) return null;
  if (repeats.until < on) return { code: 'event-not-repeated', field: 'repeats' };
  return repeats.until > addDays(today, FURTHEST_DAYS) ? { code: 'event-repeats-too-far', field: 'repeats' } : null;
}

/** What came of a stay is said once it is over, and of instruments that were there. */
function stayRefusal({ what, on, until, stay, instrumentIds }: NewEvent, today: LocalDate): EventRefusal | null {
  if (stay === null) return null;
  if (what !== 'bench') return { code: 'stay-of-no-bench', field: 'stay' };
  if ((until ?? on) > today) return { code: 'stay-not-over', field: 'stay' };
  const there = stay.done.every(({ instrumentId }) => instrumentIds.includes(instrumentId));
  return there ? null : { code: 'stay-of-another', field: 'stay' };
}

/**
 * May this event be written down? Within two years, its days in order, with minutes where it is played, for instruments
 * of its player, each once.
 */
export function checkEvent(
  event: NewEvent,
  today: LocalDate,
  own: ReadonlySet<InstrumentId>,
): Outcome<NewEvent, EventRefusal> {
  const { what, minutes, instrumentIds } = event;
  const refusal = daysBreach(event, today) ?? playedBreach(event, today) ?? stayRefusal(event, today);
  if (refusal) return fail(refusal);
  if (isPlayed(what) && minutes === null) return fail({ code: 'event-without-minutes', field: 'minutes' });
  if (!isPlayed(what) && minutes !== null) return fail({ code: 'event-not-played', field: 'minutes' });
  if (instrumentIds.length === 0) return fail({ code: 'event-of-nothing', field: 'instrumentIds' });
  return instrumentIds.every((id, index) => own.has(id) && instrumentIds.indexOf(id) === index)
    ? succeed(event)
    : fail({ code: 'event-on-anothers', field: 'instrumentIds' });
}

const EVENT_WORDS: Readonly<Record<EventKind, string>> = {
  concert: 'a concert',
  audition: 'an audition',
  rehearsal: 'a rehearsal',
  holiday: 'a holiday',
  travel: 'a journey',
  bench: 'a stay at the bench',
};
/** "a concert", or what the player calls it. */
export const eventWords = ({ what, name }: Pick<CalendarEvent, 'what' | 'name'>): string => name ?? EVENT_WORDS[what];

/** How long one of its instruments is played in it; null where nothing is played. */
export const minutesIn = (
  { minutes, minutesOf }: Pick<CalendarEvent, 'minutes' | 'minutesOf'>,
  instrumentId: InstrumentId,
): number | null => minutesOf.find((one) => one.instrumentId === instrumentId)?.minutes ?? minutes;

/** The last day of an event. */
export const lastDayOf = ({ on, until }: Pick<CalendarEvent, 'on' | 'until'>): LocalDate => until ?? on;
/** The day numbers of an event, the first and the last among them. */
export const daysOf = ({ on, until }: Pick<CalendarEvent, 'on' | 'until'>): number[] =>
  Array.from({ length: daysBetween(on, until ?? on) + 1 }, (_, index) => dayNumber(on) + index);

/**
 * What events make of the days of an instrument: the minutes of what is played stand for the usual ones of that day, all
 * together where there are several, and no more than a day has; on other days of a holiday or a stay at the bench nothing is played. A journey
 * leaves what is usual.
 */
export function plannedDays(
  events: readonly CalendarEvent[],
  instrumentId: InstrumentId,
): ReadonlyMap<number, PlannedDay> {
  const days = new Map<number, PlannedDay>();
  const mine = events.filter(({ instrumentIds }) => instrumentIds.includes(instrumentId));
  for (const event of mine) {
    const minutes = minutesIn(event, instrumentId);
    if (minutes === null || !(minutes >= 0)) continue;
    const day = dayNumber(event.on);
    const before = days.get(day);
    days.set(day, {
      minutes: Math.min(MINUTES_PER_DAY, (before?.minutes ?? 0) + minutes),
      spreadMinutes: 0,
      plays: (before?.plays ?? 0) + 1,
      words: before === undefined ? eventWords(event) : `${before.words} and ${eventWords(event)}`,
    });
  }
  for (const event of mine.filter(({ what }) => what === 'holiday' || what === 'bench'))
    for (const day of daysOf(event))
      if (!days.has(day)) days.set(day, { minutes: 0, spreadMinutes: 0, plays: 0, words: eventWords(event) });
  return days;
}

/** The day an instrument is expected back from the bench, where it is there on a day; null where it is not. */
export function awayUntil(
  events: readonly CalendarEvent[],
  instrumentId: InstrumentId,
  on: LocalDate,
): LocalDate | null {
  const stays = events.filter(
    (event) =>
      event.what === 'bench' &&
      event.stay === null &&
      event.instrumentIds.includes(instrumentId) &&
      event.on <= on &&
      lastDayOf(event) >= on,
  );
  // Of two stays that overlap it is back after the later.
  return stays.map(lastDayOf).toSorted().at(-1) ?? null;
}

/** The day of the next stay that is planned and has not begun; null where none is. */
export const nextStayOn = (
  events: readonly CalendarEvent[],
  instrumentId: InstrumentId,
  today: LocalDate,
): LocalDate | null =>
  events
    .filter(
      ({ what, stay, on, instrumentIds }) =>
        what === 'bench' && stay === null && on > today && instrumentIds.includes(instrumentId),
    )
    .map(({ on }) => on)
    .toSorted()[0] ?? null;

/** What was done in one stay, on the day it came back. */
export type WorkDone = {
  readonly on: LocalDate;
  readonly itemIds: readonly CareItemId[];
  readonly works: readonly WorkId[];
};

/** What the bench did in the stays of an instrument that are over, each on the day it came back. */
export const workDoneAtBench = (events: readonly CalendarEvent[], instrumentId: InstrumentId): WorkDone[] =>
  events.flatMap((event) =>
    (event.stay?.done ?? [])
      .filter(({ instrumentId: of }) => of === instrumentId)
      .map(({ itemIds, works = [] }) => ({ on: lastDayOf(event), itemIds, works })),
  );

/**
 * When each was last done there.
 *
 * @param careOf the care that is done by a work: a pad that was renewed is a loose pad put right
 */
export function doneAtBench(
  events: readonly CalendarEvent[],
  instrumentId: InstrumentId,
  careOf: (work: WorkId) => readonly CareItemId[] = () => [],
): ReadonlyMap<CareItemId, LocalDate> {
  const last = new Map<CareItemId, LocalDate>();
  for (const { itemIds, works, on } of workDoneAtBench(events, instrumentId))
    for (const id of [...itemIds, ...works.flatMap(careOf)]) {
      const known = last.get(id);
      if (known === undefined || known < on) last.set(id, on);
    }
  return last;
}
