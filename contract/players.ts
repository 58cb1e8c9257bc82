import { array, object, type InferType, type Schema } from 'yup';
import { RUN_WAYS } from '#core/players/run-way.ts';
import { SKILLS, STANDINGS } from '#core/players/player.ts';
import type { ListedPlayer } from '#core/players/profile.ts';
import { factRequest, playerId, visibleText, word } from '#contract/scalars.ts';

export const playerPaths = {
  list: '/api/players',
  profiles: '/api/profiles',
  runWays: '/api/run-ways',
  minders: '/api/minders',
} as const;

const name = () => visibleText(60);

/** `POST /api/players` */
export const addPlayerRequest = object({
  id: playerId().required(),
  name: name().required(),
  standing: word(STANDINGS).required(),
  does: array(word(SKILLS).required()).max(SKILLS.length).required(),
})
  .exact()
  .required();
export type AddPlayerRequest = InferType<typeof addPlayerRequest>;

/** `POST /api/profiles`: what somebody is and does themselves from now on; who a step is for follows. */
export const profileRequest = factRequest({
  playerId: playerId().required(),
  name: name().required(),
  standing: word(STANDINGS).required(),
  does: array(word(SKILLS).required()).max(SKILLS.length).required(),
});
export type ProfileRequest = InferType<typeof profileRequest>;

/** `POST /api/run-ways`: how somebody goes through a run from now on. */
export const runWayRequest = factRequest({ playerId: playerId().required(), way: word(RUN_WAYS).required() });
export type RunWayRequest = InferType<typeof runWayRequest>;

/** `POST /api/minders`: who looks after a child's or a pupil's instruments with them; null: nobody. */
export const minderRequest = factRequest({
  playerId: playerId().required(),
  minderId: playerId().nullable().defined(),
});
export type MinderRequest = InferType<typeof minderRequest>;

/** A player, as the core has them. */
export const playerView = object({
  id: playerId().required(),
  name: name().required(),
  standing: word(STANDINGS).required(),
  does: array(word(SKILLS).required()).max(SKILLS.length).required(),
  way: word(RUN_WAYS).nullable().defined(),
  minderId: playerId().nullable().defined(),
})
  .exact()
  .required() satisfies Schema<ListedPlayer>;

export const playerList = array(playerView).required();
