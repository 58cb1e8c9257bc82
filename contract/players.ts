import { array, object, type InferType, type Schema } from 'yup';
import { answeredWith, fact, type Posted } from '#contract/fact.ts';
import { ofPlayer } from '#core/record/fact.ts';
import { RUN_WAYS } from '#core/players/run-way.ts';
import { SKILLS, STANDINGS } from '#core/players/player.ts';
import type { ListedPlayer } from '#core/players/profile.ts';
import { playerId, visibleText, word, text } from '#contract/scalars.ts';

export const playerPaths = {
  list: '/api/players',
  profiles: '/api/profiles',
  runWays: '/api/run-ways',
  minders: '/api/minders',
} as const;

const name = () => visibleText(60);
/** Names were once taken as they came. */
const LONGEST_KEPT_NAME = 200;

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

/** What is kept of an addition beside a profile. */
export const keptPlayer = object({ id: playerId().required() }).exact().required();

/** `POST /api/profiles`: what somebody is and does themselves from now on; who a step is for follows. */
export const profileFact = fact({
  kind: 'profile',
  path: playerPaths.profiles,
  fields: {
    playerId: playerId().required(),
    name: name().required(),
    standing: word(STANDINGS).required(),
    does: array(word(SKILLS).required()).max(SKILLS.length).required(),
  },
  kept: {
    playerId: playerId().required(),
    name: text().max(LONGEST_KEPT_NAME).required(),
    standing: word(STANDINGS).required(),
    does: array(word(SKILLS).required()).required(),
  },
  about: ({ playerId: id }) => [ofPlayer(id)],
});

/** `POST /api/run-ways`: how somebody goes through a run from now on. */
export const runWayFact = fact({
  kind: 'run-way',
  path: playerPaths.runWays,
  fields: { playerId: playerId().required(), way: word(RUN_WAYS).required() },
  about: ({ playerId: id }) => [ofPlayer(id)],
});

/** `POST /api/minders`: who looks after a child's or a pupil's instruments with them; null: nobody. */
export const minderFact = fact({
  kind: 'minder',
  path: playerPaths.minders,
  fields: {
    playerId: playerId().required(),
    minderId: playerId().nullable().defined(),
  },
  about: ({ playerId: id }) => [ofPlayer(id)],
});

/** A player, as the core has them. */
const playerView = object({
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

/** Somebody is added, under their id. */
export const playerAddition: Posted<Omit<AddPlayerRequest, 'id'>, ListedPlayer> = {
  path: playerPaths.list,
  answer: answeredWith(playerView),
  isAnAddition: true,
};
