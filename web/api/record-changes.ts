import type { QueryClient } from '@tanstack/react-query';
import { mustLookAgain, type Touched } from '#web/api/about.ts';

/** Only a page has other tabs. */
const channel =
  typeof document === 'undefined' || typeof BroadcastChannel === 'undefined'
    ? undefined
    : new BroadcastChannel('ulu-record');

const lookAgain = (cache: QueryClient, touched: Touched): Promise<unknown> =>
  cache.invalidateQueries({ predicate: ({ meta }) => mustLookAgain(meta?.about, touched) });

/** Something was written that this tab knows already. */
export const tellOtherTabs = (touched: Touched): void => channel?.postMessage(touched);

/** After something was written: whatever is about it looks again, in this tab and in every other. */
export function recordChanged(cache: QueryClient, touched: Touched): Promise<unknown> {
  tellOtherTabs(touched);
  return lookAgain(cache, touched);
}

/** Lets other tabs' changes reach this one. */
export const followOtherTabs = (cache: QueryClient): void => {
  channel?.addEventListener('message', ({ data }: MessageEvent<Touched>) => void lookAgain(cache, data));
};
