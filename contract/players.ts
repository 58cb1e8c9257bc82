import { array, object, type InferType } from 'yup';
import { SKILLS, STANDINGS } from '#core/players/player.ts';
import { recordId, text, word } from '#contract/scalars.ts';

export const playerPaths = { list: '/api/players' } as const;

const name = () => text().trim().min(1).max(60);

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
