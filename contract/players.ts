import { array, object, type InferType } from 'yup';
import { SKILLS, STANDINGS } from '#core/players/player.ts';
import { factRequest, recordId, visibleText, word } from '#contract/scalars.ts';

export const playerPaths = { list: '/api/players', profiles: '/api/profiles' } as const;

const name = () => visibleText(60);

/** `POST /api/players` */
export const addPlayerRequest = object({
  id: recordId().required(),
  name: name().required(),
  standing: word(STANDINGS).required(),
  does: array(word(SKILLS).required()).required(),
})
  .exact()
  .required();
export type AddPlayerRequest = InferType<typeof addPlayerRequest>;

/** `POST /api/profiles`: what somebody is and does themselves from now on; who a step is for follows. */
export const profileRequest = factRequest({
  playerId: recordId().required(),
  name: name().required(),
  standing: word(STANDINGS).required(),
  does: array(word(SKILLS).required()).required(),
});
export type ProfileRequest = InferType<typeof profileRequest>;

export const playerView = object({
  id: recordId().required(),
  name: name().required(),
  standing: word(STANDINGS).required(),
  does: array(word(SKILLS).required()).required(),
})
  .exact()
  .required();
export type PlayerView = InferType<typeof playerView>;

export const playerList = array(playerView).required();
