import { array, boolean, object, type InferType } from 'yup';
import { answerOf, fact } from '#contract/fact.ts';
import { ofInstrument } from '#core/record/fact.ts';
import type { CareDone } from '#core/care/done-by.ts';
import { KIND_IDS, PART_IDS } from '#core/instruments/kind.ts';
import { DECISION_KINDS } from '#core/care/care-decision.ts';
import { DONE_BY } from '#core/care/done-by.ts';
import { HANDS } from '#core/players/player.ts';
import { stopView } from '#contract/faults.ts';
import { aloneView, gaugeView, instrumentView, lastPlayView, stripSegment } from '#contract/instruments.ts';
import {
  amount,
  careItemId,
  clientKey,
  dueRange,
  instrumentId,
  localDateText,
  playerId,
  signId,
  text,
  whyLines,
  word,
} from '#contract/scalars.ts';

/** More than any instrument has. */
const MOST_ITEMS = 60;

export const carePaths = {
  log: '/api/care',
  overview: (today: string) => `/api/care?today=${today}`,
  signs: '/api/care/signs',
  decisions: '/api/care/decisions',
  lastDone: '/api/care/last-done',
  wetnessResets: '/api/care/wetness-resets',
  page: (instrumentId: string, today: string) => `/api/care/${instrumentId}?today=${today}`,
} as const;

/** `POST /api/care`: something was done outside a run: at the bench, elsewhere, or before Ulu was asked. */
export const careFact = fact({
  kind: 'care',
  path: carePaths.log,
  fields: {
    instrumentId: instrumentId().required(),
    itemId: careItemId().required(),
    doneOn: localDateText().required(),
    by: word(DONE_BY).required(),
  },
  kept: {
    instrumentId: instrumentId().required(),
    itemId: careItemId().required(),
    by: word(DONE_BY).required(),
    /** Minutes since 1970 by the player's clock. */
    wallMinute: amount().integer().required(),
  },
  about: ({ instrumentId: id }: CareDone) => [ofInstrument(id)],
  answer: answerOf({
    key: clientKey().required(),
    instrumentId: instrumentId().required(),
    itemId: careItemId().required(),
    doneOn: localDateText().required(),
    by: word(DONE_BY).required(),
  }),
});

/** `POST /api/care/signs`: something was noticed, tapped where it was seen. */
export const signFact = fact({
  kind: 'sign',
  path: carePaths.signs,
  fields: {
    instrumentId: instrumentId().required(),
    itemId: careItemId().required(),
    /** Which of the signs that call for it. Nothing was said of it before signs were one list. */
    sign: signId().optional().default(undefined),
    part: word(PART_IDS).required(),
  },
  about: ({ instrumentId: id }) => [ofInstrument(id)],
});

/** `POST /api/care/decisions`: let it wait until a day, do not do it, or take it up again. */
export const decisionFact = fact({
  kind: 'decision',
  path: carePaths.decisions,
  fields: {
    instrumentId: instrumentId().required(),
    itemId: careItemId().required(),
    kind: word(DECISION_KINDS).required(),
    until: localDateText().nullable().defined(),
  },
  about: ({ instrumentId: id }) => [ofInstrument(id)],
});

/** `POST /api/care/last-done`: what is remembered of many items at once; it lands whole or not at all. */
export const lastDoneFact = fact({
  kind: 'last-done',
  path: carePaths.lastDone,
  fields: {
    instrumentId: instrumentId().required(),
    items: array(
      object({ itemId: careItemId().required(), doneOn: localDateText().required(), by: word(DONE_BY).required() })
        .exact()
        .required(),
    )
      .min(1)
      .max(MOST_ITEMS)
      .required(),
  },
  about: ({ instrumentId: id }) => [ofInstrument(id)],
});

/** `POST /api/care/wetness-resets`: what was learned of how wet its player blows it counts no longer. */
export const wetnessResetFact = fact({
  kind: 'wetness-reset',
  path: carePaths.wetnessResets,
  fields: {
    instrumentId: instrumentId().required(),
  },
  about: ({ instrumentId: id }) => [ofInstrument(id)],
});

/** How one care item of an instrument stands. */
export const careClockView = object({
  itemId: careItemId().required(),
  name: text().required(),
  part: word(PART_IDS).required(),
  partName: text().required(),
  gauge: gaugeView.required(),
  everyPlay: boolean().strict().required(),
  atBench: boolean().strict().required(),
  hands: word(HANDS).required(),
  /** Done at home in one go with whatever else is due. */
  dueAtHome: boolean().strict().required(),
  /** Due, and short enough to come along when the instrument is packed up. */
  goesAlong: boolean().strict().required(),
  /** The signs that call for it where it has no clock, and the parts on which they can be seen. */
  signs: array(object({ sign: signId().required(), words: text().required() }).exact().required()).required(),
  seenOn: array(word(PART_IDS).required()).required(),
  /** Somebody has seen or heard what it is for; which of its signs, where that was said. */
  noticed: boolean().strict().required(),
  noticedSign: signId().nullable().defined(),
  declined: boolean().strict().required(),
  postponedUntil: localDateText().nullable().defined(),
  /** What it costs not to do it. */
  caution: text().required(),
  minutes: amount().min(0).required(),
  lastDone: object({ on: localDateText().required(), by: word(DONE_BY).required() })
    .exact()
    .nullable()
    .defined(),
  due: dueRange.nullable().defined(),
  because: whyLines,
})
  .exact()
  .required();
export type CareClockView = InferType<typeof careClockView>;

/** `GET /api/care/:instrumentId?today=`: everything the instrument's page and its "Now" show. */
export const instrumentPage = object({
  instrument: instrumentView,
  /** It is played on reeds, which have a page of their own. */
  onReeds: boolean().strict().required(),
  strip: array(stripSegment).required(),
  /** All clocks in the book's order. */
  clocks: array(careClockView).required(),
  /** Ids of the clocks that call for attention, most pressing first. */
  calling: array(text().required()).required(),
  awaitsPackUp: boolean().strict().required(),
  /** Cased damp, packed up on the way: since when, and what that costs; null where it is not. */
  damp: object({ sinceWallMinute: amount().integer().required(), because: whyLines }).exact().nullable().defined(),
  /** It is new to its player, or has rested long: what comes before its first note; null where it does not. */
  firstNote: object({ words: text().required(), because: whyLines, itemIds: array(careItemId().required()).required() })
    .exact()
    .nullable()
    .defined(),
  /** It is at the bench until then; null where it is not. */
  awayUntil: localDateText().nullable().defined(),
  /** It goes there today, and nobody has packed it yet. */
  goesToday: boolean().strict().required(),
  /** It is to be packed for the bench, looked at when it comes from there, or measured again; null where none of it is. */
  benchAsks: object({ what: word(['pack', 'fetch', 'measure']).required(), words: text().required() })
    .exact()
    .nullable()
    .defined(),
  /** It is stopped: not to be played, or not to be forced. */
  stopped: stopView.nullable().defined(),
  /** Something is wrong with it, and it is still being asked what. */
  wrong: object({ key: text().required(), words: text().required() }).exact().nullable().defined(),
  /** Packed up in a hurry: what of every play was left. */
  leftForLater: array(
    object({ itemId: careItemId().required(), name: text().required() }).exact().required(),
  ).required(),
  openRunKey: text().nullable().defined(),
  lastPlay: lastPlayView,
  alone: aloneView,
  /** Minutes of an ordinary week at the player's forecast, Monday first. */
  week: object({
    meanMinutes: array(amount().required()).length(7).required(),
    daysSeen: amount().integer().required(),
    usualPlayMinutes: amount().integer().required(),
  })
    .exact()
    .required(),
  /** Items with a history that this build does not have any more, with the reason. */
  closed: array(
    object({ itemId: careItemId().required(), name: text().required(), why: text().required() }).exact().required(),
  ).required(),
  water: object({
    grams: amount().min(0).required(),
    minutes: amount().min(0).required(),
    because: whyLines,
    /** Brass: after how many minutes of playing water is worth letting out. */
    letOut: object({ minutes: amount().positive().required(), because: whyLines }).exact().nullable().defined(),
  })
    .exact()
    .required(),
  /** What its player holds to where no step of a run says it, by the methods in force. */
  habits: array(text().required()).required(),
  /** What is believed of how wet its player blows it; null where it is not swabbed. */
  wetness: object({
    taps: amount().integer().min(0).required(),
    /** Their water against the usual, and the range four fifths of the belief lie in. */
    factor: amount().positive().required(),
    low: amount().positive().required(),
    high: amount().positive().required(),
    /** The belief over e^w, for drawing; as many weights as factors. */
    factors: array(amount().positive().required()).required(),
    weights: array(amount().min(0).required()).required(),
  })
    .exact()
    .nullable()
    .defined(),
  neverDos: array(
    object({ id: text().required(), text: text().required(), why: text().required() }).exact().required(),
  ).required(),
})
  .exact()
  .required();
export type InstrumentPage = InferType<typeof instrumentPage>;

/** `GET /api/care?today=`: what calls for attention on every instrument of the shelf. */
export const careOverview = array(
  object({
    instrumentId: instrumentId().required(),
    name: text().required(),
    kindName: text().required(),
    kind: word(KIND_IDS).required(),
    playerId: playerId().required(),
    calling: array(careClockView).required(),
  })
    .exact()
    .required(),
).required();
export type CareOverview = InferType<typeof careOverview>;
