import type { InstrumentId } from '#core/instruments/instrument.ts';
import {
  conditionPaths,
  type BeginConditionRequest,
  type ConditionView,
  type EndConditionRequest,
} from '#contract/conditions.ts';
import { useToday } from '#web/clock/today.ts';
import { useLog } from '#web/features/record/log.actions.ts';
import { useWithdraw } from '#web/features/record/withdraw.actions.ts';

export type ConditionEntry = Omit<BeginConditionRequest, 'key' | 'now' | 'corrects' | 'instrumentId'>;
type Begun = ConditionEntry & Pick<BeginConditionRequest, 'instrumentId'>;

/** What can be done about the conditions of an instrument: one begins, one is over, one goes on after all. */
export function useConditionActions(instrumentId: InstrumentId) {
  const today = useToday();
  // A player's own condition holds for all they play.
  const begin = useLog({ path: conditionPaths.begin, about: (_: Begun) => 'everything', form: true });
  const end = useLog({
    path: conditionPaths.end,
    about: (_: Pick<EndConditionRequest, 'conditionKey' | 'endsOn'>) => 'everything',
  });
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
