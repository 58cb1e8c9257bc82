/** Why a request cannot be taken at all, whatever it is about. */
export const REQUEST_REFUSALS = {
  'too-deep': ({ deepest }: { deepest: number }) => `The body is nested deeper than ${deepest}.`,
  'not-json': () => 'The body is not JSON.',
  'body-too-large': ({ mostBytes }: { mostBytes: number }) =>
    `What was sent is larger than ${mostBytes < 1_000_000 ? `${Math.round(mostBytes / 1024)} kB` : `${Math.floor(mostBytes / 1_000_000)} MB`}.`,
  'not-readable': () => 'The request could not be read.',
  'not-known-here': ({ field }: { field: string }) => `${field} is not known here.`,
  'no-such-address': ({ method, path }: { method: string; path: string }) => `Nothing lives at ${method} ${path}.`,
  'other-host': () => 'Ulu answers only under its own address.',
  'other-site': () => 'Ulu answers only its own pages.',
  unreachable: () => 'Ulu’s server does not answer. What you entered is still here; try again.',
  'without-reason': ({ status }: { status: number }) => `The server answered ${status} without saying why.`,
  'too-much-at-once': () => 'Ulu has more to do at the moment than it can. Try again in a few seconds.',
};

/** What a request's trouble is called, above everything that is said of it. */
export const PROBLEM_TITLES = {
  'invalid-request': 'Something in the request is not right',
  forbidden: 'Not allowed',
  'not-found': 'Not found',
  conflict: 'This does not fit the record',
  'too-large': 'Too large',
  busy: 'The record is busy',
  unusable: 'The record cannot be used',
  internal: 'Something went wrong here',
};
