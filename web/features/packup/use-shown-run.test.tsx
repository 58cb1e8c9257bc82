/** @jest-environment jsdom */
import { afterEach, expect, test } from '@jest/globals';
import { QueryClient, QueryClientProvider, useQuery } from '@tanstack/react-query';
import { act, cleanup, render } from '@testing-library/react';
import type { LoggedRunEvent } from '#core/packup/run-event.ts';
import { instantOfMs } from '#core/time/instant.ts';
import type { RunView } from '#contract/packup.ts';
import { joinLog } from '#web/features/packup/join-log.ts';
import { runQueries } from '#web/record/run.queries.ts';
import { packupPaths } from '#contract/packup-paths.ts';
import { outbox } from '#web/record/sending.ts';
import { useShownRun } from '#web/features/packup/run.actions.ts';

afterEach(cleanup);

const RUN = 'a-run';
const step = { key: 'clarinet:clarinet/a', instrumentId: 'clarinet', id: 'clarinet/a', item: 'clarinet/swab-bore' };
const view = {
  key: RUN,
  parts: [],
  items: [],
  words: [],
  done: null,
  log: [],
  plan: {
    steps: [{ ...step, look: null, calledBy: null, unless: [], standsOn: [], wait: null, alsoDoes: [] }],
    leftOut: [],
    because: [],
  },
} as unknown as RunView;
const tick = {
  key: 'one',
  event: { kind: 'ticked', stepKey: step.key, at: instantOfMs(Date.UTC(2026, 10, 26)) },
} as unknown as LoggedRunEvent;

test('a tick stays ticked on the screen while it goes from the device into the log', async () => {
  const cache = new QueryClient();
  cache.setQueryData(runQueries.of(RUN).queryKey, view);
  const seen: string[] = [];
  function Run({ of }: { readonly of: RunView }) {
    seen.push(useShownRun(of).steps[0]?.state ?? 'none');
    return null;
  }
  // As the page does: what the query has is handed down.
  function Page() {
    const { data } = useQuery({ ...runQueries.of(RUN), enabled: false });
    return data ? <Run of={data} /> : null;
  }
  render(
    <QueryClientProvider client={cache}>
      <Page />
    </QueryClientProvider>,
  );
  const { at, ...content } = tick.event;
  act(() =>
    outbox.add({ ...{ key: tick.key, kind: 'run-event', path: packupPaths.events(RUN), content, at, says: '' } }),
  );
  const from = seen.length;
  await act(async () => {
    // As the sender does: into the log, and at once out of what is unsent.
    joinLog(cache, RUN, { ...tick, touched: [] });
    outbox.remove(tick.key);
    await new Promise((wake) => setTimeout(wake, 20));
  });
  expect(seen[from - 1]).toBe('ticked');
  expect(seen.slice(from)).not.toContain('open');
  expect(seen.length).toBeGreaterThan(from);
});
