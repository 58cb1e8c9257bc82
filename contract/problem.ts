import { array, object, type InferType } from 'yup';
import { amount, text, word } from '#contract/scalars.ts';

/** Everything that can be wrong with a request. Adding a word stops the server compiling until it has a status. */
const PROBLEM_CODES = [
  'invalid-request',
  'not-found',
  'conflict',
  'too-large',
  'forbidden',
  'busy',
  'unusable',
  'internal',
] as const;
export type ProblemCode = (typeof PROBLEM_CODES)[number];

/** An RFC 9457 problem document, with the fields at fault. Sent as application/problem+json. */
export const problem = object({
  type: text().required(),
  title: text().required(),
  status: amount().integer().required(),
  code: word(PROBLEM_CODES).required(),
  detail: text().required(),
  errors: array(
    object({ field: text().defined(), code: text().required(), message: text().required() }).exact().required(),
  ).required(),
})
  .exact()
  .required();
export type Problem = InferType<typeof problem>;
