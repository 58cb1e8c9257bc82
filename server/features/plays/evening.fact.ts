import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { eveningFact } from '#contract/plays.ts';
import { conflict, invalid, type Failure } from '#server/failure.ts';
import { judgedPlay, playDefinition } from '#server/features/plays/play.fact.ts';
import { evenings } from '#server/features/plays/plays.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact, type Accompanying, type Deciding, type ToWrite } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';
import type { Kept, Sending } from '#contract/fact.ts';

/** Every play must be one that could be logged by itself; the first that could not refuses the evening. */
function decide(
  { key: _key, now: _now, corrects: _corrects, ...evening }: Sending<typeof eveningFact>,
  deciding: Deciding,
  services: Services,
): Outcome<ToWrite<Kept<typeof eveningFact>>, Failure> {
  const { plays, ...common } = evening;
  const together: Accompanying[] = [];
  for (const [index, { key, instrumentId, minutes, alone }] of plays.entries()) {
    const field = `plays[${index}]`;
    if (plays.slice(0, index).some((one) => one.instrumentId === instrumentId))
      return fail(invalid(`${field}.instrumentId`, { code: 'played-twice-in-one' }));
    if (services.record.knowsKey(key) || plays.slice(0, index).some((one) => one.key === key))
      return fail(conflict(`${field}.key`, { code: 'another-under-this-key', fields: ['key'] }));
    const judged = judgedPlay({ ...common, instrumentId, minutes, alone }, { ...deciding, corrects: null }, services);
    if (!judged.ok) return fail({ ...judged.failure, field: `${field}.${judged.failure.field}` });
    together.push({ ...judged.value, kind: playDefinition.kind, key });
  }
  return succeed({ body: evening, on: evening.endedOn, atMinute: evening.endedAtMinute, with: together });
}

/** An evening on several instruments: each play is told and corrected by itself, and all are taken back with it. */
export const eveningDefinition = defineFact<Services>()(eveningFact, {
  store: bodyTable(evenings, {
    toRow: (evening) => evening,
    fromRow: ({ factId: _factId, ...evening }) => evening,
  }),
  eachIsTold: true,
  decide,
});
