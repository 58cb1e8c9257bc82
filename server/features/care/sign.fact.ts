import { bookItem } from '#core/book/book.ts';
import { isCalledBy, signOf, signsOf } from '#core/book/care-item.ts';
import { signWords } from '#core/care/record-words.ts';
import { signParts } from '#core/care/sign-parts.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { signFact } from '#contract/care.ts';
import { invalid, type Failure } from '#server/failure.ts';
import { itemOf } from '#server/features/care/care-done.fact.ts';
import { signsNoticed } from '#server/features/care/care.table.ts';
import { stopsWith } from '#server/views/stops-with.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact, type Deciding, type ToWrite } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';
import type { Kept, Sending } from '#contract/fact.ts';

function decide(
  request: Sending<typeof signFact>,
  { now }: Deciding,
  services: Services,
): Outcome<ToWrite<Kept<typeof signFact>>, Failure> {
  const about = itemOf(services, request);
  if (!about.ok) return about;
  const { instrument, item } = about.value;
  const signs = signsOf(item);
  if (signs.length === 0) return fail(invalid('itemId', { code: 'goes-by-its-clock', item: item.name }));
  const seen = signOf(item) ?? item.name;
  if (!signParts(item, services.book.kinds[instrument.kind], instrument.build).includes(request.part))
    return fail(invalid('part', { code: 'not-seen-there', seen }));
  const { key, itemId, sign, part } = request;
  if (sign !== undefined && !isCalledBy(item, sign)) return fail(invalid('sign', { code: 'no-such-sign' }));
  return succeed({
    body: { instrumentId: instrument.id, itemId, part, ...(sign && { sign }) },
    ...now,
    with: stopsWith(services, { key, instrumentId: instrument.id, itemId, sign }, now),
  });
}

/** A sign was noticed, by somebody who tapped it or by the look of a run: what it calls for is due from then on. */
export const signDefinition = defineFact<Services>()(signFact, {
  store: bodyTable(signsNoticed, {
    toRow: (noticed) => noticed,
    fromRow: ({ instrumentId, itemId, sign, part }) => ({ instrumentId, itemId, part, ...(sign && { sign }) }),
  }),
  words: ({ body: { itemId, sign } }, { book }) => signWords(bookItem(book, itemId), itemId, sign),
  decide,
});
