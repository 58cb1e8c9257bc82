import { array, boolean, object, type InferType } from 'yup';
import { fact } from '#contract/fact.ts';
import { ofInstrument, ofPlayer } from '#core/record/fact.ts';
import type { ConditionBegun } from '#core/conditions/condition-begun.ts';
import { CONDITION_IDS } from '#core/book/condition-ids.ts';
import { ALONE_IDS } from '#core/instruments/alone.ts';
import { MARKS } from '#core/explain/explained.ts';
import { PART_IDS } from '#core/instruments/kind.ts';
import { amount, careItemId, clientKey, instrumentId, localDateText, text, word, playerId } from '#contract/scalars.ts';

export const conditionPaths = {
  page: (instrumentId: string, today: string) => `/api/conditions/${instrumentId}?today=${today}`,
  begin: '/api/conditions',
  end: '/api/conditions/ends',
} as const;

const airReading = object({ celsius: amount().required(), humidityPercent: amount().required() }).exact();

/** `POST /api/conditions`: an illness, a new cork, dry air …; a player's own holds for all their instruments. */
export const conditionFact = fact({
  kind: 'condition',
  path: conditionPaths.begin,
  fields: {
    instrumentId: instrumentId().required(),
    condition: word(CONDITION_IDS).required(),
    beginsOn: localDateText().required(),
    endsOn: localDateText().nullable().defined(),
    part: word(PART_IDS).nullable().defined(),
    /** The parts that are played by themselves, where that is what it is. */
    alone: word(ALONE_IDS).nullable().optional(),
    air: airReading.nullable().defined(),
  },
  kept: {
    condition: word(CONDITION_IDS).required(),
    instrumentId: instrumentId().nullable().defined(),
    playerId: playerId().nullable().defined(),
    /** Nobody kept it at first. */
    saidOn: instrumentId().optional(),
    beginsOn: localDateText().required(),
    endsOn: localDateText().nullable().defined(),
    part: word(PART_IDS).nullable().defined(),
    alone: word(ALONE_IDS).nullable().defined(),
    air: airReading.nullable().defined(),
  },
  about: ({ instrumentId: instrument, playerId: player }: ConditionBegun) => [
    ...(instrument === null ? [] : [ofInstrument(instrument)]),
    ...(player === null ? [] : [ofPlayer(player)]),
  ],
});

/** `POST /api/conditions/ends`: its last day. */
export const conditionEndFact = fact({
  kind: 'condition-end',
  path: conditionPaths.end,
  fields: {
    conditionKey: clientKey().required(),
    endsOn: localDateText().required(),
  },
  about: () => [],
});

const effectView = object({ text: text().required(), mark: word(MARKS).required() })
  .exact()
  .required();

/** One condition as it stands on an instrument. */
export const conditionView = object({
  key: text().required(),
  condition: word(CONDITION_IDS).required(),
  name: text().required(),
  ofPlayer: boolean().strict().required(),
  beginsOn: localDateText().required(),
  lastDay: localDateText().nullable().defined(),
  /** How it ends, where it has no last day. */
  endWords: text().required(),
  /** The air was read to be dry: it ends when it is read not to be. */
  byReading: boolean().strict().required(),
  partName: text().nullable().defined(),
  /** The parts that are played by themselves, by name. */
  aloneName: text().nullable().defined(),
  /** Begun, not over. */
  inForce: boolean().strict().required(),
  /** The key of the end, so that it can be taken back; null while nobody has ended it. */
  endKey: text().nullable().defined(),
  /** What it asks of each item it touches, with the day. */
  calls: array(
    object({
      itemId: careItemId().required(),
      name: text().required(),
      on: localDateText().nullable().defined(),
      words: text().required(),
      mark: word(MARKS).required(),
    })
      .exact()
      .required(),
  ).required(),
  /** What it makes of defaults, minutes and habits. */
  effects: array(effectView).required(),
})
  .exact()
  .required();
export type ConditionView = InferType<typeof conditionView>;

/** A condition this instrument may be in, as the form asks for it. */
const conditionOffer = object({
  condition: word(CONDITION_IDS).required(),
  name: text().required(),
  begins: text().required(),
  ofPlayer: boolean().strict().required(),
  asks: text().oneOf(['part', 'alone', 'air']).nullable().defined(),
  mayBeginLater: boolean().strict().required(),
  endWords: text().required(),
  /** The parts that may be played by themselves. */
  alone: array(
    object({ alone: word(ALONE_IDS).required(), name: text().required() })
      .exact()
      .required(),
  ).required(),
  parts: array(
    object({ part: word(PART_IDS).required(), name: text().required() })
      .exact()
      .required(),
  ).required(),
})
  .exact()
  .required();
export type ConditionOffer = InferType<typeof conditionOffer>;

/** `GET /api/conditions/:instrumentId?today=` */
export const conditionsPage = object({
  instrumentId: instrumentId().required(),
  playerName: text().required(),
  standing: array(conditionView).required(),
  offers: array(conditionOffer).required(),
  /** One of what is offered that what happened speaks for. */
  suggested: object({ condition: word(CONDITION_IDS).required(), name: text().required(), because: text().required() })
    .exact()
    .nullable()
    .defined(),
})
  .exact()
  .required();
export type ConditionsPage = InferType<typeof conditionsPage>;
