import type { ErrorRequestHandler, RequestHandler, Response } from 'express';
import { ValidationError } from 'yup';
import type { Problem, ProblemCode } from '#contract/problem.ts';
import type { Failure } from '#server/failure.ts';
import { STATUS_BY_CODE, TITLE_BY_CODE } from '#server/http/error-status.ts';

/** Answers with an RFC 9457 problem document that names each field at fault. */
export function sendProblem(res: Response, code: ProblemCode, errors: Problem['errors'], detail?: string): void {
  const status = STATUS_BY_CODE[code];
  const body: Problem = {
    type: `urn:ulu:problem:${code}`,
    title: TITLE_BY_CODE[code],
    status,
    code,
    detail: detail ?? (errors.map(({ message }) => message).join(' ') || TITLE_BY_CODE[code]),
    errors,
  };
  res.status(status).type('application/problem+json').send(JSON.stringify(body));
}

export const sendFailure = (res: Response, { code, field, message }: Failure): void =>
  sendProblem(res, code, [{ field, message }]);

const fieldsOf = (error: ValidationError): Problem['errors'] =>
  (error.inner.length > 0 ? error.inner : [error]).map(({ path, message }) => ({ field: path ?? '', message }));

type BodyParserError = { readonly type?: unknown; readonly status?: unknown };

/** The one place where a thrown error becomes an answer. No stack and no SQL leave the server. */
export const errorHandler: ErrorRequestHandler = (error: unknown, req, res, _next) => {
  if (error instanceof ValidationError) return sendProblem(res, 'invalid-request', fieldsOf(error));
  const { type, status } = (error ?? {}) as BodyParserError;
  if (type === 'entity.parse.failed')
    return sendProblem(res, 'invalid-request', [{ field: '', message: 'The body is not JSON.' }]);
  if (type === 'entity.too.large')
    return sendProblem(res, 'too-large', [{ field: '', message: 'The body is larger than 100 kB.' }]);
  if (typeof status === 'number' && status >= 400 && status < 500)
    return sendProblem(res, 'invalid-request', [{ field: '', message: 'The request could not be read.' }]);
  req.log?.error({ err: error }, 'unexpected');
  return sendProblem(res, 'internal', []);
};

export const notFoundHandler: RequestHandler = (req, res) =>
  sendProblem(res, 'not-found', [{ field: 'path', message: `Nothing lives at ${req.method} ${req.path}.` }]);
