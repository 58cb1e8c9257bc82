import type { SignId } from '#core/book/fault.ts';
import { isOfWhatElse, isOneLook, signHere, type FaultsHere } from '#core/faults/faults-for.ts';
import type { Said } from '#core/faults/said.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { interviewAnswerFact } from '#contract/faults.ts';
import { invalid, type Failure } from '#server/failure.ts';
import { interviewAnswers } from '#server/features/faults/faults.table.ts';
import { openInterview } from '#server/features/faults/interview-asked.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

type AtOnce = Pick<Said, 'sign' | 'answer'> & Readonly<Record<'also' | 'beside', readonly SignId[] | undefined>>;
/** Can what is answered here at once be asked at once, and is only what is so said to be so? */
function askedAtOnce({ sign, answer, also, beside }: AtOnce, here: FaultsHere): Outcome<null, Failure> {
  const asked = [sign, ...(also ?? []), ...(beside ?? [])];
  if (also === undefined)
    return beside && !isOneLook(here, asked) ? fail(invalid('beside', { code: 'not-one-look' })) : succeed(null);
  if (!isOfWhatElse(here, asked)) return fail(invalid('also', { code: 'not-asked-at-once' }));
  return also.length > 0 && answer !== 'yes' ? fail(invalid('also', { code: 'not-so' })) : succeed(null);
}

/** One answer of an interview, told under it. */
export const interviewAnswerDefinition = defineFact<Services>()(interviewAnswerFact, {
  store: bodyTable(interviewAnswers, {
    toRow: ({ also = null, beside = null, ...said }) => ({ ...said, also, beside }),
    fromRow: ({ interviewKey, sign, answer, noticed, also, beside }) => ({
      interviewKey,
      sign,
      answer,
      noticed,
      ...(also && { also: [...also] }),
      ...(beside && { beside: [...beside] }),
    }),
  }),
  decide: ({ interviewKey, sign, answer, noticed, also, beside }, { now }, services) => {
    const interview = openInterview(interviewKey, services);
    if (!interview.ok) return interview;
    const { here } = interview.value;
    if (signHere(here, sign) === undefined) return fail(invalid('sign', { code: 'no-such-sign' }));
    const asked = askedAtOnce({ sign, answer, also, beside }, here);
    if (!asked.ok) return asked;
    return succeed({
      body: { interviewKey, sign, answer, noticed, ...(also && { also }), ...(beside && { beside }) },
      ...now,
      belongsTo: interviewKey,
    });
  },
});
