import type { Character, ReedId } from '#core/reeds/reed.ts';
import { END_WORDS, FEEL_WORDS, USE_WORDS } from '#core/reeds/reed-words.ts';
import type { Said } from '#contract/fact.ts';
import { reedBoxFact, reedSaidFact, reedSessionFact } from '#contract/reeds.ts';
import { useLog } from '#web/record/log.actions.ts';

/** A box has come, or one is put right. */
export const useReedBox = () => useLog(reedBoxFact, { form: true });

const NOTHING = { feel: null, goodFor: null, signs: [], cause: null } as const;

/** What is said of one reed by a tap. */
export function useReedSaid() {
  const { log, busy } = useLog(reedSaidFact);
  type Grade = Pick<Said<typeof reedSaidFact>, 'goodFor' | 'signs'> &
    Character & {
      readonly feel: NonNullable<Said<typeof reedSaidFact>['feel']>;
    };
  return {
    busy,
    flattened: (reedId: ReedId) =>
      log({ ...NOTHING, signs: [], reedId, what: 'flattened' }, { said: 'Its back is flat.' }),
    graded: (reedId: ReedId, { feel, goodFor, signs, resistance, sits }: Grade) =>
      log(
        { ...NOTHING, reedId, what: 'graded', feel, goodFor: goodFor ?? null, signs, resistance, sits },
        { said: `Graded ${FEEL_WORDS[feel]}${goodFor ? `, for ${USE_WORDS[goodFor]}` : ''}.` },
      ),
    ended: (reedId: ReedId, cause: NonNullable<Said<typeof reedSaidFact>['cause']>) =>
      log({ ...NOTHING, signs: [], reedId, what: 'ended', cause }, { said: `No longer played: ${END_WORDS[cause]}.` }),
  };
}

/** Sessions set by hand, or left to the plan again. */
export const useReedSessions = () => useLog(reedSessionFact);
