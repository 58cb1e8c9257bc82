import { object, type InferType } from 'yup';
import { ofPlayer } from '#core/record/fact.ts';
import { fact } from '#contract/fact.ts';
import { amount, clientKey, localDateText, minuteOfDay, playerId } from '#contract/scalars.ts';

export const airPaths = {
  page: '/api/air',
  readings: '/api/air/readings',
  of: (player: string, today: string) => `/api/air?playerId=${encodeURIComponent(player)}&today=${today}`,
} as const;

/** What the hygrometer shows now, °C and percent of relative humidity. */
export const airReadingFact = fact({
  kind: 'air-reading',
  path: airPaths.readings,
  fields: {
    playerId: playerId().required(),
    celsius: amount().required(),
    humidityPercent: amount().required(),
  },
  about: (read) => [ofPlayer(read.playerId)],
  correctable: true,
});

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
