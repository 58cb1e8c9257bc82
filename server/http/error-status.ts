import type { ProblemCode } from '#contract/problem.ts';

/** Total: a new code in the contract does not compile until it has a status. */
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
