import { array, boolean, object, type InferType } from 'yup';
import { COLDEST_ROOM, WARMEST_ROOM } from '#core/air/room.ts';
import { HIGHEST_TUNING, LOWEST_TUNING, REED_WISHES } from '#core/settings/settings.ts';
import { ofPlayer } from '#core/record/fact.ts';
import { fact } from '#contract/fact.ts';
import { amount, playerId, text, word } from '#contract/scalars.ts';

export const settingsPaths = {
  page: '/api/settings',
  of: (player: string) => `/api/settings?playerId=${encodeURIComponent(player)}`,
  keep: '/api/settings',
} as const;

const currency = () =>
  text()
    .max(3)
    .matches(/^[A-Z]{3}$/, '${path} must be a currency of three letters');

/** `POST /api/settings`: what somebody has settled once for all; the last word counts. */
export const settingsFact = fact({
  kind: 'settings',
  path: settingsPaths.keep,
  fields: {
    playerId: playerId().required(),
    roomCelsius: amount().min(COLDEST_ROOM).max(WARMEST_ROOM).nullable().defined(),
    tuningHertz: amount().integer().min(LOWEST_TUNING).max(HIGHEST_TUNING).nullable().defined(),
    currency: currency().nullable().defined(),
    reedWish: word(REED_WISHES).nullable().optional().default(undefined),
  },
  about: ({ playerId: id }) => [ofPlayer(id)],
});

export const settingsQuery = object({ playerId: playerId().required() }).exact().required();

/** `GET /api/settings?playerId=` */
export const settingsView = object({
  playerId: playerId().required(),
  roomCelsius: amount().nullable().defined(),
  tuningHertz: amount().nullable().defined(),
  /** How many reeds are opened for a concert. */
  reedWish: word(REED_WISHES).required(),
  /** What is counted in now, whoever has said so. */
  currency: text().nullable().defined(),
  /** Something has a price already: it is that of the record, and stays. */
  isPriced: boolean().strict().required(),
  currencies: array(text().required()).required(),
})
  .exact()
  .required();
export type SettingsView = InferType<typeof settingsView>;
