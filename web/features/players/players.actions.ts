import { minderFact, playerAddition, profileFact } from '#contract/players.ts';
import { useLog } from '#web/record/log.actions.ts';

/** Somebody is added; their id is the key of the form. */
export const useAddPlayer = () => useLog(playerAddition, { form: true });

/** Who looks after somebody's instruments with them from now on. */
export const useLogMinder = () => useLog(minderFact);

/** What somebody is and does themselves from now on. */
export const useLogProfile = () => useLog(profileFact, { form: true });
