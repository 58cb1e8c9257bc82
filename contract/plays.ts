import { object, type InferType } from 'yup';
import { COLDEST_ROOM, WARMEST_ROOM } from '#core/air/room.ts';
import { LEAST_PLAY_MINUTES, MOST_PLAY_MINUTES } from '#core/plays/play.ts';
import { amount, clientKey, factRequest, localDateText, minuteOfDay, recordId } from '#contract/scalars.ts';

export const playPaths = { log: '/api/plays' } as const;

/** `POST /api/plays`: one spell of playing, ended by packing up. `now` is the player's wall clock. */
export const logPlayRequest = factRequest({
  instrumentId: recordId().required(),
  playerId: recordId().required(),
  endedOn: localDateText().required(),
  /** null when only the day is known. */
  endedAtMinute: minuteOfDay().nullable().defined(),
  minutes: amount().integer().min(LEAST_PLAY_MINUTES).max(MOST_PLAY_MINUTES).required(),
  /** The room, °C; null where nobody says. */
  roomCelsius: amount().min(COLDEST_ROOM).max(WARMEST_ROOM).nullable().defined(),
});
export type LogPlayRequest = InferType<typeof logPlayRequest>;

export const playView = object({
  key: clientKey().required(),
  instrumentId: recordId().required(),
  playerId: recordId().required(),
  endedOn: localDateText().required(),
  endedAtMinute: minuteOfDay().nullable().defined(),
  minutes: amount().integer().required(),
  roomCelsius: amount().nullable().defined(),
})
  .exact()
  .required();
export type PlayView = InferType<typeof playView>;
