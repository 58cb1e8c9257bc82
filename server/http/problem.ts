import type { ErrorRequestHandler, RequestHandler, Response } from 'express';
import { ValidationError } from 'yup';
import type { Problem, ProblemCode } from '#contract/problem.ts';
import { recordFault } from '#server/db/record-fault.ts';
import type { Failure } from '#server/failure.ts';
import { STATUS_BY_CODE, TITLE_BY_CODE } from '#server/http/error-status.ts';
import { DEEPEST, TooDeep } from '#server/http/nesting.ts';

/** Nobody reads more faults than this at once, and a hostile body has thousands. */
const MOST_FAULTS = 20;
const LONGEST_FIELD = 120;
const RETRY_SECONDS = 1;

/** Answers with an RFC 9457 problem document that names each field at fault. */
export function sendProblem(res: Response, code: ProblemCode, errors: Problem['errors'], detail?: string): void {
  const status = STATUS_BY_CODE[code];
  const told = errors.slice(0, MOST_FAULTS);
  const body: Problem = {
    type: `urn:ulu:problem:${code}`,
    title: TITLE_BY_CODE[code],
    status,
    code,
    detail: detail ?? (told.map(({ message }) => message).join(' ') || TITLE_BY_CODE[code]),
    errors: told,
  };
  if (code === 'busy') res.setHeader('Retry-After', String(RETRY_SECONDS));
  res.status(status).type('application/problem+json').send(JSON.stringify(body));
}

export const sendFailure = (res: Response, { code, field, message }: Failure): void =>
  sendProblem(res, code, [{ field, message }]);

const short = (text: string): string => (text.length > LONGEST_FIELD ? `${text.slice(0, LONGEST_FIELD)}…` : text);

/** What is wrong with one field; a property nobody asked for is named as the field at fault. */
function faultsOf({ path = '', message, type, params }: ValidationError): Problem['errors'] {
  const properties = type === 'exact' ? params?.properties : undefined;
  if (typeof properties !== 'string') return [{ field: short(path), message: short(message) }];
  return properties
    .split(', ')
    .slice(0, MOST_FAULTS)
    .map((name) => {
      const field = short(path === '' ? name : `${path}.${name}`);
      return { field, message: `${field} is not known here.` };
    });
}

type BodyParserError = { readonly type?: unknown; readonly status?: unknown; readonly cause?: unknown };

/** What is wrong with a body that could not be read; null where something else is. */
function bodyFault(error: unknown): { readonly code: ProblemCode; readonly message: string } | null {
  const { type, status } = (error ?? {}) as BodyParserError;
  if (error instanceof TooDeep || type === 'entity.verify.failed')
    return { code: 'invalid-request', message: `The body is nested deeper than ${DEEPEST}.` };
  if (type === 'entity.parse.failed') return { code: 'invalid-request', message: 'The body is not JSON.' };
  if (type === 'entity.too.large') return { code: 'too-large', message: 'The body is larger than 100 kB.' };
  if (typeof status === 'number' && status >= 400 && status < 500)
    return { code: 'invalid-request', message: 'The request could not be read.' };
  return null;
}

/** The one place where a thrown error becomes an answer. No stack and no SQL leave the server. */
export const errorHandler: ErrorRequestHandler = (error: unknown, req, res, _next) => {
  if (error instanceof ValidationError) {
    const inner = error.inner.length > 0 ? error.inner : [error];
    return sendProblem(res, 'invalid-request', inner.slice(0, MOST_FAULTS).flatMap(faultsOf));
  }
  const ofBody = bodyFault(error);
  if (ofBody) return sendProblem(res, ofBody.code, [{ field: '', message: ofBody.message }]);
  const fault = recordFault(error);
  if (fault) {
    req.log?.error({ err: error }, fault.state);
    return sendProblem(res, fault.state === 'busy' ? 'busy' : 'unusable', [{ field: '', message: fault.message }]);
  }
  req.log?.error({ err: error }, 'unexpected');
  return sendProblem(res, 'internal', []);
};

export const notFoundHandler: RequestHandler = (req, res) =>
  sendProblem(res, 'not-found', [{ field: 'path', message: `Nothing lives at ${req.method} ${short(req.path)}.` }]);
