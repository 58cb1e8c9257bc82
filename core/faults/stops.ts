import type { MishapStop, RiskId, SignId, StopRule } from '#core/book/fault.ts';
import type { FaultsHere } from '#core/faults/faults-for.ts';

export const ANSWERS = ['yes', 'no', 'cannot-tell'] as const;
export type Answer = (typeof ANSWERS)[number];

/** What was answered, by sign; the last answer to a sign counts. */
export type Answers = ReadonlyMap<SignId, Answer>;

/** What stops an instrument: a rule with the answer that met it, or something that happened to it. */
export type Stopped =
  | { readonly by: 'answer'; readonly rule: StopRule; readonly answer: Exclude<Answer, 'no'> }
  | { readonly by: 'mishap'; readonly rule: MishapStop };

const isNoticed = (answers: Answers, sign: SignId): boolean => answers.get(sign) === 'yes';

/** Is this rule to be asked about? Once one of its signs is noticed, or something noticed meets what is in the record. */
function isCalledFor({ onSigns, onRisks = [] }: StopRule, answers: Answers, risks: ReadonlySet<RiskId>): boolean {
  return onSigns.some((sign) => isNoticed(answers, sign)) || onRisks.some((risk) => risks.has(risk));
}

/** What was answered so that the instrument is stopped: one yes, or "I cannot tell"; the first rule of the book. */
export function stoppedByAnswer({ stops }: Pick<FaultsHere, 'stops'>, answers: Answers): Stopped | null {
  for (const sure of ['yes', 'cannot-tell'] as const) {
    const rule = stops.find(({ sign }) => answers.get(sign) === sure);
    if (rule) return { by: 'answer', rule, answer: sure };
  }
  return null;
}

/** The rule to ask about before anything else; null where every rule that is called for has its answer. */
export const stopToAsk = (
  { stops }: Pick<FaultsHere, 'stops'>,
  answers: Answers,
  risks: ReadonlySet<RiskId>,
): StopRule | null => stops.find((stop) => !answers.has(stop.sign) && isCalledFor(stop, answers, risks)) ?? null;
