import { asError } from '#core/kernel/as-error.ts';
import type { InferType, Schema } from 'yup';
import { REQUEST_REFUSALS } from '#core/failure/request-refusal-words.ts';
import { DEVICE_HEADER, UNITS_HEADER, unitsHeader } from '#contract/device.ts';
import { problem, type Problem } from '#contract/problem.ts';
import { language, units } from '#web/session/settings.ts';
import { deviceKey } from '#web/session/device.ts';

/** The server said no, and why; or could not be reached. `fields` names what was wrong. */
export class RequestProblem extends Error {
  readonly code: Problem['code'] | 'unreachable';
  readonly fields: Problem['errors'];
  /** How long to wait before another try, where the server says so. */
  readonly retryAfterMs: number | null;

  constructor(
    code: RequestProblem['code'],
    message: string,
    fields: RequestProblem['fields'] = [],
    retryAfterMs: number | null = null,
  ) {
    super(message);
    this.code = code;
    this.fields = fields;
    this.retryAfterMs = retryAfterMs;
  }
}

type RequestOptions = {
  readonly method?: 'POST' | 'PUT';
  readonly body?: unknown;
  /** A file as it is, in the place of a body. */
  readonly file?: Blob;
  readonly signal?: AbortSignal;
};

const LONGEST_MS = 20_000;
/** A file may be large, and its way slow. */
const LONGEST_FILE_MS = 600_000;

/** What a request carries, and how it is said to be written. */
function carried({ body, file }: RequestOptions): { readonly type?: string; readonly body?: BodyInit } {
  if (file) return { type: 'application/octet-stream', body: file };
  return body === undefined ? {} : { type: 'application/json', body: JSON.stringify(body) };
}

async function problemOf(response: Response): Promise<RequestProblem> {
  try {
    const { code, detail, errors } = problem.validateSync(await response.json());
    const seconds = Number(response.headers.get('Retry-After') ?? Number.NaN);
    return new RequestProblem(code, detail, errors, Number.isNaN(seconds) ? null : 1000 * seconds);
  } catch {
    return new RequestProblem('internal', REQUEST_REFUSALS['without-reason']({ status: response.status }));
  }
}

/**
 * The only `fetch` of the app: sends a request and checks the answer against the contract, so that a server that
 * drifts fails at the door.
 *
 * @throws RequestProblem
 */
export async function request<S extends Schema>(
  schema: S,
  path: string,
  options: RequestOptions = {},
): Promise<InferType<S>> {
  const { method = 'GET', signal, file } = options;
  const { type, body } = carried(options);
  let response: Response;
  try {
    // A server that has gone to sleep with its connections open is one that does not answer.
    const patience = AbortSignal.timeout(file ? LONGEST_FILE_MS : LONGEST_MS);
    response = await fetch(path, {
      method,
      signal: signal ? AbortSignal.any([signal, patience]) : patience,
      headers: {
        [DEVICE_HEADER]: deviceKey(),
        'Accept-Language': language(),
        [UNITS_HEADER]: unitsHeader(units()),
        ...(type !== undefined && { 'Content-Type': type }),
      },
      ...(body !== undefined && { body }),
    });
  } catch (error) {
    if (asError(error).name === 'AbortError') throw error;
    throw new RequestProblem('unreachable', REQUEST_REFUSALS.unreachable());
  }
  if (!response.ok) throw await problemOf(response);
  return schema.validateSync(await response.json(), { strict: true }) as InferType<S>;
}
