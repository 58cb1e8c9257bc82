import { useQuery } from '@tanstack/react-query';
import { wallNow } from '#web/clock/today.ts';
import { RunHead, type RunHeadProps } from '#web/features/packup/parts/RunHead.tsx';
import { reedQueries } from '#web/features/reeds/reeds.queries.ts';

/** What the run is, with the reeds it is about. */
export function RunHeadWithReeds(head: Omit<RunHeadProps, 'reeds'>) {
  const { key, finishedAt } = head.run;
  const { data = [] } = useQuery(reedQueries.ofRun(key, wallNow()));
  return <RunHead {...head} reeds={finishedAt === null ? data : []} />;
}
