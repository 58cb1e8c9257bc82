import { array, boolean, object, type InferType } from 'yup';
import { WORK_IDS } from '#core/book/work.ts';
import type { CalendarEvent } from '#core/calendar/event.ts';
import { fact } from '#contract/fact.ts';
import { ofInstrument, ofPlayer } from '#core/record/fact.ts';
import { EVENT_KINDS, LEAST_EVENT_MINUTES, MOST_EVENT_MINUTES, MOST_REPEAT_WEEKS } from '#core/calendar/event.ts';
import {
  amount,
  clientKey,
  instrumentId,
  localDateText,
  money,
  playerId,
  text,
  visibleText,
  careItemId,
  word,
} from '#contract/scalars.ts';

export const calendarPaths = {
  events: '/api/events',
  of: (player: string, today: string) => `/api/events?playerId=${encodeURIComponent(player)}&today=${today}`,
} as const;

/** Instruments an event may name; more is a mistake. */
const MOST_INSTRUMENTS = 12;
/** Care an instrument may have had in one stay; more is a mistake. */
const MOST_CARE = 40;

/** What came of a stay at the bench: the care that was done, and what it cost. */
const stay = object({
  done: array(
    object({
      instrumentId: instrumentId().required(),
      itemIds: array(careItemId().required()).max(MOST_CARE).required(),
      works: array(word(WORK_IDS).required()).max(MOST_CARE).optional().default(undefined),
    })
      .exact()
      .required(),
  )
    .max(MOST_INSTRUMENTS)
    .required(),
  cost: money.nullable().defined(),
}).exact();

const fields = {
  playerId: playerId().required(),
  what: word(EVENT_KINDS).required(),
  on: localDateText().required(),
  /** Its last day, where it is longer than one. */
  until: localDateText().nullable().defined(),
  /** Null where nothing is played in it. */
  minutes: amount().integer().min(LEAST_EVENT_MINUTES).max(MOST_EVENT_MINUTES).nullable().defined(),
  instrumentIds: array(instrumentId().required()).max(MOST_INSTRUMENTS).required(),
};

/** What another program calls its entries. */
const LONGEST_ORIGIN = 4000;
const MINUTES_A_DAY = 1440;
const eventMinutes = () => amount().integer().min(LEAST_EVENT_MINUTES).max(MOST_EVENT_MINUTES);
/** The minute of the day at which it begins. */
const atMinute = () =>
  amount()
    .integer()
    .min(0)
    .max(MINUTES_A_DAY - 1);
/** Instruments that are played for another time than the rest. */
const minutesOf = () =>
  array(object({ instrumentId: instrumentId().required(), minutes: eventMinutes().required() }).exact().required()).max(
    MOST_INSTRUMENTS,
  );
/** How often it comes again on the same weekday, and the last day it may. */
const repeats = object({
  weeks: amount().integer().min(1).max(MOST_REPEAT_WEEKS).required(),
  until: localDateText().required(),
}).exact();

/** `POST /api/events`: an event with its day or days, its minutes where it is played, and its instruments. */
export const eventFact = fact({
  kind: 'event',
  path: calendarPaths.events,
  fields: {
    ...fields,
    name: visibleText(60).nullable().defined(),
    atMinute: atMinute().nullable().optional(),
    minutesOf: minutesOf().optional(),
    repeats: repeats.nullable().optional().default(undefined),
    stay: stay.nullable().optional(),
    /** The imported event it stands in the place of. */
    insteadOf: clientKey().nullable().optional(),
    /** The imported event is not wanted. */
    dropped: boolean().strict().optional(),
  },
  kept: {
    ...fields,
    name: text().max(1000).nullable().defined(),
    atMinute: atMinute().nullable().defined(),
    minutesOf: minutesOf().required(),
    repeats: repeats.nullable().defined(),
    stay: stay.nullable().defined(),
    origin: object({
      calendar: text().max(LONGEST_ORIGIN).defined(),
      uid: text().max(LONGEST_ORIGIN).defined(),
      instance: text().max(LONGEST_ORIGIN).nullable().defined(),
      said: text().max(LONGEST_ORIGIN).defined(),
      dropped: boolean().strict().required(),
    })
      .exact()
      .nullable()
      .defined(),
  },
  about: ({ playerId: id, instrumentIds }: Omit<CalendarEvent, 'key'>) => [
    ofPlayer(id),
    ...instrumentIds.map(ofInstrument),
  ],
  correctable: true,
});

/** `GET /api/events?playerId=&today=` */
export const eventsQuery = object({ playerId: playerId().required(), today: localDateText().required() })
  .exact()
  .required();

/** The events of a player from today on, the next first. */
export const eventList = array(
  object({
    key: clientKey().required(),
    ...fields,
    name: text().nullable().defined(),
    atMinute: atMinute().nullable().defined(),
    minutesOf: minutesOf().required(),
    /** The series it is one of, as that was typed; null where it comes once. */
    series: object({ key: clientKey().required(), on: localDateText().required(), repeats: repeats.required() })
      .exact()
      .nullable()
      .defined(),
    stay: stay.nullable().defined(),
    /** The calendar it was imported from; null where it was typed. */
    calendar: text().nullable().defined(),
    /** It stands as it was imported: another takes its place, or drops it, as `insteadOf`. */
    asImported: boolean().strict().required(),
  })
    .exact()
    .required(),
).required();
export type EventView = InferType<typeof eventList>[number];
