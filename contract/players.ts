import { array, object, type InferType, type Schema } from 'yup';
import { SKILLS, STANDINGS } from '#core/players/player.ts';
import type { Player } from '#core/players/profile.ts';
import { factRequest, playerId, visibleText, word } from '#contract/scalars.ts';

export const playerPaths = { list: '/api/players', profiles: '/api/profiles' } as const;

const name = () => visibleText(60);

/** `POST /api/players` */
export const addPlayerRequest = object({
  id: playerId().required(),
  name: name().required(),
  standing: word(STANDINGS).required(),
  does: array(word(SKILLS).required()).required(),
})
  .exact()
  .required();
export type AddPlayerRequest = InferType<typeof addPlayerRequest>;

/** `POST /api/profiles`: what somebody is and does themselves from now on; who a step is for follows. */
export const profileRequest = factRequest({
  playerId: playerId().required(),
  name: name().required(),
  standing: word(STANDINGS).required(),
  does: array(word(SKILLS).required()).required(),
});
export type ProfileRequest = InferType<typeof profileRequest>;

/** A player, as the core has them. */
export const playerView = object({
  id: playerId().required(),
  name: name().required(),
  standing: word(STANDINGS).required(),
  does: array(word(SKILLS).required()).required(),
})
  .exact()
  .required() satisfies Schema<Player>;

export const playerList = array(playerView).required();
