import { object } from 'yup';
import { touchedSubjects } from '#contract/fact.ts';
import { factKey } from '#contract/scalars.ts';
import { request } from '#web/api/http.ts';
import { createOutbox } from '#web/record/outbox.ts';
import { keepInBrowser } from '#web/record/outbox-keep.ts';
import { Sender } from '#web/record/sender.ts';

/** What every answer to a fact says; what else it says is its kind's. */
const confirmed = object({ key: factKey().required(), touched: touchedSubjects }).required();

/** What was said on this device and is not confirmed yet. */
export const outbox = createOutbox(keepInBrowser());

/** What sends it, in order and one after another. */
export const sender = new Sender({
  outbox,
  post: ({ one: { key, path, content, corrects, now }, msAgo }) =>
    request(confirmed, path, { method: 'POST', body: { ...content, corrects, key, now, msAgo } }),
  nowMs: () => Date.now(),
  later: (work, ms) => {
    const timer = setTimeout(work, ms);
    return () => clearTimeout(timer);
  },
});
