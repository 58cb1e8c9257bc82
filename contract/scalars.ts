import { array, number, object, string } from 'yup';
import { MARKS } from '#core/explain/explained.ts';
import { parseInstant } from '#core/time/instant.ts';
import { parseLocalDate } from '#core/time/local-date.ts';

// House rules for Yup: strict scalars, exact objects, never date() or mixed(); see eslint.config.mjs.

/** Text as it is, never coerced from a number. */
export const text = () => string().strict();
/** A whole or fractional number, never coerced from text. */
export const amount = () => number().strict();
/** One word out of a list. */
export const word = <W extends string>(words: readonly W[]) => string<W>().strict().oneOf(words);

/** `YYYY-MM-DD`, a real calendar day. */
export const localDateText = () =>
  text().test('local-date', '${path} must be a calendar day like 2026-11-24', (value) =>
    value === undefined || value === null ? true : parseLocalDate(value) !== undefined,
  );

/** An ISO instant in UTC with milliseconds. */
export const instantText = () =>
  text().test('instant', '${path} must be an instant like 2026-11-24T19:05:00.000Z', (value) =>
    value === undefined || value === null ? true : parseInstant(value) !== undefined,
  );

/** A key the client made for something it logs: the same key is the same entry, however often it is sent. */
export const clientKey = () =>
  text().matches(
    /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/,
    '${path} must be a UUID in lower case',
  );

/** An id of the record. */
export const recordId = () => text().matches(/^[a-z0-9][a-z0-9-]{0,63}$/, '${path} must be an id');

/** The minute of the day on the player's wall clock. */
export const minuteOfDay = () => amount().integer().min(0).max(1439);

/** Where the player's wall clock stands; the server's zone is not the player's. */
export const wallClock = object({ on: localDateText().required(), atMinute: minuteOfDay().required() }).exact();

/** One line under "Why". */
export const whyLine = object({
  rule: text().required(),
  text: text().required(),
  mark: word(MARKS).required(),
})
  .exact()
  .required();
export const whyLines = array(whyLine).required();

/** A date with the range it may fall in. */
export const dueRange = object({
  on: localDateText().required(),
  earliest: localDateText().required(),
  latest: localDateText().required(),
}).exact();

/** `?today=`: the day on the reader's calendar. */
export const todayQuery = object({ today: localDateText().required() }).exact().required();
