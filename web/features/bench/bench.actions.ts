import { serialFact } from '#contract/instruments.ts';
import { useLog } from '#web/record/log.actions.ts';

/** The number stamped on an instrument. */
export const useSerial = () => useLog(serialFact, { form: true });
