import { billFact, savedFact } from '#contract/costs.ts';
import { useLog } from '#web/record/log.actions.ts';

/** What was asked or paid for an instrument. */
export const useBill = () => useLog(billFact, { form: true });
/** What somebody has put aside so far. */
export const useSaved = () => useLog(savedFact, { form: true });
