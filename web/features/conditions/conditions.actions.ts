import type { InstrumentId } from '#core/instruments/instrument.ts';
import { conditionEndFact, conditionFact, type ConditionView } from '#contract/conditions.ts';
import type { Said } from '#contract/fact.ts';
import { useToday } from '#web/clock/today.ts';
import { useLog } from '#web/record/log.actions.ts';
import { useWithdraw } from '#web/record/withdraw.actions.ts';

export type ConditionEntry = Omit<Said<typeof conditionFact>, 'instrumentId'>;

/** What can be done about the conditions of an instrument: one begins, one is over, one goes on after all. */
export function useConditionActions(instrumentId: InstrumentId) {
  const today = useToday();
  const begin = useLog(conditionFact, { form: true });
  const end = useLog(conditionEndFact);
  const { withdraw, busy } = useWithdraw();
  return {
    busy: begin.busy || end.busy || busy,
    /** What was wrong with the entry, field by field; the whole in words where no field is named. */
    fields: begin.fields,
    problem: begin.problem,
    open: begin.open,
    begin: (entry: ConditionEntry, name: string, onBegun: () => void) =>
      begin.log({ ...entry, instrumentId }, { said: `${name}: noted.`, onLogged: onBegun }),
    end: ({ key: conditionKey, name }: ConditionView) =>
      end.log({ conditionKey, endsOn: today }, { said: `${name}: today is its last day.` }),
    goOn: (endKey: string) => withdraw(endKey),
  };
}
export type ConditionActions = ReturnType<typeof useConditionActions>;
