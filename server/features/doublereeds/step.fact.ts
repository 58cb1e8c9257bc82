import { AT_MOST } from '#core/doublereeds/reed-sort.ts';
import { fail, succeed } from '#core/kernel/outcome.ts';
import { stepFact } from '#contract/doublereeds.ts';
import { conflict, invalid } from '#server/failure.ts';
import { stepFromRow } from '#server/features/doublereeds/doublereeds.mapper.ts';
import { reedSteps } from '#server/features/doublereeds/doublereeds.table.ts';
import { tableUnder } from '#server/features/doublereeds/table-at-hand.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

/** One small step, taken; of a clip as much as it became, for what is cut does not come back. */
export const stepDefinition = defineFact<Services>()(stepFact, {
  store: bodyTable(reedSteps, { toRow: (noted) => noted, fromRow: stepFromRow }),
  decide: ({ examinationKey, step, tenths }, { now, atMs }, services) => {
    const table = tableUnder(services, examinationKey, atMs);
    if (!table.ok) return table;
    const { move, told } = table.value;
    if (move.move !== 'step' || move.step !== step) return fail(conflict('step', { code: 'not-asked-now' }));
    if (step !== 'clip' && tenths > AT_MOST.openingTenths.value * 2)
      return fail(invalid('tenths', { code: 'no-step-so' }));
    return succeed({
      body: { playerId: told.playerId, examinationKey, step, tenths, atMs },
      ...now,
      belongsTo: examinationKey,
    });
  },
});
