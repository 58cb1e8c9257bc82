import { object } from 'yup';
import { amount, text, word } from '#contract/scalars.ts';

/** `damaged`: pages of the file cannot be read; `gone`: the file is not where it was; `full`: the disk is. */
const DATABASE_STATES = ['ok', 'damaged', 'gone', 'full'] as const;
export type DatabaseState = (typeof DATABASE_STATES)[number];

export const healthPath = '/api/health';

/** `GET /api/health` */
export const healthView = object({
  version: text().required(),
  /** `ok`, or why nothing is written down any more. */
  database: word(DATABASE_STATES).required(),
  migrations: amount().integer().min(0).required(),
})
  .exact()
  .required();
