import { QueryClient } from '@tanstack/react-query';
import { RequestProblem } from '#web/api/http.ts';

const TRIES = 2;

/** What the server said no to stays no; only silence is worth another try. */
const retry = (failures: number, error: Error): boolean =>
  failures < TRIES && error instanceof RequestProblem && error.code === 'unreachable';

/** Ulu's server is on this machine: being offline is no reason not to ask it, and only this app writes its data. */
export const queryClient = new QueryClient({
  defaultOptions: {
    queries: { networkMode: 'always', staleTime: Infinity, retry },
    mutations: { networkMode: 'always', retry },
  },
});
