import { conditionKind } from '#core/conditions/in-force.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { localDate } from '#core/time/local-date.ts';
import { conditionEndFact } from '#contract/conditions.ts';
import { invalid, notFound, type Failure } from '#server/failure.ts';
import { conditionDefinition } from '#server/features/conditions/condition.fact.ts';
import { conditionEnds } from '#server/features/conditions/conditions.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact, type Deciding, type ToWrite } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';
import type { Kept, Sending } from '#contract/fact.ts';

function decide(
  { conditionKey, endsOn: text }: Sending<typeof conditionEndFact>,
  { now }: Deciding,
  { record, conditions, book }: Services,
): Outcome<ToWrite<Kept<typeof conditionEndFact>>, Failure> {
  const condition = record.standing(conditionKey)?.kind === conditionDefinition.kind && conditions.find(conditionKey);
  if (!condition) return fail(notFound('conditionKey', { code: 'no-such-condition' }));
  const endsOn = localDate(text);
  if (endsOn < condition.beginsOn) return fail(invalid('endsOn', { code: 'ends-before' }));
  if (endsOn > now.on && !conditionKind(book, condition.id).mayBeginLater)
    return fail(invalid('endsOn', { code: 'ends-later' }));
  return succeed({ body: { conditionKey, endsOn }, ...now, belongsTo: conditionKey });
}

/** The last day of a condition, said later. The last one said counts. */
export const conditionEndDefinition = defineFact<Services>()(conditionEndFact, {
  store: bodyTable(conditionEnds, {
    toRow: (end) => end,
    fromRow: ({ conditionKey, endsOn }) => ({ conditionKey, endsOn: endsOn }),
  }),
  decide,
});
