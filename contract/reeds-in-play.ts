import { array, object, string } from 'yup';
import { MOST_PLAY_MINUTES } from '#core/plays/play.ts';
import { HIGH_SHARES, type ReedId } from '#core/reeds/reed.ts';
import { amount, word } from '#contract/scalars.ts';

/** Reeds in one play: more is a table, not a play. */
const MOST_IN_A_PLAY = 6;

/** A reed: the key of its box and its number. */
export const reedId = () =>
  string<ReedId>()
    .strict()
    .max(39)
    .matches(/^[0-9a-f-]{36}\/[1-9]\d?$/, '${path} must be a reed: its box and its number');

/** Which reeds a play was on, and how much of it lay high. */
export const reedsInPlay = {
  shares: array(
    object({ reedId: reedId().required(), minutes: amount().integer().min(1).max(MOST_PLAY_MINUTES).required() })
      .exact()
      .required(),
  )
    .min(1)
    .max(MOST_IN_A_PLAY)
    .required(),
  high: word(HIGH_SHARES).required(),
};
/** The same, sent along with the play itself. */
export const reedsOfPlay = object(reedsInPlay).exact();
