import { asError } from '#core/kernel/as-error.ts';
import type { InferType, Schema } from 'yup';
import { REQUEST_REFUSALS } from '#core/failure/request-refusal-words.ts';
import { DEVICE_HEADER } from '#contract/device.ts';
import { problem, type Problem } from '#contract/problem.ts';
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

type RequestOptions = { readonly method?: 'POST' | 'PUT'; readonly body?: unknown; readonly signal?: AbortSignal };

const LONGEST_MS = 20_000;

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
  const { method = 'GET', body, signal } = options;
  let response: Response;
  try {
    // A server that has gone to sleep with its connections open is one that does not answer.
    const patience = AbortSignal.timeout(LONGEST_MS);
    response = await fetch(path, {
      method,
      signal: signal ? AbortSignal.any([signal, patience]) : patience,
      headers: { [DEVICE_HEADER]: deviceKey(), ...(body !== undefined && { 'Content-Type': 'application/json' }) },
      ...(body !== undefined && { body: JSON.stringify(body) }),
    });
  } catch (error) {
    if (asError(error).name === 'AbortError') throw error;
    throw new RequestProblem('unreachable', REQUEST_REFUSALS.unreachable());
  }
  if (!response.ok) throw await problemOf(response);
  return schema.validateSync(await response.json(), { strict: true }) as InferType<S>;
}
