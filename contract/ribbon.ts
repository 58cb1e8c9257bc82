import { array, object, type InferType } from 'yup';
import { EVENT_KINDS } from '#core/calendar/event.ts';
import { amount, instrumentId, localDateText, text, word } from '#contract/scalars.ts';

export const ribbonPaths = {
  all: '/api/ribbon',
  of: (today: string) => `/api/ribbon?today=${today}`,
} as const;

/** `GET /api/ribbon?today=` */
export const ribbonQuery = object({ today: localDateText().required() }).exact().required();

/** Six weeks of every instrument: what falls due on it, and what is on. Days are counted from today. */
export const ribbonView = object({
  today: localDateText().required(),
  lanes: array(
    object({
      instrumentId: instrumentId().required(),
      name: text().required(),
      playerName: text().required(),
      /** What falls due, day by day. */
      due: array(
        object({ day: amount().integer().required(), names: array(text().required()).required() })
          .exact()
          .required(),
      ).required(),
      events: array(
        object({
          what: word(EVENT_KINDS).required(),
          from: amount().integer().required(),
          to: amount().integer().required(),
          words: text().required(),
        })
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
export type RibbonView = InferType<typeof ribbonView>;
