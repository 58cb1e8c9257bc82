import { QueryClient } from '@tanstack/react-query';
import { RequestProblem } from '#web/api/http.ts';

const TRIES = 5;
const TRIES_IN_SILENCE = 2;
const WAIT_MS = 400;
const waitMs = (_failures: number, error: Error): number =>
  (error instanceof RequestProblem ? error.retryAfterMs : null) ?? WAIT_MS;

/** What the server said no to stays no; only silence, or a record another program holds just now, is worth another try. */
const retry = (failures: number, error: Error): boolean =>
  failures < TRIES &&
  error instanceof RequestProblem &&
  (error.code === 'busy' || (error.code === 'unreachable' && failures < TRIES_IN_SILENCE));

/** Ulu's server is on this machine: being offline is no reason not to ask it, and only this app writes its data. */
export const queryClient = new QueryClient({
  defaultOptions: {
    queries: { networkMode: 'always', staleTime: Infinity, retry, retryDelay: waitMs },
    mutations: { networkMode: 'always', retry, retryDelay: waitMs },
  },
});
