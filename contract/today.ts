import { array, boolean, object, type InferType } from 'yup';
import type { WallClock } from '#core/plays/play.ts';
import { ALONE_IDS } from '#core/instruments/alone.ts';
import { KIND_IDS } from '#core/instruments/kind.ts';
import { careClockView } from '#contract/care.ts';
import { amount, careItemId, instrumentId, localDateText, playerId, text, whyLines, word } from '#contract/scalars.ts';

export const todayPaths = {
  list: '/api/today',
  of: (playerId: string, { on, atMinute }: WallClock) =>
    `/api/today?playerId=${encodeURIComponent(playerId)}&today=${on}&atMinute=${atMinute}`,
} as const;

/** `GET /api/today?playerId=&today=&atMinute=` */
export const todayListQuery = object({
  playerId: playerId().required(),
  today: localDateText().required(),
  /** The player's wall clock: minutes since midnight, in figures. */
  atMinute: text()
    .matches(/^(\d{1,3}|1[0-3]\d\d|14[0-3]\d)$/, '${path} must be a minute of the day, 0 to 1439')
    .required(),
})
  .exact()
  .required();

const TODAY_LINES = [
  'run',
  'stopped',
  'wet',
  'damp',
  'pack',
  'fetch',
  'wrong',
  'first',
  'first-note',
  'due',
  'measure',
] as const;

const instrument = {
  instrumentId: instrumentId().required(),
  name: text().required(),
  kind: word(KIND_IDS).required(),
  playerId: playerId().required(),
  /** Whose it is, where it is not the player's own. */
  ownerName: text().nullable().defined(),
};

/** One line of today's list. */
const todayLine = object({
  what: word(TODAY_LINES).required(),
  ...instrument,
  /** What stands in the way: how long it has stood wet, what stops it; null where the clock says it. */
  words: text().nullable().defined(),
  /** Where its figures come from; what is due says so in its clock. */
  because: whyLines,
  runKey: text().nullable().defined(),
  /** What is done before its first note; of other lines nothing. */
  itemIds: array(careItemId().required()).required(),
  /** What was noticed, left or is due; null for a run and for what stands wet. */
  clock: careClockView.nullable().defined(),
})
  .exact()
  .required();
export type TodayLineView = InferType<typeof todayLine>;

/** What one player has to do today, on their instruments and on those of whom they look after. */
export const todayView = object({
  lines: array(todayLine).required(),
  fine: array(object(instrument).exact().required()).required(),
  /** Nothing calls, but of some of their care nothing is known. */
  unknown: array(object(instrument).exact().required()).required(),
  /** At the bench. */
  away: array(object(instrument).exact().required()).required(),
  /** How many instruments there are of the player and of whom they look after. */
  instruments: amount().integer().min(0).required(),
  /** Kinds with reeds of which a concert is near: which of those are ready comes before what is due. */
  reedsFirst: array(word(KIND_IDS).required()).required(),
  /** What the player has probably played this evening, and what else they could have. */
  evening: array(
    object({
      instrumentId: instrumentId().required(),
      name: text().required(),
      kind: word(KIND_IDS).required(),
      minutes: amount().integer().min(1).required(),
      /** The parts it is played in for a while; null: all of it. */
      alone: object({ alone: word(ALONE_IDS).required(), name: text().required() })
        .exact()
        .nullable()
        .defined(),
      usual: boolean().strict().required(),
      /** It stands wet from an earlier play, which does not keep another from being logged. */
      awaitsPackUp: boolean().strict().required(),
    })
      .exact()
      .required(),
  ).required(),
})
  .exact()
  .required();
export type TodayView = InferType<typeof todayView>;
