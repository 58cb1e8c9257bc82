import type { SaidOfSign } from '#core/doublereeds/from-interview.ts';
import { isOpen } from '#core/faults/fault-record.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { interviewAnswerFact } from '#contract/faults.ts';
import type { Accompanying } from '#server/record/define-fact.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import type { Services } from '#server/services.ts';

/** An interview that goes on, its instrument, and all that was said in it. */
export type InterviewBeside = { readonly instrumentId: InstrumentId; readonly said: readonly SaidOfSign[] };

/** The interview that led to the table; undefined where there is none any more, or it is over. */
export function openInterview({ faults }: Pick<Services, 'faults'>, key: string): InterviewBeside | undefined {
  const instrumentId = faults.instrumentOf(key);
  const interview = instrumentId && faults.of(instrumentId).interviews.find((one) => one.key === key);
  if (!instrumentId || !interview || !isOpen(interview)) return undefined;
  const noticed = interview.noticed.map((sign): SaidOfSign => ({ sign, answer: 'yes' }));
  return { instrumentId, said: [...noticed, ...interview.answers.map(({ sign, answer }) => ({ sign, answer }))] };
}

/** What is told the interview with something said at the table: what it does not know yet. */
export function toldInterview(
  { faults }: Pick<Services, 'faults'>,
  {
    interviewKey,
    key,
    answers,
    ...now
  }: {
    readonly interviewKey: string | null;
    readonly key: string;
    readonly answers: readonly SaidOfSign[];
    readonly on: LocalDate;
    readonly atMinute: number | null;
  },
): Accompanying[] {
  const interview = interviewKey === null ? undefined : openInterview({ faults }, interviewKey);
  if (interview === undefined) return [];
  const known = new Map(interview.said.map(({ sign, answer }) => [sign, answer]));
  return answers
    .filter(({ sign, answer }) => known.get(sign) !== answer)
    .map(({ sign, answer }) => ({
      kind: interviewAnswerFact.kind,
      key: `${key}/${sign.slice(sign.lastIndexOf('/') + 1)}`,
      body: { interviewKey, sign, answer, noticed: false },
      ...now,
    }));
}
