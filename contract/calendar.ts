import { array, object, type InferType } from 'yup';
import { EVENT_KINDS, LEAST_EVENT_MINUTES, MOST_EVENT_MINUTES } from '#core/calendar/event.ts';
import {
  amount,
  clientKey,
  factRequest,
  instrumentId,
  localDateText,
  playerId,
  text,
  visibleText,
  word,
} from '#contract/scalars.ts';

export const calendarPaths = {
  events: '/api/events',
  of: (player: string, today: string) => `/api/events?playerId=${encodeURIComponent(player)}&today=${today}`,
} as const;

/** Instruments an event may name; more is a mistake. */
const MOST_INSTRUMENTS = 12;

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

/** `POST /api/events`: an event with its day or days, its minutes where it is played, and its instruments. */
export const eventRequest = factRequest({ ...fields, name: visibleText(60).nullable().defined() });
export type EventRequest = InferType<typeof eventRequest>;

/** `GET /api/events?playerId=&today=` */
export const eventsQuery = object({ playerId: playerId().required(), today: localDateText().required() })
  .exact()
  .required();

/** The events of a player from today on, the next first. */
export const eventList = array(
  object({ key: clientKey().required(), ...fields, name: text().nullable().defined() })
    .exact()
    .required(),
).required();
export type EventView = InferType<typeof eventList>[number];
