import { runEventAnswer, packupPaths } from '#contract/packup.ts';
import { request } from '#web/api/http.ts';
import { createOutbox } from '#web/features/packup/run-outbox.ts';
import { createSender } from '#web/features/packup/run-sender.ts';
import { remember, REMEMBERED, remembered } from '#web/session/stored.ts';

/** What happened in the runs of this device and is not confirmed yet. */
export const runOutbox = createOutbox({
  read: () => remembered(REMEMBERED.unsent),
  write: (text) => remember(REMEMBERED.unsent, text),
});

/** What sends it, in order and one after another. */
export const runSender = createSender({
  outbox: runOutbox,
  post: ({ one: { key, runKey, event, now }, msAgo }) => {
    const { at: _at, ...said } = event;
    const body = { key, ...said, msAgo, ...(now ? { now } : {}) };
    return request(runEventAnswer, packupPaths.events(runKey), { method: 'POST', body });
  },
  nowMs: () => Date.now(),
  later: (work, ms) => {
    const timer = setTimeout(work, ms);
    return () => clearTimeout(timer);
  },
});
