import { causeHere } from '#core/faults/faults-for.ts';
import { fail, succeed } from '#core/kernel/outcome.ts';
import { interviewOutcomeFact } from '#contract/faults.ts';
import { conflict, invalid } from '#server/failure.ts';
import { interviewOutcomes } from '#server/features/faults/faults.table.ts';
import { openInterview } from '#server/features/faults/interview-asked.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

/** A remedy was tried: what helped is what it was, and ends the interview. */
export const interviewOutcomeDefinition = defineFact<Services>()(interviewOutcomeFact, {
  store: bodyTable(interviewOutcomes, {
    toRow: (outcome) => outcome,
    fromRow: ({ interviewKey, cause, helped }) => ({ interviewKey, cause, helped }),
  }),
  decide: ({ interviewKey, cause, helped }, { now }, services) => {
    const asked = openInterview(interviewKey, services);
    if (!asked.ok) return asked;
    if (causeHere(asked.value.here, cause) === undefined) return fail(invalid('cause', { code: 'no-such-cause' }));
    // What is stopped is cleared by whoever looks at it, never by a remedy.
    const { instrument } = asked.value;
    const stops = services.readings.of(instrument.id)?.situation(now.on).faults.stops ?? [];
    if (stops.some(({ key }) => key === interviewKey))
      return fail(conflict('interviewKey', { code: 'not-cleared-so' }));
    return succeed({ body: { interviewKey, cause, helped }, ...now, belongsTo: interviewKey });
  },
});
