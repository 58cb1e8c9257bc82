import { object, string } from 'yup';
import { amount, text } from '#contract/scalars.ts';

export const healthPath = '/api/health';

/** `GET /api/health` */
export const healthView = object({
  version: text().required(),
  database: string().oneOf(['ok']).required(),
  migrations: amount().integer().min(0).required(),
})
  .exact()
  .required();
