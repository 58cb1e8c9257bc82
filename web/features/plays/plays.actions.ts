import { playFact } from '#contract/plays.ts';
import { useLog } from '#web/record/log.actions.ts';

/** Logs a play, or puts one right. */
export const useLogPlay = () => useLog(playFact, { form: true });
