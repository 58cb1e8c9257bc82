import { array, object, type InferType } from 'yup';
import { instrumentId, localDateText, text } from '#contract/scalars.ts';

export const caseLidPaths = {
  sheet: '/api/case-lid',
  of: (id: string, today: string) => `/api/case-lid?instrumentId=${encodeURIComponent(id)}&today=${today}`,
} as const;

/** `GET /api/case-lid?instrumentId=&today=` */
export const caseLidQuery = object({ instrumentId: instrumentId().required(), today: localDateText().required() })
  .exact()
  .required();

const lines = array(text().required()).required();

const planned = object({ on: localDateText().required(), names: array(text().required()).required() })
  .exact()
  .required();

/** What lies in the lid of a case: what every play asks for, this week, the month, and what is on. */
export const caseLidSheet = object({
  instrumentName: text().required(),
  kindName: text().required(),
  playerName: text().required(),
  today: localDateText().required(),
  /** The last day of the week, and of the four weeks, that are on it. */
  weekUntil: localDateText().required(),
  monthUntil: localDateText().required(),
  everyPlay: array(text().required()).required(),
  week: array(planned).required(),
  month: array(planned).required(),
  events: array(
    object({ on: localDateText().required(), until: localDateText().required(), words: text().required() })
      .exact()
      .required(),
  ).required(),
  /** "Quayside Winds, 01 23"; null where nobody has said. */
  bench: text().nullable().defined(),
  /** How it is looked after, without dates. */
  routine: object({
    before: lines,
    after: lines,
    every: object({ weekly: lines, monthly: lines, yearly: lines }).exact().required(),
    never: lines,
  })
    .exact()
    .required(),
})
  .exact()
  .required();
export type CaseLidSheet = InferType<typeof caseLidSheet>;
