import { bookItem } from '#core/book/book.ts';
import { isOnTheSpot } from '#core/book/care-item.ts';
import { decisionWords } from '#core/care/record-words.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { addDays } from '#core/time/local-date.ts';
import { decisionFact } from '#contract/care.ts';
import { invalid, type Failure } from '#server/failure.ts';
import { itemOf } from '#server/features/care/care-done.fact.ts';
import { careDecisions } from '#server/features/care/care.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact, type Deciding, type ToWrite } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';
import type { Kept, Sending } from '#contract/fact.ts';

const LATEST_POSTPONEMENT_DAYS = 365;

function decide(
  request: Sending<typeof decisionFact>,
  { now }: Deciding,
  services: Services,
): Outcome<ToWrite<Kept<typeof decisionFact>>, Failure> {
  const about = itemOf(services, request);
  if (!about.ok) return about;
  const { instrument, item } = about.value;
  const { kind, itemId } = request;
  const until = request.until;
  if (item.trigger.kind === 'every-play')
    return fail(invalid('itemId', { code: 'belongs-to-every-play', item: item.name }));
  if (isOnTheSpot(item)) return fail(invalid('itemId', { code: 'never-planned', item: item.name }));
  if ((kind === 'postponed') !== (until !== null)) return fail(invalid('until', { code: 'day-and-waiting' }));
  if (until !== null && (until <= now.on || until > addDays(now.on, LATEST_POSTPONEMENT_DAYS)))
    return fail(invalid('until', { code: 'waits-too-long' }));
  return succeed({ body: { instrumentId: instrument.id, itemId, kind, until }, on: now.on, atMinute: null });
}

/** A decision about an item: let it wait, do not do it, take it up again. The latest counts. */
export const decisionDefinition = defineFact<Services>()(decisionFact, {
  store: bodyTable(careDecisions, {
    toRow: (decision) => decision,
    fromRow: ({ instrumentId, itemId, kind, until }) => ({
      instrumentId: instrumentId,
      itemId,
      kind,
      until,
    }),
  }),
  words: ({ body }, { book, format }) => decisionWords(bookItem(book, body.itemId), body, format),
  decide,
});
