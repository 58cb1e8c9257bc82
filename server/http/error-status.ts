import type { ProblemCode } from '#contract/problem.ts';

/** Total: a new code in the contract does not compile until it has a status and a title. */
export const STATUS_BY_CODE = {
  'invalid-request': 400,
  forbidden: 403,
  'not-found': 404,
  conflict: 409,
  'too-large': 413,
  busy: 503,
  unusable: 503,
  internal: 500,
} as const satisfies Record<ProblemCode, number>;

export const TITLE_BY_CODE = {
  'invalid-request': 'Something in the request is not right',
  forbidden: 'Not allowed from there',
  'not-found': 'Not found',
  conflict: 'This does not fit the record',
  'too-large': 'Too large',
  busy: 'The record is busy',
  unusable: 'The record cannot be used',
  internal: 'Something went wrong here',
} as const satisfies Record<ProblemCode, string>;
