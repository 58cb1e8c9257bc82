import { array, boolean, object, type InferType } from 'yup';
import { fact } from '#contract/fact.ts';
import { ofPlayer } from '#core/record/fact.ts';
import type { SittingMoved } from '#core/sittings/sitting-pin.ts';
import { EVENT_KINDS } from '#core/calendar/event.ts';
import { MOST_PLANNED, MOST_TIME } from '#core/sittings/sitting-numbers.ts';
import {
  amount,
  careItemId,
  clientKey,
  instrumentId,
  localDateText,
  namedInstrument,
  playerId,
  text,
  whyLines,
  word,
} from '#contract/scalars.ts';

export const sittingPaths = {
  plan: '/api/sittings',
  times: '/api/sittings/times',
  moves: '/api/sittings/moves',
  file: '/api/calendar.ics',
  feed: '/api/calendar/feed',
  endFeed: '/api/calendar/feed/end',
  feedOf: (player: string) => `/api/calendar/feed?playerId=${encodeURIComponent(player)}`,
  /** Subscribed to by calendar programs. */
  subscribed: '/api/calendar/subscribed/:secret',
  fileOf: (player: string, today: string) => `/api/calendar.ics?playerId=${encodeURIComponent(player)}&today=${today}`,
  of: (player: string, today: string) => `/api/sittings?playerId=${encodeURIComponent(player)}&today=${today}`,
} as const;

const DAYS_A_WEEK = 7;

const MINUTES_A_DAY = 1440;
/** The minute of the day at which a sitting begins on each weekday, Monday first; null where nobody has said. */
const startsAt = () =>
  array(
    amount()
      .integer()
      .min(0)
      .max(MINUTES_A_DAY - 1)
      .nullable()
      .defined(),
  ).length(DAYS_A_WEEK);

/** `POST /api/sittings/times`: minutes the player usually has on each weekday, Monday first, and from when. */
export const sittingTimeFact = fact({
  kind: 'sitting-time',
  path: sittingPaths.times,
  fields: {
    playerId: playerId().required(),
    minutes: array(amount().integer().min(0).max(MOST_TIME).required()).length(DAYS_A_WEEK).required(),
    startsAt: startsAt().nullable(),
  },
  about: ({ playerId: id }) => [ofPlayer(id)],
});

/** `POST /api/sittings/moves`: what of a sitting is done on another day; null leaves it to the plan again. */
export const sittingMoveFact = fact({
  kind: 'sitting-move',
  path: sittingPaths.moves,
  fields: {
    playerId: playerId().required(),
    times: array(
      object({
        instrumentId: instrumentId().required(),
        itemId: careItemId().required(),
        dueOn: localDateText().required(),
      })
        .exact()
        .required(),
    )
      .min(1)
      // More are in no sitting.
      .max(MOST_PLANNED)
      .required(),
    on: localDateText().nullable().defined(),
  },
  kept: {
    playerId: playerId().required(),
    pins: array(
      object({
        instrumentId: instrumentId().required(),
        itemId: careItemId().required(),
        dueOn: localDateText().required(),
        on: localDateText().nullable().defined(),
      })
        .exact()
        .required(),
    ).required(),
  },
  about: ({ playerId: id }: SittingMoved) => [ofPlayer(id)],
});

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
  /** When it falls due; what has no date is due today. */
  dueOn: localDateText().required(),
  earliest: localDateText().nullable().defined(),
  latest: localDateText().nullable().defined(),
  /** Who has to be there; empty where the player does it alone. */
  hands: text().defined(),
  /** The player has set its day. */
  isSet: boolean().strict().required(),
})
  .exact()
  .required();
export type PlacedItemView = InferType<typeof placedItem>;

const doneItem = object({
  instrumentId: instrumentId().required(),
  instrumentName: text().required(),
  itemId: careItemId().required(),
  name: text().required(),
})
  .exact()
  .required();
export type DoneItemView = InferType<typeof doneItem>;

/** Six weeks of one player: sittings, events, and what finds no day. */
export const sittingsView = object({
  playerId: playerId().required(),
  today: localDateText().required(),
  /** Minutes by weekday as the player has said; null where nobody has, and what is taken then. */
  said: array(amount().required()).nullable().defined(),
  usual: array(amount().required()).required(),
  startsAt: startsAt().nullable().defined(),
  /** Minutes of each day of the plan. */
  time: array(amount().min(0).required()).required(),
  sittings: array(
    object({
      uid: text().required(),
      on: localDateText().required(),
      /** The minute of the day at which it begins; null where nobody has said. */
      atMinute: amount().integer().min(0).nullable().defined(),
      minutes: amount().min(0).required(),
      words: text().required(),
      items: array(placedItem).required(),
    })
      .exact()
      .required(),
  ).required(),
  /** The care of the last two weeks, day by day. */
  past: array(
    object({ on: localDateText().required(), items: array(doneItem).required() })
      .exact()
      .required(),
  ).required(),
  /** Instruments that are stopped, and why: nothing is planned for them until somebody has looked. */
  stopped: array(namedInstrument.shape({ heading: text().required() })).required(),
  /** What of the calendar does not go together. */
  clashes: array(text().required()).required(),
  left: array(placedItem).required(),
  /** Care of which nobody knows when it was last done: it is in no sitting. */
  unknown: array(
    object({ instrumentId: instrumentId().required(), name: text().required(), count: amount().required() })
      .exact()
      .required(),
  ).required(),
  events: array(
    object({
      key: clientKey().required(),
      what: word(EVENT_KINDS).required(),
      on: localDateText().required(),
      until: localDateText().required(),
      words: text().required(),
      instrumentIds: array(instrumentId().required()).required(),
    })
      .exact()
      .required(),
  ).required(),
  instruments: array(
    namedInstrument.shape({
      /** Is it played on reeds? */
      onReeds: boolean().strict().required(),
    }),
  ).required(),
  words: text().required(),
  because: whyLines,
})
  .exact()
  .required();
export type SittingsView = InferType<typeof sittingsView>;

/** `GET /api/calendar/feed?playerId=`, `POST /api/calendar/feed`: the address of a player's calendar. */
export const feedQuery = object({ playerId: playerId().required() }).exact().required();
/** What of a calendar is wanted: what came from other calendars as well, and to be reminded. */
export const toldQuery = { imported: word(['yes', 'no'] as const), alarms: word(['yes', 'no'] as const) };
export const fileQuery = sittingsQuery.shape(toldQuery);
export const subscribedQuery = object(toldQuery);
/** What is wanted, as it stands behind an address; nothing where it is the usual. */
export function toldParams({ imported, alarms }: { readonly imported: boolean; readonly alarms: boolean }): string {
  return [...(imported ? ['imported=yes'] : []), ...(alarms ? [] : ['alarms=no'])].join('&');
}
/** The path with its secret; null before there is one. */
export const feedView = object({ path: text().nullable().defined() }).exact().required();
export type FeedView = InferType<typeof feedView>;
