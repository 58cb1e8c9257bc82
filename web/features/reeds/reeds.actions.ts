import type { ReedId } from '#core/reeds/reed.ts';
import { END_WORDS, FEEL_WORDS, USE_WORDS } from '#core/reeds/reed-words.ts';
import { reedPaths, type ReedBoxRequest, type ReedSaidRequest, type ReedSessionRequest } from '#contract/reeds.ts';
import { useLog } from '#web/features/record/log.actions.ts';

type Content<Request> = Omit<Request, 'key' | 'now'>;

/** A box has come, or one is put right. */
export const useReedBox = () =>
  useLog({
    path: reedPaths.boxes,
    about: (_box: Content<ReedBoxRequest>) => 'everything',
    form: true,
  });

const NOTHING = { feel: null, goodFor: null, signs: [], cause: null } as const;

/** What is said of one reed by a tap. */
export function useReedSaid() {
  const { log, busy } = useLog({
    path: reedPaths.said,
    about: (_said: Content<ReedSaidRequest>) => 'everything',
  });
  type Grade = Pick<ReedSaidRequest, 'goodFor' | 'signs'> & { readonly feel: NonNullable<ReedSaidRequest['feel']> };
  return {
    busy,
    flattened: (reedId: ReedId) =>
      log({ ...NOTHING, signs: [], reedId, what: 'flattened' }, { said: 'Its back is flat.' }),
    graded: (reedId: ReedId, { feel, goodFor, signs }: Grade) =>
      log(
        { ...NOTHING, reedId, what: 'graded', feel, goodFor: goodFor ?? null, signs },
        { said: `Graded ${FEEL_WORDS[feel]}${goodFor ? `, for ${USE_WORDS[goodFor]}` : ''}.` },
      ),
    ended: (reedId: ReedId, cause: NonNullable<ReedSaidRequest['cause']>) =>
      log({ ...NOTHING, signs: [], reedId, what: 'ended', cause }, { said: `No longer played: ${END_WORDS[cause]}.` }),
  };
}

/** Sessions set by hand, or left to the plan again. */
export const useReedSessions = () =>
  useLog({
    path: reedPaths.sessions,
    about: (_sessions: Content<ReedSessionRequest>) => 'everything',
  });
