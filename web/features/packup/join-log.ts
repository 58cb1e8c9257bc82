import type { QueryClient } from '@tanstack/react-query';
import type { LoggedRunEvent } from '#core/packup/run-event.ts';
import type { Answered } from '#contract/fact.ts';
import { isKnownBeyond } from '#core/packup/run-log.ts';
import { recordChanged, tellOtherTabs } from '#web/api/record-changes.ts';
import { runQueries } from '#web/record/run.queries.ts';

/** Calls off a first fetch that is under way, which asking anew alone would leave to finish, and asks. */
async function askedAnew(cache: QueryClient, queryKey: readonly unknown[]): Promise<void> {
  await cache.cancelQueries({ queryKey });
  await cache.invalidateQueries({ queryKey });
}

/**
 * A confirmed entry joins the log on the screen; what more than its run knows of is looked at again. A run that is being
 * fetched just then may have been read before the entry was written: it is not taken, but asked for once more.
 */
export function joinLog(cache: QueryClient, runKey: string, { touched, ...logged }: Answered<LoggedRunEvent>): void {
  const { queryKey } = runQueries.of(runKey);
  const isBeingFetched = cache.isFetching({ queryKey }) > 0;
  const view = cache.getQueryData(queryKey);
  if (view !== undefined) cache.setQueryData(queryKey, { ...view, log: [...view.log, logged] });
  if (isKnownBeyond(logged.event)) void recordChanged(cache, touched);
  else {
    tellOtherTabs({ run: runKey });
    if (isBeingFetched) void (view === undefined ? askedAnew(cache, queryKey) : cache.invalidateQueries({ queryKey }));
  }
}
