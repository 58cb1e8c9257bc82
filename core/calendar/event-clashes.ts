import { eventWords, isPlayed, lastDayOf, minutesIn, type CalendarEvent } from '#core/calendar/event.ts';
import { asSentence, duration, type Format } from '#core/explain/format.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { MINUTES_PER_DAY } from '#core/plays/play.ts';
import { dateOfDay, dayNumber, type LocalDate } from '#core/time/local-date.ts';

type Named = { readonly instrumentId: InstrumentId; readonly name: string };

type ClashesAsked = {
  readonly today: LocalDate;
  readonly instruments: readonly Named[];
  readonly format: Format;
};

const isStay = ({ what, stay }: CalendarEvent): boolean => what === 'bench' && stay === null;
const overlap = (one: CalendarEvent, other: CalendarEvent): boolean =>
  one.on <= lastDayOf(other) && other.on <= lastDayOf(one);
const on = (event: CalendarEvent, id: InstrumentId): boolean => event.instrumentIds.includes(id);

/** "3 December 2026 to 10 December 2026" */
const daysWords = (event: CalendarEvent, format: Format): string =>
  lastDayOf(event) === event.on
    ? format.date(event.on)
    : `${format.date(event.on)} to ${format.date(lastDayOf(event))}`;

/** What is played on an instrument that is at the bench then. */
function playedWhileAway(events: readonly CalendarEvent[], { instruments, format }: ClashesAsked): string[] {
  const stays = events.filter(isStay);
  return events
    .filter(({ what }) => isPlayed(what))
    .flatMap((event) =>
      instruments.flatMap(({ instrumentId, name }) => {
        const away = stays.filter((one) => on(one, instrumentId) && on(event, instrumentId) && overlap(one, event));
        // Of two stays that overlap it is back after the later.
        const until = away.map(lastDayOf).toSorted().at(-1);
        if (until === undefined) return [];
        const day = format.date(event.on);
        return [`${asSentence(eventWords(event))}, ${day}: ${name} is at the bench until ${format.date(until)}.`];
      }),
    );
}

/** Stays of one instrument that overlap. */
function overlappingStays(events: readonly CalendarEvent[], { instruments, format }: ClashesAsked): string[] {
  return instruments.flatMap(({ instrumentId, name }) => {
    const stays = events.filter((event) => isStay(event) && on(event, instrumentId));
    return stays.flatMap((one, at) =>
      stays
        .slice(at + 1)
        .filter((other) => overlap(one, other))
        .map(
          (other) =>
            `Two stays of ${name} at the bench overlap: ${daysWords(one, format)}, and ${daysWords(other, format)}.`,
        ),
    );
  });
}

/** Days on which more is to be played than a day has. */
function overfullDays(events: readonly CalendarEvent[], { format }: ClashesAsked): string[] {
  const days = new Map<number, number>();
  for (const event of events)
    if (isPlayed(event.what))
      for (const id of event.instrumentIds) {
        const day = dayNumber(event.on);
        days.set(day, (days.get(day) ?? 0) + (minutesIn(event, id) ?? 0));
      }
  return [...days]
    .filter(([, minutes]) => minutes > MINUTES_PER_DAY)
    .map(
      ([day, minutes]) =>
        `On ${format.date(dateOfDay(day))} ${duration(minutes)} are to be played: more than a day has.`,
    );
}

/**
 * What of a calendar does not go together, from today on, in sentences: what is played on an instrument that is away, stays
 * that overlap, days with more to play than they have.
 */
export function eventClashes(events: readonly CalendarEvent[], asked: ClashesAsked): string[] {
  const ahead = events.filter((event) => lastDayOf(event) >= asked.today);
  return [...playedWhileAway(ahead, asked), ...overlappingStays(ahead, asked), ...overfullDays(ahead, asked)];
}

/** A thing the player has set on days of their own, in days from today, with those too near before an audience. */
export type SetThing = {
  readonly name: string;
  readonly instrumentName: string;
  readonly set: readonly number[];
  readonly settling: ReadonlySet<number>;
};

/** Care that is set so near before an audience that it has no time to settle. */
export const setTooNear = (
  things: readonly SetThing[],
  { today, format }: { readonly today: LocalDate; readonly format: Format },
): string[] =>
  things.flatMap(({ name, instrumentName, set, settling }) =>
    set
      .filter((day) => settling.has(day))
      .map((day) => {
        const date = format.date(dateOfDay(dayNumber(today) + day));
        return `${instrumentName}: you have set “${name.toLowerCase()}” for ${date}, and an audience comes too soon after. It has to settle first.`;
      }),
  );
