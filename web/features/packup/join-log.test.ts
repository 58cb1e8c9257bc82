import { afterEach, expect, test } from '@jest/globals';
import { QueryClient, QueryObserver } from '@tanstack/react-query';
import type { LoggedRunEvent } from '#core/packup/run-event.ts';
import type { RunStepKey } from '#core/packup/run-step.ts';
import { instantOfMs } from '#core/time/instant.ts';
import type { RunView } from '#contract/packup.ts';
import { joinLog } from '#web/features/packup/join-log.ts';
import { runQueries } from '#web/record/run.queries.ts';

const entry = (key: string): LoggedRunEvent => ({
  key,
  event: { kind: 'ticked', stepKey: `horn:${key}` as RunStepKey, at: instantOfMs(0) },
});
const NOBODY = { touched: [] };
const viewWith = (...log: LoggedRunEvent[]) => ({ key: 'run', log, parts: [] }) as unknown as RunView;
const { queryKey } = runQueries.of('run');
const cache = new QueryClient();
afterEach(() => cache.clear());

test('a confirmed entry stays, though the run was being fetched as it stood before', async () => {
  const answers: ((view: RunView) => void)[] = [];
  cache.setQueryData(queryKey, viewWith());
  const observer = new QueryObserver<RunView>(cache, {
    queryKey,
    queryFn: () => new Promise<RunView>((resolve) => answers.push(resolve)),
    staleTime: Infinity,
  });
  const stop = observer.subscribe(() => undefined);
  void cache.invalidateQueries({ queryKey });
  expect(answers).toHaveLength(1);
  joinLog(cache, 'run', { ...entry('a'), ...NOBODY });
  answers[0]?.(viewWith());
  await Promise.resolve();
  expect(cache.getQueryData<RunView>(queryKey)?.log.map(({ key }) => key)).toEqual(['a']);
  // What else may have happened is asked for anew.
  expect(answers).toHaveLength(2);
  answers[1]?.(viewWith(entry('elsewhere'), entry('a')));
  await new Promise((resolve) => setTimeout(resolve, 5));
  expect(cache.getQueryData<RunView>(queryKey)?.log.map(({ key }) => key)).toEqual(['elsewhere', 'a']);
  stop();
});

test('nor is it lost where the run is being fetched for the first time', async () => {
  const answers: ((view: RunView) => void)[] = [];
  const observer = new QueryObserver<RunView>(cache, {
    queryKey,
    queryFn: () => new Promise<RunView>((resolve) => answers.push(resolve)),
  });
  const stop = observer.subscribe(() => undefined);
  expect(answers).toHaveLength(1);
  joinLog(cache, 'run', { ...entry('a'), ...NOBODY });
  await new Promise((resolve) => setTimeout(resolve, 5));
  // What was asked before the entry was written is not taken.
  answers[0]?.(viewWith());
  expect(answers).toHaveLength(2);
  answers[1]?.(viewWith(entry('a')));
  await new Promise((resolve) => setTimeout(resolve, 5));
  expect(cache.getQueryData<RunView>(queryKey)?.log.map(({ key }) => key)).toEqual(['a']);
  stop();
});

test('an entry of a run nobody looks at is kept by the server alone', () => {
  joinLog(cache, 'run', { ...entry('a'), ...NOBODY });
  expect(cache.getQueryData(queryKey)).toBeUndefined();
});
