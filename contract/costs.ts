import { array, boolean, object, type InferType } from 'yup';
import { WORK_IDS } from '#core/book/work.ts';
import { BILL_SORTS, MOST_WORKS } from '#core/costs/bill.ts';
import { ofInstrument, ofPlayer } from '#core/record/fact.ts';
import { fact } from '#contract/fact.ts';
import {
  amount,
  clientKey,
  instrumentId,
  localDateText,
  money,
  playerId,
  text,
  visibleText,
  whyLines,
  word,
} from '#contract/scalars.ts';

export const costPaths = {
  page: (player: string, today: string) => `/api/costs?playerId=${encodeURIComponent(player)}&today=${today}`,
  bill: '/api/costs/bills',
  saved: '/api/costs/saved',
  read: '/api/costs',
} as const;

/** `POST /api/costs/bills`: what was asked for work or for a thing, or what was paid. */
export const billFact = fact({
  kind: 'bill',
  path: costPaths.bill,
  fields: {
    instrumentId: instrumentId().required(),
    sort: word(BILL_SORTS).required(),
    works: array(word(WORK_IDS).required()).max(MOST_WORKS).required(),
    what: visibleText(80).nullable().defined(),
    cost: money.required(),
    saidOn: localDateText().required(),
  },
  about: ({ instrumentId: id }) => [ofInstrument(id)],
  correctable: true,
});

/** `POST /api/costs/saved`: what a player has put aside so far; the last word counts. */
export const savedFact = fact({
  kind: 'saved',
  path: costPaths.saved,
  fields: { playerId: playerId().required(), amount: money.required() },
  about: ({ playerId: id }) => [ofPlayer(id)],
});

/** `GET /api/costs?playerId=&today=` */
export const costsQuery = object({ playerId: playerId().required(), today: localDateText().required() })
  .exact()
  .required();

const coins = () => amount().integer().min(0);
const range = { least: coins().required(), most: coins().required(), words: text().required() };

const yearView = object({
  year: amount().integer().required(),
  minutes: coins().required(),
  service: coins().required(),
  repair: coins().required(),
  reeds: coins().required(),
  things: coins().required(),
  sum: coins().required(),
})
  .exact()
  .required();
export type CostYearView = InferType<typeof yearView>;

const instrumentCosts = object({
  instrumentId: instrumentId().required(),
  name: text().required(),
  years: array(yearView).required(),
  /** What it cost, in a sentence: the last twelve months and an hour of them. */
  words: text().required(),
  /** Bills and quotes, the newest first. */
  bills: array(
    object({ key: clientKey().required(), on: localDateText().required(), words: text().required() })
      .exact()
      .required(),
  ).required(),
})
  .exact()
  .required();
export type InstrumentCosts = InferType<typeof instrumentCosts>;

const comingView = object({
  key: text().required(),
  instrumentId: instrumentId().required(),
  name: text().required(),
  on: localDateText().required(),
  ...range,
  isSaid: boolean().strict().required(),
  /** What putting it off would change; null where nothing. */
  putOff: text().nullable().defined(),
})
  .exact()
  .required();
export type ComingView = InferType<typeof comingView>;

export const costsView = object({
  playerId: playerId().required(),
  today: localDateText().required(),
  currency: text().nullable().defined(),
  saved: object({ on: localDateText().required(), minor: coins().required() }).exact().nullable().defined(),
  instruments: array(instrumentCosts).required(),
  coming: array(comingView).required(),
  /** What to put aside; null where no price is known yet. */
  plan: object({
    deposit: coins().required(),
    short: coins().required(),
    words: text().required(),
    because: whyLines,
    /** What there will be on the first of each month, after what is paid in it, for the chart. */
    months: array(
      object({ from: localDateText().required(), left: amount().integer().required(), paid: coins().required() })
        .exact()
        .required(),
    ).required(),
  })
    .exact()
    .nullable()
    .defined(),
  /** Work a bill may be for. */
  works: array(
    object({ work: word(WORK_IDS).required(), name: text().required() })
      .exact()
      .required(),
  ).required(),
})
  .exact()
  .required();
export type CostsView = InferType<typeof costsView>;
