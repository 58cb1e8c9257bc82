import type { CareItemId } from '#core/book/care-ids.ts';
import type { CauseId, Mishap, SignId } from '#core/book/fault.ts';
import { answered, answeredOfAll, type Said } from '#core/faults/said.ts';
import type { Answer } from '#core/faults/stops.ts';
import type { EndedBy } from '#core/faults/fault-record.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import type { PartId } from '#core/instruments/kind.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import {
  faultEndFact,
  interviewAnswerFact,
  interviewFact,
  interviewOutcomeFact,
  mishapFact,
  type QuestionView,
  type SuspectView,
} from '#contract/faults.ts';
import { useBeginRun } from '#web/record/begin-run.actions.ts';
import { useLog } from '#web/record/log.actions.ts';
import { useWithdraw } from '#web/record/withdraw.actions.ts';

/** What was asked: one sign, several that one look shows, or everything else. */
type Asked = Pick<QuestionView, 'sign' | 'options' | 'several'>;
const signsIn = ({ sign, options }: Asked): SignId[] => [
  sign,
  ...(options ?? []).map((one) => one.sign).filter((one) => one !== sign),
];
const bodyOf = ({ also, beside, ...said }: Said) => ({
  ...said,
  ...(also && { also: [...also] }),
  ...(beside && { beside: [...beside] }),
});
function saidOf(asked: Asked, answer: Answer, so: readonly SignId[]): Said {
  const signs = signsIn(asked);
  if (asked.several) return answeredOfAll(signs, answer === 'cannot-tell' ? answer : so);
  return answered(signs, answer, so[0]);
}

/** What can be done about what is wrong with an instrument: say it, answer, try a remedy, say who has looked. */
export function useFaultActions(instrumentId: InstrumentId, playerId: PlayerId) {
  const begin = useLog(interviewFact);
  const answer = useLog(interviewAnswerFact);
  const outcome = useLog(interviewOutcomeFact);
  const end = useLog(faultEndFact);
  const run = useBeginRun();
  const { withdraw, busy } = useWithdraw();
  return {
    busy: begin.busy || answer.busy || outcome.busy || end.busy || run.busy || busy,
    begin: (noticed: readonly SignId[]) => begin.log({ instrumentId, noticed: [...noticed] }, { said: 'Noted.' }),
    /** An answer to what was asked; of several asked about at once, `so` is what is so. Undo is its own. */
    answer: (interviewKey: string, asked: Asked, said: Answer, so: readonly SignId[] = []) =>
      answer.log({ interviewKey, ...bodyOf(saidOf(asked, said, so)) }, { said: 'Noted.' }),
    alsoNotice: (interviewKey: string, sign: SignId) =>
      answer.log({ interviewKey, sign, answer: 'yes', noticed: true }, { said: 'Noted.' }),
    tried: (interviewKey: string, { cause, name }: Pick<SuspectView, 'cause' | 'name'>, helped: boolean) =>
      outcome.log(
        { interviewKey, cause: cause satisfies CauseId, helped },
        { said: helped ? `${name}: that was it.` : `${name}: that did not help.` },
      ),
    end: (faultKey: string, by: EndedBy) =>
      end.log(
        { faultKey, by },
        { said: by === 'nobody' ? 'Let be. It stays in the record.' : 'Noted: it is well again.' },
      ),
    begunCare: (itemId: CareItemId) =>
      run.begin({ kind: 'care', playerId, parts: [{ instrumentId, itemIds: [itemId] }] }),
    takeBack: (key: string) => withdraw(key),
  };
}
export type FaultActions = ReturnType<typeof useFaultActions>;

type MishapSaid = {
  readonly mishap: Mishap;
  /** What it is called. */
  readonly name: string;
  readonly part: PartId | null;
  readonly happenedOn: LocalDate;
};

/** Something happened to it: the form of one mishap. */
export function useMishap(instrumentId: InstrumentId) {
  const { log, busy, problem, open } = useLog(mishapFact, { form: true });
  return {
    busy,
    problem,
    open,
    say: ({ name, ...said }: MishapSaid, onLogged: () => void) =>
      log({ instrumentId, ...said }, { said: `${name}: noted.`, onLogged }),
  };
}
