import { signHere } from '#core/faults/faults-for.ts';
import { fail, succeed } from '#core/kernel/outcome.ts';
import { interviewAnswerFact } from '#contract/faults.ts';
import { invalid } from '#server/failure.ts';
import { interviewAnswers } from '#server/features/faults/faults.table.ts';
import { openInterview } from '#server/features/faults/interview-asked.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

/** One answer of an interview, told under it. */
export const interviewAnswerDefinition = defineFact<Services>()(interviewAnswerFact, {
  store: bodyTable(interviewAnswers, {
    toRow: (said) => said,
    fromRow: ({ interviewKey, sign, answer, noticed }) => ({ interviewKey, sign, answer, noticed }),
  }),
  decide: ({ interviewKey, sign, answer, noticed }, { now }, services) => {
    const asked = openInterview(interviewKey, services);
    if (!asked.ok) return asked;
    if (signHere(asked.value.here, sign) === undefined) return fail(invalid('sign', { code: 'no-such-sign' }));
    return succeed({ body: { interviewKey, sign, answer, noticed }, ...now, belongsTo: interviewKey });
  },
});
