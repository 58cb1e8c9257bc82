import { isOneLook, signHere } from '#core/faults/faults-for.ts';
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
    toRow: ({ beside = null, ...said }) => ({ ...said, beside }),
    fromRow: ({ interviewKey, sign, answer, noticed, beside }) => ({
      interviewKey,
      sign,
      answer,
      noticed,
      ...(beside && { beside: [...beside] }),
    }),
  }),
  decide: ({ interviewKey, sign, answer, noticed, beside }, { now }, services) => {
    const asked = openInterview(interviewKey, services);
    if (!asked.ok) return asked;
    const { here } = asked.value;
    if (signHere(here, sign) === undefined) return fail(invalid('sign', { code: 'no-such-sign' }));
    if (beside && !isOneLook(here, [sign, ...beside])) return fail(invalid('beside', { code: 'not-one-look' }));
    return succeed({
      body: { interviewKey, sign, answer, noticed, ...(beside && { beside }) },
      ...now,
      belongsTo: interviewKey,
    });
  },
});
