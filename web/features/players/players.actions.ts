import type { PlayerId } from '#core/instruments/instrument.ts';
import type { Player } from '#core/players/profile.ts';
import { playerPaths, playerView, type MinderRequest } from '#contract/players.ts';
import { useLog } from '#web/features/record/log.actions.ts';

/** Somebody is added; their id is the key of the form. */
export const useAddPlayer = () =>
  useLog({
    path: playerPaths.list,
    answer: playerView,
    about: (_: Omit<Player, 'id'>) => 'everything',
    form: true,
    envelope: (id) => ({ id }),
  });

/** Who looks after somebody's instruments with them from now on. */
export const useLogMinder = () =>
  useLog({
    path: playerPaths.minders,
    about: (_: Pick<MinderRequest, 'playerId' | 'minderId'>) => 'everything',
  });

/** What somebody is and does themselves from now on. */
export const useLogProfile = () =>
  useLog({
    path: playerPaths.profiles,
    about: (_: Omit<Player, 'id'> & { readonly playerId: PlayerId }) => 'everything',
    form: true,
  });
