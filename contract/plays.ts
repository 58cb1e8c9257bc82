import { array, object, type Schema } from 'yup';
import { answerOf, fact } from '#contract/fact.ts';
import { reedsOfPlay } from '#contract/reeds-in-play.ts';
import { ofInstrument } from '#core/record/fact.ts';
import { ALONE_IDS } from '#core/instruments/alone.ts';
import { COLDEST_ROOM, WARMEST_ROOM } from '#core/air/room.ts';
import { LEAST_PLAY_MINUTES, MOST_PLAY_MINUTES, type Play, MINUTES_PER_DAY } from '#core/plays/play.ts';
import { amount, clientKey, instrumentId, localDateText, minuteOfDay, playerId, word } from '#contract/scalars.ts';

export const playPaths = { log: '/api/plays', evening: '/api/evenings' } as const;

/** Instruments somebody may have played of an evening; more is a mistake. */
export const MOST_PLAYS_AN_EVENING = 12;

/** `POST /api/plays`: one spell of playing, ended by packing up. `now` is the player's wall clock. */
export const playFact = fact({
  kind: 'play',
  path: playPaths.log,
  fields: {
    instrumentId: instrumentId().required(),
    playerId: playerId().required(),
    endedOn: localDateText().required(),
    /** null when only the day is known. */
    endedAtMinute: minuteOfDay().nullable().defined(),
    minutes: amount().integer().min(LEAST_PLAY_MINUTES).max(MOST_PLAY_MINUTES).required(),
    /** The room, °C; null where nobody says. */
    roomCelsius: amount().min(COLDEST_ROOM).max(WARMEST_ROOM).nullable().defined(),
    /** Only these parts of it were played; without it, or null: all of it. */
    alone: word(ALONE_IDS).nullable().optional(),
    /** On which reeds it was, where that is known at once. */
    reeds: reedsOfPlay.nullable().optional(),
  },
  kept: {
    instrumentId: instrumentId().required(),
    playerId: playerId().required(),
    endedOn: localDateText().required(),
    endedAtMinute: minuteOfDay().nullable().defined(),
    minutes: amount().integer().min(1).max(MINUTES_PER_DAY).required(),
    roomCelsius: amount().nullable().defined(),
    alone: word(ALONE_IDS).nullable().defined(),
  },
  about: ({ instrumentId: id }: Omit<Play, 'key'>) => [ofInstrument(id)],
  correctable: true,
  answer: answerOf({
    key: clientKey().required(),
    instrumentId: instrumentId().required(),
    playerId: playerId().required(),
    endedOn: localDateText().required(),
    endedAtMinute: minuteOfDay().nullable().defined(),
    minutes: amount().integer().required(),
    roomCelsius: amount().nullable().defined(),
    alone: word(ALONE_IDS).nullable().defined(),
  }) satisfies Schema<Play>,
});

/**
 * `POST /api/evenings`: what somebody played on several instruments, each a play of its own. All of them land or none,
 * and taking the evening back takes them all back.
 */
export const eveningFact = fact({
  kind: 'evening',
  path: playPaths.evening,
  fields: {
    playerId: playerId().required(),
    endedOn: localDateText().required(),
    endedAtMinute: minuteOfDay().nullable().defined(),
    roomCelsius: amount().min(COLDEST_ROOM).max(WARMEST_ROOM).nullable().defined(),
    plays: array(
      object({
        key: clientKey().required(),
        instrumentId: instrumentId().required(),
        minutes: amount().integer().min(LEAST_PLAY_MINUTES).max(MOST_PLAY_MINUTES).required(),
        alone: word(ALONE_IDS).nullable().optional(),
      })
        .exact()
        .required(),
    )
      .min(1)
      .max(MOST_PLAYS_AN_EVENING)
      .required(),
  },
  about: ({ plays }) => plays.map((one) => ofInstrument(one.instrumentId)),
});
