import { object, type InferType } from 'yup';
import { amount, clientKey, factRequest, localDateText, minuteOfDay, playerId } from '#contract/scalars.ts';

export const airPaths = {
  page: '/api/air',
  readings: '/api/air/readings',
  of: (player: string, today: string) => `/api/air?playerId=${encodeURIComponent(player)}&today=${today}`,
} as const;

/** `POST /api/air/readings`: what the hygrometer shows now, °C and percent of relative humidity. */
export const airReadingRequest = factRequest({
  playerId: playerId().required(),
  celsius: amount().required(),
  humidityPercent: amount().required(),
});
export type AirReadingRequest = InferType<typeof airReadingRequest>;

/** `GET /api/air?playerId=&today=` */
export const airQuery = object({ playerId: playerId().required(), today: localDateText().required() })
  .exact()
  .required();

/** The newest reading of today; null where nobody has read it today. */
export const airView = object({
  read: object({
    key: clientKey().required(),
    atMinute: minuteOfDay().nullable().defined(),
    celsius: amount().required(),
    humidityPercent: amount().required(),
  })
    .exact()
    .nullable()
    .defined(),
})
  .exact()
  .required();
export type AirView = InferType<typeof airView>;
