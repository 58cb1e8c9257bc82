import { bookItem } from '#core/book/book.ts';
import { signOf } from '#core/book/care-item.ts';
import { signWords } from '#core/care/record-words.ts';
import { signParts } from '#core/care/sign-parts.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { signFact } from '#contract/care.ts';
import { invalid, type Failure } from '#server/failure.ts';
import { itemOf } from '#server/features/care/care-done.fact.ts';
import { signsNoticed } from '#server/features/care/care.table.ts';
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
  const seen = signOf(item);
  if (seen === undefined) return fail(invalid('itemId', { code: 'goes-by-its-clock', item: item.name }));
  if (!signParts(item, services.book.kinds[instrument.kind], instrument.build).includes(request.part))
    return fail(invalid('part', { code: 'not-seen-there', seen }));
  const { itemId, part } = request;
  return succeed({ body: { instrumentId: instrument.id, itemId, part }, ...now });
}

/** A sign was noticed, by somebody who tapped it or by the look of a run: what it calls for is due from then on. */
export const signDefinition = defineFact<Services>()(signFact, {
  store: bodyTable(signsNoticed, {
    toRow: (sign) => sign,
    fromRow: ({ instrumentId, itemId, part }) => ({ instrumentId: instrumentId, itemId, part }),
  }),
  words: ({ body }, { book }) => signWords(bookItem(book, body.itemId), body.itemId),
  decide,
});
