import { handoverFact } from '#contract/bench.ts';
import { serialFact } from '#contract/instruments.ts';
import { useLog } from '#web/record/log.actions.ts';

/** The number stamped on an instrument. */
export const useSerial = () => useLog(serialFact, { form: true });

/** It was packed for the bench, or looked at when it was fetched. */
export const useHandover = () => useLog(handoverFact, { form: true });
