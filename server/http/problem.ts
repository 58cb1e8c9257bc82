import type { ErrorRequestHandler, RequestHandler, Response } from 'express';
import { ValidationError } from 'yup';
import { refusalWords, type Refusal } from '#core/failure/refusal.ts';
import { fieldOf } from '#core/record/fact.ts';
import { PROBLEM_TITLES } from '#core/failure/request-refusal-words.ts';
import type { Problem, ProblemCode } from '#contract/problem.ts';
import { recordTrouble } from '#server/db/record-trouble.ts';
import { CallerLeft, notYours, TooMuchAtOnce, type Failure } from '#server/failure.ts';
import { NotAllowed } from '#server/may.ts';
import { STATUS_BY_CODE } from '#server/http/error-status.ts';
import { formatOf } from '#server/http/format-of.ts';
import { DEEPEST, TooDeep } from '#server/http/nesting.ts';

/** Nobody reads more faults than this at once, and a hostile body has thousands. */
const MOST_REFUSALS = 20;
const LONGEST_FIELD = 120;
/** Whoever is told to come back does so after one of these: all at once they would only meet again. */
const RETRY_SECONDS = [1, 3, 5, 7, 2, 4, 6, 8] as const;
let comers = 0;

/** Answers with an RFC 9457 problem document that names each field at fault. */
function sendProblem(res: Response, code: ProblemCode, errors: Problem['errors'], detail?: string): void {
  const status = STATUS_BY_CODE[code];
  const told = errors.slice(0, MOST_REFUSALS);
  const title = PROBLEM_TITLES[code];
  const body: Problem = {
    type: `urn:ulu:problem:${code}`,
    title,
    status,
    code,
    detail: detail ?? (told.map(({ message }) => message).join(' ') || title),
    errors: told,
  };
  if (code === 'busy') res.setHeader('Retry-After', String(RETRY_SECONDS[comers++ % RETRY_SECONDS.length]));
  res.status(status).type('application/problem+json').send(JSON.stringify(body));
}

const worded = (res: Response, field: string, refusal: Refusal): Problem['errors'][number] => ({
  field,
  code: refusal.code,
  message: refusalWords(refusal, formatOf(res.req)),
});

/** Answers with what was wrong, in the words of the core. */
export const sendFailure = (res: Response, { code, field, refusal }: Failure): void =>
  sendProblem(res, code, [worded(res, field, refusal)]);

const short = (text: string): string => (text.length > LONGEST_FIELD ? `${text.slice(0, LONGEST_FIELD)}…` : text);

/** What is wrong with one field; a property nobody asked for is named as the field at fault. */
function refusalsOf(res: Response, { path = '', message, type, params }: ValidationError): Problem['errors'] {
  const properties = type === 'exact' ? params?.properties : undefined;
  if (typeof properties !== 'string') return [{ field: short(path), code: 'not-valid', message: short(message) }];
  return properties
    .split(', ')
    .slice(0, MOST_REFUSALS)
    .map((name) => short(path === '' ? name : `${path}.${name}`))
    .map((field) => worded(res, field, { code: 'not-known-here', field }));
}

/** The status an error of Express comes with; some have it from their kind. */
const statusOf = (error: unknown): unknown => (error instanceof Error && 'status' in error ? error.status : undefined);

/** What is wrong with a body that could not be read; null where something else is. */
function bodyRefusal(error: unknown): Omit<Failure, 'field'> | null {
  const [type, status] = [fieldOf(error, 'type'), statusOf(error)];
  const invalid = (refusal: Refusal) => ({ code: 'invalid-request', refusal }) as const;
  if (error instanceof TooDeep || type === 'entity.verify.failed')
    return invalid({ code: 'too-deep', deepest: DEEPEST });
  if (type === 'entity.parse.failed') return invalid({ code: 'not-json' });
  if (type === 'entity.too.large')
    return { code: 'too-large', refusal: { code: 'body-too-large', mostBytes: Number(fieldOf(error, 'limit')) } };
  if (typeof status === 'number' && status >= 400 && status < 500) return invalid({ code: 'not-readable' });
  return null;
}

/** The one place where a thrown error becomes an answer. No stack and no SQL leave the server. */
export const errorHandler: ErrorRequestHandler = (error: unknown, req, res, _next) => {
  if (error instanceof ValidationError) {
    const inner = error.inner.length > 0 ? error.inner : [error];
    return sendProblem(
      res,
      'invalid-request',
      inner.slice(0, MOST_REFUSALS).flatMap((one) => refusalsOf(res, one)),
    );
  }
  if (error instanceof CallerLeft) return undefined;
  if (error instanceof TooMuchAtOnce)
    return sendFailure(res, { code: 'busy', field: '', refusal: { code: 'too-much-at-once' } });
  if (error instanceof NotAllowed) return sendFailure(res, notYours());
  const ofBody = bodyRefusal(error);
  if (ofBody) return sendFailure(res, { ...ofBody, field: '' });
  const refusal = recordTrouble(error);
  if (refusal) {
    req.log?.error({ err: error }, refusal.state);
    return sendProblem(res, refusal.state === 'busy' ? 'busy' : 'unusable', [
      { field: '', code: refusal.state, message: refusal.message },
    ]);
  }
  req.log?.error({ err: error }, 'unexpected');
  return sendProblem(res, 'internal', []);
};

export const notFoundHandler: RequestHandler = (req, res) =>
  sendFailure(res, {
    code: 'not-found',
    field: 'path',
    refusal: { code: 'no-such-address', method: req.method, path: short(req.path) },
  });
