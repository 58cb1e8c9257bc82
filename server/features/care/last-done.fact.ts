import { bookItem } from '#core/book/book.ts';
import { lastDoneWords } from '#core/care/record-words.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { lastDoneFact } from '#contract/care.ts';
import { invalid, type Failure } from '#server/failure.ts';
import { doneBefore } from '#server/features/care/care-done.fact.ts';
import { lastDone } from '#server/features/care/care.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact, type Accompanying, type Deciding, type ToWrite } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';
import type { Kept, Sending } from '#contract/fact.ts';

/** All of it, or the first thing that cannot be. */
function decide(
  { key, instrumentId, items }: Sending<typeof lastDoneFact>,
  { now }: Deciding,
  services: Services,
): Outcome<ToWrite<Kept<typeof lastDoneFact>>, Failure> {
  const others: Accompanying[] = [];
  for (const [index, { itemId, doneOn, by }] of items.entries()) {
    const field = `items[${index}]`;
    if (items.findIndex((one) => one.itemId === itemId) < index)
      return fail(invalid(`${field}.itemId`, { code: 'named-twice' }));
    const done = doneBefore(services, { instrumentId, itemId, doneOn, by }, now);
    if (!done.ok) {
      const { failure } = done;
      return fail({
        ...failure,
        field: failure.field === 'instrumentId' ? failure.field : `${field}.${failure.field}`,
      });
    }
    others.push({ kind: 'care', key: `${key}/${itemId}`, ...done.value });
  }
  return succeed({ body: { instrumentId, items }, ...now, with: others });
}

/** What somebody remembers of many items at once: it lands whole or not at all, and is taken back whole. */
export const lastDoneDefinition = defineFact<Services>()(lastDoneFact, {
  store: bodyTable(lastDone, {
    toRow: (remembered) => remembered,
    fromRow: ({ instrumentId, items }) => ({ instrumentId, items }),
  }),
  words: ({ body }, { book }) => lastDoneWords(body.items.map(({ itemId }) => bookItem(book, itemId)?.name ?? itemId)),
  decide,
});
