import { array, number, object } from 'yup';
import { reedId, reedsInPlay } from '#contract/reeds-in-play.ts';
import { fact } from '#contract/fact.ts';
import { ofPlayer } from '#core/record/fact.ts';
import type { ReedsOfPlay } from '#core/reeds/reed.ts';
import type { SaidOfReed } from '#core/reeds/reed.ts';
import type { ReedSessions } from '#core/reeds/reed-pin.ts';
import { KIND_IDS } from '#core/instruments/kind.ts';
import type { WallClock } from '#core/plays/play.ts';
import { LONGEST_SET } from '#core/reeds/reed-pin.ts';
import {
  BREAK_INS,
  DOUBLE_REED_TENTHS,
  MOST_IN_A_BOX,
  REED_ENDS,
  REED_FEELS,
  REED_MATERIALS,
  REED_SIGNS,
  REED_USES,
  RESISTANCES,
  SCRAPES,
  SITS,
  type ReedBox,
  type Resistance,
} from '#core/reeds/reed.ts';
import {
  amount,
  clientKey,
  localDateText,
  money,
  playerId,
  text,
  visibleText,
  word,
  factKey,
} from '#contract/scalars.ts';

export const reedPaths = {
  page: '/api/reeds',
  boxes: '/api/reeds/boxes',
  plays: '/api/reeds/plays',
  said: '/api/reeds/said',
  readiness: '/api/reeds/readiness',
  plan: '/api/reeds/plan',
  sessions: '/api/reeds/sessions',
  run: '/api/reeds/run',
  days: '/api/reeds/days',
  daysOf: (player: string, { on, atMinute }: WallClock) =>
    `/api/reeds/days?playerId=${encodeURIComponent(player)}&today=${on}&atMinute=${atMinute}`,
  of: (player: string, { on, atMinute }: WallClock) =>
    `/api/reeds?playerId=${encodeURIComponent(player)}&today=${on}&atMinute=${atMinute}`,
} as const;

const MOST_BEFORE_MINUTES = 20_000;

/** `POST /api/reeds/boxes`: a box with its reeds. `before`: minutes each had been played, null where nobody knows. */
export const reedBoxFact = fact({
  kind: 'reed-box',
  path: reedPaths.boxes,
  fields: {
    playerId: playerId().required(),
    kind: word(KIND_IDS).required(),
    name: visibleText(40).required(),
    cut: visibleText(30).nullable().defined(),
    strength: visibleText(12).nullable().defined(),
    material: word(REED_MATERIALS).required(),
    scrape: word(SCRAPES).optional().default(undefined),
    lengthTenths: amount()
      .integer()
      .min(DOUBLE_REED_TENTHS.least)
      .max(DOUBLE_REED_TENTHS.most)
      .optional()
      .default(undefined),
    breakIn: word(BREAK_INS).required(),
    place: visibleText(40).nullable().defined(),
    cost: money.nullable().defined(),
    cameOn: localDateText().required(),
    before: array(amount().integer().min(0).max(MOST_BEFORE_MINUTES).nullable().defined())
      .min(1)
      .max(MOST_IN_A_BOX)
      .required(),
  },
  about: ({ playerId: id }: Omit<ReedBox, 'key'>) => [ofPlayer(id)],
  correctable: true,
});

/** `POST /api/reeds/plays`: on which reeds a play was, said afterwards, or put right. */
export const reedPlayFact = fact({
  kind: 'reed-play',
  path: reedPaths.plays,
  fields: { playKey: clientKey().required(), ...reedsInPlay },
  kept: {
    playerId: playerId().required(),
    playKey: factKey().required(),
    /** Minutes of the play when it was said. */
    ofMinutes: amount().integer().min(1).required(),
    ...reedsInPlay,
  },
  about: ({ playerId: id }: ReedsOfPlay) => [ofPlayer(id)],
  correctable: true,
});

/** What can be said of one reed. */
export const REED_WHATS = ['graded', 'flattened', 'ended'] as const;
/** `POST /api/reeds/said`: a grade, a back rubbed flat, or that it is played no more. */
const sayingFields = {
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
  /** Of a double reed: how much it resists, and where it sits. */
  resistance: number<Resistance>().strict().oneOf(RESISTANCES).optional().default(undefined),
  sits: word(SITS).optional().default(undefined),
  cause: word(REED_ENDS)
    .nullable()
    .defined()
    .test('ended', '${path} is said of a reed that is played no more, and only there', (cause, { parent }) =>
      (parent as { what?: string }).what === 'ended' ? cause !== null : cause === null,
    ),
};
export const reedSaidFact = fact({
  kind: 'reed-said',
  path: reedPaths.said,
  fields: sayingFields,
  kept: { playerId: playerId().required(), ...sayingFields },
  about: ({ playerId: id }: SaidOfReed) => [ofPlayer(id)],
});

/** Sessions moved at once: one from its place and one to it, or two that change places. */
const MOST_SET = 8;
/** `POST /api/reeds/sessions`: sessions set by hand; 0 minutes where the reed shall lie still, null where the plan decides again. */
export const reedSessionFact = fact({
  kind: 'reed-session',
  path: reedPaths.sessions,
  fields: {
    playerId: playerId().required(),
    pins: array(
      object({
        reedId: reedId().required(),
        on: localDateText().required(),
        minutes: amount().integer().min(0).max(LONGEST_SET).nullable().defined(),
      })
        .exact()
        .required(),
    )
      .min(1)
      .max(MOST_SET)
      .required(),
  },
  about: ({ playerId: id }: ReedSessions) => [ofPlayer(id)],
});

const minuteText = () => text().matches(/^(\d{1,3}|1[0-3]\d\d|14[0-3]\d)$/, '${path} must be a minute of the day');
/** `GET /api/reeds?playerId=&today=&atMinute=` */
export const reedsQuery = object({
  playerId: playerId().required(),
  today: localDateText().required(),
  atMinute: minuteText().required(),
})
  .exact()
  .required();

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

/** `GET /api/reeds/run?runKey=&today=&atMinute=` */
export const reedsOfRunQuery = object({
  runKey: clientKey().required(),
  today: localDateText().required(),
  atMinute: minuteText().required(),
})
  .exact()
  .required();

/** `GET /api/reeds/plan?playerId=&kind=&today=&atMinute=` */
export const reedPlanQuery = object({
  playerId: playerId().required(),
  kind: word(KIND_IDS).required(),
  today: localDateText().required(),
  atMinute: minuteText().required(),
})
  .exact()
  .required();
