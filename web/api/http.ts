import type { InferType, Schema } from 'yup';
import { problem, type Problem } from '#contract/problem.ts';

/** The server said no, and why; or could not be reached. `fields` names what was wrong. */
export class RequestProblem extends Error {
  readonly code: Problem['code'] | 'unreachable';
  readonly fields: readonly { readonly field: string; readonly message: string }[];

  constructor(code: RequestProblem['code'], message: string, fields: RequestProblem['fields'] = []) {
    super(message);
    this.code = code;
    this.fields = fields;
  }
}

type RequestOptions = { readonly method?: 'POST' | 'PUT'; readonly body?: unknown; readonly signal?: AbortSignal };

async function problemOf(response: Response): Promise<RequestProblem> {
  try {
    const { code, detail, errors } = problem.validateSync(await response.json());
    return new RequestProblem(code, detail, errors);
  } catch {
    return new RequestProblem('internal', `The server answered ${response.status} without saying why.`);
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
    response = await fetch(path, {
      method,
      ...(signal ? { signal } : {}),
      ...(body === undefined ? {} : { headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) }),
    });
  } catch (error) {
    if ((error as Error).name === 'AbortError') throw error;
    throw new RequestProblem('unreachable', 'Ulu’s server does not answer. What you entered is still here; try again.');
  }
  if (!response.ok) throw await problemOf(response);
  return schema.validateSync(await response.json(), { strict: true }) as InferType<S>;
}
