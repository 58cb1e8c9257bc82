import { sittingMoveFact, sittingTimeFact } from '#contract/sittings.ts';
import { useLog } from '#web/record/log.actions.ts';

/** When one usually has time for a sitting. */
export const useSittingTime = () => useLog(sittingTimeFact, { form: true });

/** Sets what of a sitting is done on another day, or leaves it to the plan again. */
export const useSittingMove = () => useLog(sittingMoveFact);
