import type { InstrumentId } from '#core/instruments/instrument.ts';
import { methodChoiceFact, type MethodView } from '#contract/methods.ts';
import { useLog } from '#web/record/log.actions.ts';

/** Answers a question of practice for one instrument; null goes back to the default. */
export function useChooseMethod(instrumentId: InstrumentId) {
  const { log, busy } = useLog(methodChoiceFact);
  return {
    busy,
    choose: ({ method, question, choices }: MethodView, choice: string | null) => {
      const words = choice === null ? 'back to the default' : choices.find((one) => one.choice === choice)?.words;
      log({ instrumentId, method, choice }, { said: `${question} ${words ?? ''}.` });
    },
  };
}
