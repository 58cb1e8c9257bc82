import { inspectionFact } from '#contract/inspections.ts';
import { useLog } from '#web/record/log.actions.ts';

/** An instrument is looked over with numbers: the form of one inspection. */
export const useInspect = () => useLog(inspectionFact, { form: true });
