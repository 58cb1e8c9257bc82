import '#contract/short-messages.ts';
import { array, number, object, string } from 'yup';
import type { SignId } from '#core/book/fault.ts';
import type { CareItemId, StepId } from '#core/book/care-ids.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import { hasHidden, hasVisibleText } from '#core/kernel/visible-text.ts';
import { MARKS } from '#core/explain/explained.ts';
import type { RunStepKey } from '#core/packup/run-step.ts';
import { parseInstant, type Instant } from '#core/time/instant.ts';
import { parseLocalDate, type LocalDate } from '#core/time/local-date.ts';

// House rules for Yup: strict scalars, exact objects, never date() or mixed(); see eslint.config.mjs.

/** Text as it is, never coerced from a number. */
export const text = () => string().strict();
/** A name somebody gives: trimmed, and with something in it that can be seen. */
export const visibleText = (longest: number) =>
  text()
    .trim()
    .min(1)
    .max(longest)
    .test('visible', '${path} has nothing in it that can be seen', (value) =>
      value === undefined || value === null ? true : hasVisibleText(value),
    )
    .test('hidden', '${path} has hidden characters in it', (value) =>
      value === undefined || value === null ? true : !hasHidden(value),
    );
/** A whole or fractional number, never coerced from text. */
export const amount = () => number().strict();
/** One word out of a list. */
export const word = <W extends string>(words: readonly W[]) => string<W>().strict().oneOf(words);

const MOST_COST = 100_000_000;
/** An amount in the smallest coins of a currency. */
export const money = object({
  minor: amount().integer().min(0).max(MOST_COST).required(),
  currency: text()
    .max(3)
    .matches(/^[A-Z]{3}$/, '${path} must be a currency of three letters')
    .required(),
}).exact();

/** `YYYY-MM-DD`, a real calendar day. */
export const localDateText = () =>
  string<LocalDate>()
    .strict()
    .max('2026-11-24'.length)
    .test('local-date', '${path} must be a calendar day like 2026-11-24', (value) =>
      value === undefined || value === null ? true : parseLocalDate(value) !== undefined,
    );

/** An ISO instant in UTC with milliseconds. */
export const instantText = () =>
  string<Instant>()
    .strict()
    .max('2026-11-24T19:05:00.000Z'.length)
    .test('instant', '${path} must be an instant like 2026-11-24T19:05:00.000Z', (value) =>
      value === undefined || value === null ? true : parseInstant(value) !== undefined,
    );

/** A key the client made for something it logs: the same key is the same entry, however often it is sent. */
export const clientKey = () =>
  text()
    .max(36)
    .matches(/^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/, '${path} must be a UUID in lower case');

/** The key of any fact: a client's, or one made from another's. */
export const factKey = () =>
  text()
    .max(256)
    .matches(/^[a-z0-9][a-z0-9/.-]{0,255}$/, '${path} must be the key of a fact');

const LONGEST_ID = 64;
const anId = [/^[a-z0-9][a-z0-9-]{0,63}$/, '${path} must be an id'] as const;
export const instrumentId = () =>
  string<InstrumentId>()
    .strict()
    .max(LONGEST_ID)
    .matches(...anId);
export const playerId = () =>
  string<PlayerId>()
    .strict()
    .max(LONGEST_ID)
    .matches(...anId);

/** An instrument by its name. */
export const namedInstrument = object({ instrumentId: instrumentId().required(), name: string().strict().required() })
  .exact()
  .required();

/** The key of a step within its run. */
export const runStepKey = () => string<RunStepKey>().strict().max(160);

/** An id of the one list of signs: `page/words`. What this instrument has not is refused by whoever looks it up. */
export const signId = () => string<SignId>().strict().max(60);
/** An id of the practice book: `page/words`. What the book does not know is refused by whoever looks it up. */
export const careItemId = () => string<CareItemId>().strict().max(80);
export const stepId = () => string<StepId>().strict().max(80);

/** The minute of the day on the player's wall clock. */
export const minuteOfDay = () => amount().integer().min(0).max(1439);

/** Where the player's wall clock stands; the server's zone is not the player's. */
export const wallClock = object({ on: localDateText().required(), atMinute: minuteOfDay().required() }).exact();

/** One line under "Why". */
const whyLine = object({
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
