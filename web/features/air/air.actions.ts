import { airReadingFact } from '#contract/air.ts';
import { useLog } from '#web/record/log.actions.ts';

/** What the hygrometer shows; the room, dry air and reeds look at it. */
export const useReadAir = () => useLog(airReadingFact, { form: true });
