import { array, object, type InferType } from 'yup';
import { EVENT_KINDS } from '#core/calendar/event.ts';
import { MOST_TIME } from '#core/sittings/sitting-numbers.ts';
import {
  amount,
  careItemId,
  clientKey,
  factRequest,
  instrumentId,
  localDateText,
  playerId,
  text,
  whyLines,
  word,
} from '#contract/scalars.ts';

export const sittingPaths = {
  plan: '/api/sittings',
  times: '/api/sittings/times',
  file: '/api/calendar.ics',
  fileOf: (player: string, today: string) => `/api/calendar.ics?playerId=${encodeURIComponent(player)}&today=${today}`,
  of: (player: string, today: string) => `/api/sittings?playerId=${encodeURIComponent(player)}&today=${today}`,
} as const;

const DAYS_A_WEEK = 7;

/** `POST /api/sittings/times`: minutes the player usually has on each weekday, Monday first. */
export const sittingTimeRequest = factRequest({
  playerId: playerId().required(),
  minutes: array(amount().integer().min(0).max(MOST_TIME).required()).length(DAYS_A_WEEK).required(),
});
export type SittingTimeRequest = InferType<typeof sittingTimeRequest>;

/** `GET /api/sittings?playerId=&today=` */
export const sittingsQuery = object({ playerId: playerId().required(), today: localDateText().required() })
  .exact()
  .required();

const placedItem = object({
  instrumentId: instrumentId().required(),
  instrumentName: text().required(),
  itemId: careItemId().required(),
  name: text().required(),
  /** Why it lies here. */
  words: text().required(),
  dueOn: localDateText().nullable().defined(),
  earliest: localDateText().nullable().defined(),
  latest: localDateText().nullable().defined(),
})
  .exact()
  .required();
export type PlacedItemView = InferType<typeof placedItem>;

/** Six weeks of one player: sittings, events, and what finds no day. */
export const sittingsView = object({
  playerId: playerId().required(),
  today: localDateText().required(),
  /** Minutes by weekday as the player has said; null where nobody has, and what is taken then. */
  said: array(amount().required()).nullable().defined(),
  usual: array(amount().required()).required(),
  /** Minutes of each day of the plan. */
  time: array(amount().min(0).required()).required(),
  sittings: array(
    object({
      on: localDateText().required(),
      minutes: amount().min(0).required(),
      words: text().required(),
      items: array(placedItem).required(),
    })
      .exact()
      .required(),
  ).required(),
  left: array(placedItem).required(),
  events: array(
    object({
      key: clientKey().required(),
      what: word(EVENT_KINDS).required(),
      on: localDateText().required(),
      until: localDateText().required(),
      words: text().required(),
    })
      .exact()
      .required(),
  ).required(),
  instruments: array(
    object({ instrumentId: instrumentId().required(), name: text().required() }).exact().required(),
  ).required(),
  words: text().required(),
  because: whyLines,
})
  .exact()
  .required();
export type SittingsView = InferType<typeof sittingsView>;
