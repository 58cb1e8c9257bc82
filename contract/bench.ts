import { array, boolean, object, type InferType } from 'yup';
import { fact } from '#contract/fact.ts';
import { ofInstrument, ofPlayer } from '#core/record/fact.ts';
import { HANDOVER_ANSWERS } from '#core/calendar/handover.ts';
import { HANDOVER_LISTS } from '#core/book/packing.ts';
import { WORK_IDS } from '#core/book/work.ts';
import { MOST_BENCH } from '#core/bench/bench-terms.ts';
import {
  amount,
  careItemId,
  clientKey,
  instrumentId,
  localDateText,
  namedInstrument,
  playerId,
  text,
  visibleText,
  whyLines,
  word,
} from '#contract/scalars.ts';

export const benchPaths = {
  page: '/api/bench',
  terms: '/api/bench/terms',
  handover: '/api/bench/handovers',
  regions: '/api/bench/regions',
  ticketRoute: '/api/bench/:instrumentId/ticket',
  ticket: (instrument: string, today: string) => `/api/bench/${instrument}/ticket?today=${today}`,
  yearRoute: '/api/bench/:instrumentId/year',
  year: (instrument: string, today: string) => `/api/bench/${instrument}/year?today=${today}`,
  of: (player: string, today: string) => `/api/bench?playerId=${encodeURIComponent(player)}&today=${today}`,
} as const;

const days = (most: number) => amount().integer().min(0).max(most).required();

/** Months of the year, January 1. */
const months = () => array(amount().integer().min(1).max(12).required()).max(12);

/** A country or a part of it, whose public holidays are known: "DE", "DE-BY". */
const region = () => text().max(60);

/** `POST /api/bench/terms`: the bench a player goes to, and how long an instrument is away. */
export const benchTermsFact = fact({
  kind: 'bench-terms',
  path: benchPaths.terms,
  fields: {
    playerId: playerId().required(),
    name: visibleText(60).nullable().defined(),
    phone: visibleText(40).nullable().defined(),
    workingDays: days(MOST_BENCH.workingDays),
    shippingDays: days(MOST_BENCH.shippingDays),
    settlingDays: days(MOST_BENCH.settlingDays),
    region: region().nullable(),
    noShippingMonths: months().optional().default(undefined),
  },
  about: ({ playerId: id }) => [ofPlayer(id)],
});

/** `GET /api/bench/regions`: where public holidays are known, by name. */
export const regionList = array(
  object({ region: region().required(), name: text().required() }).exact().required(),
).required();
export type RegionList = InferType<typeof regionList>;

/** `GET /api/bench?playerId=&today=` */
export const benchQuery = object({ playerId: playerId().required(), today: localDateText().required() })
  .exact()
  .required();

const benchItem = object({ itemId: careItemId().required(), name: text().required() }).exact().required();

/** An instrument with work for the bench, and when it should go. */
const forTheBench = object({
  instrumentId: instrumentId().required(),
  name: text().required(),
  /** What asks for it, the most pressing first. */
  jobs: array(
    object({ name: text().required(), work: word(WORK_IDS).required(), workName: text().required() })
      .exact()
      .required(),
  ).required(),
  isDue: boolean().strict().required(),
  /** The best days, at least a week apart; none where every day clashes with something. */
  days: array(
    object({
      on: localDateText().required(),
      back: localDateText().required(),
      ready: localDateText().required(),
      /** What it costs in minutes of playing, all reasons counted. */
      minutes: amount().integer().min(0).required(),
      words: text().required(),
      because: whyLines,
    })
      .exact()
      .required(),
  ).required(),
  headline: text().required(),
  because: whyLines,
})
  .exact()
  .required();
export type ForTheBenchView = InferType<typeof forTheBench>;

/** A stay that has begun, of which nobody has said yet what came of it. */
const openStay = object({
  key: clientKey().required(),
  on: localDateText().required(),
  until: localDateText().required(),
  name: text().nullable().defined(),
  words: text().required(),
  /** The instruments that are there, each with the care a bench may have done. */
  instruments: array(
    object({
      instrumentId: instrumentId().required(),
      name: text().required(),
      items: array(benchItem).required(),
      /** Work that was asked for and is no care of the book. */
      works: array(
        object({ work: word(WORK_IDS).required(), name: text().required() })
          .exact()
          .required(),
      ).required(),
    })
      .exact()
      .required(),
  ).required(),
})
  .exact()
  .required();
export type OpenStayView = InferType<typeof openStay>;

export const benchView = object({
  playerId: playerId().required(),
  today: localDateText().required(),
  terms: object({
    name: text().nullable().defined(),
    phone: text().nullable().defined(),
    workingDays: days(MOST_BENCH.workingDays),
    shippingDays: days(MOST_BENCH.shippingDays),
    settlingDays: days(MOST_BENCH.settlingDays),
    region: region().nullable().defined(),
    noShippingMonths: months().required(),
    /** The player has said so; else it is what is usual. */
    said: boolean().strict().required(),
  })
    .exact()
    .required(),
  /** In which prices are said; null before the first of them. */
  currency: text().nullable().defined(),
  stays: array(openStay).required(),
  instruments: array(forTheBench).required(),
  /** Instruments of which nobody knows when the bench last had them. */
  unknown: array(namedInstrument).required(),
})
  .exact()
  .required();
export type BenchView = InferType<typeof benchView>;

/** An id of a line of packing or fetching. What this instrument has not is refused by whoever looks it up. */
const lineId = () => text().max(40);
/** More lines no list has. */
const MOST_LINES = 40;

/** `POST /api/bench/handovers`: it was packed for the bench, or looked at when it was fetched, line by line. */
export const handoverFact = fact({
  kind: 'handover',
  path: benchPaths.handover,
  fields: {
    instrumentId: instrumentId().required(),
    list: word(HANDOVER_LISTS).required(),
    lines: array(
      object({ line: lineId().required(), answer: word(HANDOVER_ANSWERS).required() })
        .exact()
        .required(),
    )
      .min(1)
      .max(MOST_LINES)
      .required(),
  },
  about: ({ instrumentId: id }) => [ofInstrument(id)],
});

const lines = array(object({ name: text().required(), text: text().required() }).exact().required()).required();
const listed = array(
  object({
    id: lineId().required(),
    text: text().required(),
    /** What to do where it is not so. */
    amiss: text().required(),
  })
    .exact()
    .required(),
).required();
/** When a list was gone through last, and what was not so then. */
const goneThrough = object({ on: localDateText().required(), notSo: array(text().required()).required() })
  .exact()
  .nullable()
  .defined();

/** `GET /api/bench/:instrumentId/ticket?today=`: what the bench is told, what goes along, what is seen to when it is back. */
export const ticketView = object({
  instrumentId: instrumentId().required(),
  today: localDateText().required(),
  instrument: text().required(),
  kindName: text().required(),
  build: array(text().required()).required(),
  serial: text().nullable().defined(),
  player: text().required(),
  bench: object({ name: text().nullable().defined(), phone: text().nullable().defined() }).exact().required(),
  wanted: lines,
  note: array(text().required()).required(),
  readings: lines,
  last: text().nullable().defined(),
  hasCase: boolean().strict().required(),
  packing: listed,
  packed: goneThrough,
  pickUp: listed,
  fetched: goneThrough,
  /** Somebody grown up goes through the lists with whoever plays it. */
  withSomebody: boolean().strict().required(),
  /** All of it as plain text. */
  asText: text().required(),
})
  .exact()
  .required();
export type TicketView = InferType<typeof ticketView>;

/** `GET /api/bench/:instrumentId/year?today=`: twelve months of an instrument for whoever pays. */
export const yearView = object({
  instrumentId: instrumentId().required(),
  from: localDateText().required(),
  today: localDateText().required(),
  instrument: text().required(),
  kindName: text().required(),
  player: text().required(),
  serial: text().nullable().defined(),
  /** How much it was played, how its care stands, what it cost: a sentence each. */
  sums: array(text().required()).required(),
  stays: lines,
  bills: lines,
  readings: lines,
  wrong: lines,
  coming: lines,
})
  .exact()
  .required();
export type YearOfInstrument = InferType<typeof yearView>;
