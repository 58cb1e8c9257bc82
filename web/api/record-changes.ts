import type { QueryClient } from '@tanstack/react-query';

/** Every query that is computed from the record; one new fact can change them all. */
const FROM_THE_RECORD = ['instruments', 'care', 'packup', 'record', 'players', 'methods', 'conditions', 'agents'];
const channel = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel('ulu-record');

const invalidate = (cache: QueryClient): Promise<unknown> =>
  Promise.all(FROM_THE_RECORD.map((feature) => cache.invalidateQueries({ queryKey: [feature] })));

/** After something was logged: this tab and every other tab look again. */
export function recordChanged(cache: QueryClient): Promise<unknown> {
  channel?.postMessage('changed');
  return invalidate(cache);
}

/** Lets other tabs' changes reach this one. */
export const followOtherTabs = (cache: QueryClient): void => {
  channel?.addEventListener('message', () => void invalidate(cache));
};
