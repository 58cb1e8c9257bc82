import { array, boolean, object, string, type InferType } from 'yup';
import { KIND_IDS } from '#core/instruments/kind.ts';
import { MOST_PLAY_MINUTES } from '#core/plays/play.ts';
import type { WallClock } from '#core/plays/play.ts';
import {
  BREAK_INS,
  HIGH_SHARES,
  MOST_IN_A_BOX,
  REED_ENDS,
  REED_FEELS,
  REED_MATERIALS,
  REED_SIGNS,
  REED_STAGES,
  REED_USES,
  type ReedId,
} from '#core/reeds/reed.ts';
import {
  amount,
  clientKey,
  factRequest,
  instrumentId,
  localDateText,
  minuteOfDay,
  playerId,
  text,
  visibleText,
  whyLines,
  word,
} from '#contract/scalars.ts';

export const reedPaths = {
  page: '/api/reeds',
  boxes: '/api/reeds/boxes',
  plays: '/api/reeds/plays',
  said: '/api/reeds/said',
  readiness: '/api/reeds/readiness',
  plan: '/api/reeds/plan',
  of: (player: string, { on, atMinute }: WallClock) =>
    `/api/reeds?playerId=${encodeURIComponent(player)}&today=${on}&atMinute=${atMinute}`,
} as const;

/** Reeds in one play: more is a table, not a play. */
const MOST_IN_A_PLAY = 6;
const MOST_BEFORE_MINUTES = 20_000;
const MOST_COST = 100_000_000;

/** A reed: the key of its box and its number. */
export const reedId = () =>
  string<ReedId>()
    .strict()
    .matches(/^[0-9a-f-]{36}\/[1-9]\d?$/, '${path} must be a reed: its box and its number');

const money = object({
  minor: amount().integer().min(0).max(MOST_COST).required(),
  currency: text()
    .matches(/^[A-Z]{3}$/, '${path} must be a currency of three letters')
    .required(),
}).exact();

/** `POST /api/reeds/boxes`: a box with its reeds. `before`: minutes each had been played, null where nobody knows. */
export const reedBoxRequest = factRequest({
  playerId: playerId().required(),
  kind: word(KIND_IDS).required(),
  name: visibleText(40).required(),
  cut: visibleText(30).nullable().defined(),
  strength: visibleText(12).nullable().defined(),
  material: word(REED_MATERIALS).required(),
  breakIn: word(BREAK_INS).required(),
  place: visibleText(40).nullable().defined(),
  cost: money.nullable().defined(),
  cameOn: localDateText().required(),
  before: array(amount().integer().min(0).max(MOST_BEFORE_MINUTES).nullable().defined())
    .min(1)
    .max(MOST_IN_A_BOX)
    .required(),
});
export type ReedBoxRequest = InferType<typeof reedBoxRequest>;

/** `POST /api/reeds/plays`: which reeds a play was played on, and how much of it lay high. */
export const reedPlayRequest = factRequest({
  playKey: clientKey().required(),
  shares: array(
    object({ reedId: reedId().required(), minutes: amount().integer().min(1).max(MOST_PLAY_MINUTES).required() })
      .exact()
      .required(),
  )
    .min(1)
    .max(MOST_IN_A_PLAY)
    .required(),
  high: word(HIGH_SHARES).required(),
});
export type ReedPlayRequest = InferType<typeof reedPlayRequest>;

/** What can be said of one reed. */
export const REED_WHATS = ['graded', 'flattened', 'ended'] as const;
/** `POST /api/reeds/said`: a grade, a back rubbed flat, or that it is played no more. */
export const reedSaidRequest = factRequest({
  reedId: reedId().required(),
  what: word(REED_WHATS).required(),
  feel: word(REED_FEELS)
    .nullable()
    .defined()
    .test('graded', '${path} is said with a grade, and only there', (feel, { parent }) =>
      (parent as { what?: string }).what === 'graded' ? feel !== null : feel === null,
    ),
  goodFor: word(REED_USES).nullable().defined(),
  signs: array(word(REED_SIGNS).required()).max(REED_SIGNS.length).required(),
  cause: word(REED_ENDS)
    .nullable()
    .defined()
    .test('ended', '${path} is said of a reed that is played no more, and only there', (cause, { parent }) =>
      (parent as { what?: string }).what === 'ended' ? cause !== null : cause === null,
    ),
});
export type ReedSaidRequest = InferType<typeof reedSaidRequest>;

const minuteText = () => text().matches(/^(\d{1,3}|1[0-3]\d\d|14[0-3]\d)$/, '${path} must be a minute of the day');
/** `GET /api/reeds?playerId=&today=&atMinute=` */
export const reedsQuery = object({
  playerId: playerId().required(),
  today: localDateText().required(),
  atMinute: minuteText().required(),
})
  .exact()
  .required();

const reedView = object({
  reedId: reedId().required(),
  number: amount().integer().required(),
  stage: word(REED_STAGES).required(),
  /** How it stands, beside its name. */
  words: text().required(),
  playedMinutes: amount().required(),
  /** The share of its expected life that is behind it; null before it is played. */
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
  cut: text().nullable().defined(),
  material: word(REED_MATERIALS).required(),
  breakIn: word(BREAK_INS).required(),
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
  saidKey: clientKey().nullable().defined(),
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
  instruments: array(instrumentName).required(),
  /** The reed for now, and others in order. */
  first: array(choiceView).required(),
  choices: array(choiceView).required(),
  resting: array(choiceView).required(),
  favourite: text().nullable().defined(),
  /** How many reeds to open for the next concert, and by when; null where there is none, or enough are there. */
  reminder: text().nullable().defined(),
  boxes: array(boxView).required(),
  plays: array(playWithReeds).required(),
  life: object({
    words: text().required(),
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
  supply: object({ words: text().required(), because: whyLines }).exact().required(),
})
  .exact()
  .required();
export type ReedsOfKindView = InferType<typeof reedsOfKind>;

export const reedsPage = object({
  playerId: playerId().required(),
  kinds: array(reedsOfKind).required(),
})
  .exact()
  .required();
export type ReedsPageView = InferType<typeof reedsPage>;

/** `GET /api/reeds/readiness?playerId=&kind=&on=&wanted=&today=` */
export const readinessQuery = object({
  playerId: playerId().required(),
  kind: word(KIND_IDS).required(),
  on: localDateText().required(),
  wanted: text()
    .matches(/^[1-9]$/, '${path} must be 1 to 9')
    .required(),
  today: localDateText().required(),
})
  .exact()
  .required();

export const readinessView = object({
  words: text().required(),
  because: whyLines,
  table: array(object({ opened: amount().required(), chance: amount().required() }).exact().required()).required(),
})
  .exact()
  .required();
export type ReadinessView = InferType<typeof readinessView>;

/** `GET /api/reeds/plan?playerId=&kind=&today=&atMinute=` */
export const reedPlanQuery = object({
  playerId: playerId().required(),
  kind: word(KIND_IDS).required(),
  today: localDateText().required(),
  atMinute: minuteText().required(),
})
  .exact()
  .required();

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
