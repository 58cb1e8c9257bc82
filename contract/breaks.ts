import { array, object, type InferType } from 'yup';
import { MARKS } from '#core/explain/explained.ts';
import { amount, instrumentId, text, word } from '#contract/scalars.ts';

export const breakPaths = {
  all: '/api/breaks',
  one: (instrumentId: string, today: string) => `/api/breaks/${instrumentId}?today=${today}`,
} as const;

const mark = word(MARKS).required();

/** `GET /api/breaks/:instrumentId?today=`: what to do on a break, and about what happens in the middle of playing. */
export const breakView = object({
  instrumentId: instrumentId().required(),
  name: text().required(),
  lines: array(
    object({ id: text().required(), say: text().required(), why: text().nullable().defined(), mark })
      .exact()
      .required(),
  ).required(),
  /** Minutes after which a reed that was wet has dried; null where there is none. */
  reedDries: object({ minutes: amount().positive().required(), mark }).exact().nullable().defined(),
  meanwhile: array(
    object({
      id: text().required(),
      sign: text().required(),
      now: array(text().required()).min(1).required(),
      later: text().nullable().defined(),
      mark,
    })
      .exact()
      .required(),
  ).required(),
})
  .exact()
  .required();
export type BreakView = InferType<typeof breakView>;
