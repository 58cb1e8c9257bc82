import { array, object, type InferType } from 'yup';
import { SKILLS, STANDINGS } from '#core/players/player.ts';
import { recordId, text, word } from '#contract/scalars.ts';

export const playerPaths = { list: '/api/players', one: (id: string) => `/api/players/${id}` } as const;

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

/** `PUT /api/players/:id`: what somebody is and does themselves may change; who a step is for follows. */
export const revisePlayerRequest = addPlayerRequest.omit(['id']).exact().required();
export type RevisePlayerRequest = InferType<typeof revisePlayerRequest>;

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
