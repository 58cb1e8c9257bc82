import { settingsFact } from '#contract/settings.ts';
import { useLog } from '#web/record/log.actions.ts';

/** Settles something once for all. */
export const useSettle = () => useLog(settingsFact, { form: true });
