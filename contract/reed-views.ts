import { array, boolean, object, type InferType } from 'yup';
import { KIND_IDS } from '#core/instruments/kind.ts';
import {
  BREAK_INS,
  HIGH_SHARES,
  REED_FAMILIES,
  REED_MATERIALS,
  REED_STAGES,
  REED_USES,
  SCRAPES,
} from '#core/reeds/reed.ts';
import { reedId } from '#contract/reeds-in-play.ts';
import {
  amount,
  clientKey,
  factKey,
  instrumentId,
  localDateText,
  minuteOfDay,
  playerId,
  text,
  whyLines,
  word,
} from '#contract/scalars.ts';

// What is answered about reeds; what is asked and logged is in `reeds.ts`.

const reedView = object({
  reedId: reedId().required(),
  number: amount().integer().required(),
  stage: word(REED_STAGES).required(),
  /** How it stands, beside its name. */
  words: text().required(),
  playedMinutes: amount().required(),
  /** The share of its expected life that is behind it; null before it is played, and where nobody knows its age. */
  shareOfLife: amount().min(0).max(1).nullable().defined(),
  /** What is probably left of it, in words; null where it is new or retired. */
  leftWords: text().nullable().defined(),
  lastPlayedOn: localDateText().nullable().defined(),
  goodFor: word(REED_USES).nullable().defined(),
  /** It was too hard before its back had been rubbed flat: that is no grade yet. */
  ungraded: boolean().strict().required(),
  because: whyLines,
})
  .exact()
  .required();
export type ReedView = InferType<typeof reedView>;

const boxView = object({
  key: clientKey().required(),
  /** What it is called among the boxes of its player. */
  name: text().required(),
  /** As it was entered, for a form to begin with. */
  entered: object({
    name: text().required(),
    strength: text().nullable().defined(),
    cost: object({ minor: amount().required(), currency: text().required() }).exact().nullable().defined(),
    /** Minutes each reed had been played before, null where nobody knows. */
    before: array(amount().nullable().defined()).required(),
  })
    .exact()
    .required(),
  cut: text().nullable().defined(),
  material: word(REED_MATERIALS).required(),
  breakIn: word(BREAK_INS).required(),
  /** Of double reeds, where somebody said. */
  scrape: word(SCRAPES).optional(),
  lengthTenths: amount().optional(),
  place: text().nullable().defined(),
  cameOn: localDateText().required(),
  reeds: array(reedView).required(),
})
  .exact()
  .required();
export type ReedBoxView = InferType<typeof boxView>;

/** A reed for the play at hand, and for how long. */
const choiceView = object({
  reedId: reedId().required(),
  name: text().required(),
  /** Null without a limit. */
  minutes: amount().integer().min(0).required(),
  words: text().required(),
  /** False where it is new, or still being broken in. */
  isBrokenIn: boolean().strict().required(),
  /** Its back may have bulged, and what to do about it. */
  warp: text().nullable().defined(),
  because: whyLines,
})
  .exact()
  .required();
export type ReedChoiceView = InferType<typeof choiceView>;

const instrumentName = object({ instrumentId: instrumentId().required(), name: text().required() }).exact().required();

/** A play of the last days and which reed it was on, where somebody said. */
const playWithReeds = object({
  playKey: clientKey().required(),
  instrumentId: instrumentId().required(),
  name: text().required(),
  endedOn: localDateText().required(),
  endedAtMinute: minuteOfDay().nullable().defined(),
  minutes: amount().integer().required(),
  /** The key under which it was said; null where nobody said. */
  saidKey: factKey().nullable().defined(),
  high: word(HIGH_SHARES).nullable().defined(),
  shares: array(
    object({ reedId: reedId().required(), name: text().required(), minutes: amount().required() }).exact().required(),
  ).required(),
})
  .exact()
  .required();
export type PlayWithReeds = InferType<typeof playWithReeds>;

const point = object({ minutes: amount().required(), share: amount().required() }).exact().required();

/** The reeds of one kind of instrument of one player. */
const reedsOfKind = object({
  kind: word(KIND_IDS).required(),
  kindName: text().required(),
  family: word(REED_FAMILIES).required(),
  /** Its reeds are broken in by the day. */
  breaksIn: boolean().strict().required(),
  instruments: array(instrumentName).required(),
  /** What is played now, reed after reed, and what else is to be done about reeds today. */
  today: object({
    words: array(text().required()).min(1).required(),
    play: array(choiceView).required(),
    /** What is played on, beyond its limit, where nothing else is there. */
    beyond: choiceView.nullable().defined(),
  })
    .exact()
    .required(),
  /** Those being broken in, those that may be played in order, and those that rest. */
  first: array(choiceView).required(),
  choices: array(choiceView).required(),
  resting: array(choiceView).required(),
  favourite: text().nullable().defined(),
  /** The next concert and what is ready for it, until it is over; null where none is known. */
  concert: object({ on: localDateText().required(), words: text().required(), because: whyLines })
    .exact()
    .nullable()
    .defined(),
  boxes: array(boxView).required(),
  plays: array(playWithReeds).required(),
  life: object({
    words: text().required(),
    because: whyLines,
    /** What is believed of the next reed, and the curve of those that were watched with its band. */
    belief: array(point).required(),
    curve: array(
      object({
        minutes: amount().required(),
        share: amount().required(),
        low: amount().required(),
        high: amount().required(),
      })
        .exact()
        .required(),
    ).required(),
  })
    .exact()
    .required(),
  /** Which make again: what the reeds of each have come to, in words; null where too little is known. */
  makes: array(
    object({
      name: text().required(),
      seen: text().required(),
      concert: text().nullable().defined(),
      life: text().nullable().defined(),
      goodHour: text().nullable().defined(),
    })
      .exact()
      .required(),
  ).required(),
  supply: object({
    words: text().required(),
    /** What playing costs in reeds; null where no box says what it cost. */
    costWords: text().nullable().defined(),
    because: whyLines,
    /** What was spent month by month, and how much that is in words. */
    spent: array(
      object({ from: localDateText().required(), minor: amount().min(0).required(), words: text().required() })
        .exact()
        .required(),
    ).required(),
  })
    .exact()
    .required(),
})
  .exact()
  .required();
export type ReedsOfKindView = InferType<typeof reedsOfKind>;

export const reedsPage = object({
  playerId: playerId().required(),
  /** In which prices are said; null before the first of them. */
  currency: text().nullable().defined(),
  kinds: array(reedsOfKind).required(),
})
  .exact()
  .required();
export type ReedsPageView = InferType<typeof reedsPage>;

/** What a run has to do with reeds, a line for each of its instruments that has any. */
export const reedsOfRun = array(
  object({ instrumentId: instrumentId().required(), name: text().required(), words: text().required() })
    .exact()
    .required(),
).required();
export type ReedsOfRunView = InferType<typeof reedsOfRun>;

export const readinessView = object({
  words: text().required(),
  because: whyLines,
  table: array(object({ opened: amount().required(), chance: amount().required() }).exact().required()).required(),
})
  .exact()
  .required();
export type ReadinessView = InferType<typeof readinessView>;

/** Four weeks of record and four of plan, a row for each reed that is alive. */
export const reedPlanView = object({
  /** The first day of the record; the plan begins on the day after its last. */
  from: localDateText().required(),
  today: localDateText().required(),
  /** Minutes the days of the plan will probably hold. */
  expected: array(amount().min(0).required()).required(),
  /** Which of them have a concert. */
  concerts: array(boolean().strict().required()).required(),
  rows: array(
    object({
      reedId: reedId().required(),
      number: amount().integer().required(),
      boxName: text().required(),
      /** Minutes day by day: what was played, and what is planned. */
      played: array(amount().min(0).required()).required(),
      planned: array(amount().min(0).required()).required(),
      /** What the player has set, by day of the plan; null where the plan decides. */
      set: array(amount().min(0).nullable().defined()).required(),
      /** Caps of breaking in by day of the plan, where it is being broken in. */
      caps: array(amount().min(0).nullable().defined()).required(),
    })
      .exact()
      .required(),
  ).required(),
  words: text().required(),
  because: whyLines,
  /** It may still become better: asked again, it has. */
  isFinal: boolean().strict().required(),
})
  .exact()
  .required();
export type ReedPlanView = InferType<typeof reedPlanView>;

const reedDay = object({
  kind: word(KIND_IDS).required(),
  on: localDateText().required(),
  /** The instruments it is for. */
  instrumentIds: array(instrumentId().required()).required(),
  name: text().required(),
  words: text().required(),
})
  .exact()
  .required();
/** Days of the weeks to come that belong to reeds: breaking in, and ordering new ones. */
export const reedDaysView = object({ breakIn: array(reedDay).required(), buy: array(reedDay).required() })
  .exact()
  .required();
export type ReedDaysView = InferType<typeof reedDaysView>;
