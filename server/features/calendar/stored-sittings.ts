import { array, boolean, number, object, string, ValidationError, type InferType } from 'yup';
import { SITTING_STATES } from '#core/sittings/shown-plan.ts';
import { amount, careItemId, instrumentId, localDateText, text, word } from '#contract/scalars.ts';

/** The version that is written. Whoever changes the shape adds a reader, and a fixture for its test. */
const SITTINGS_VERSION = 1;

const thing = object({
  instrumentId: instrumentId().required(),
  itemId: careItemId().required(),
  dueOn: localDateText().required(),
  lastDone: localDateText().nullable().defined(),
})
  .exact()
  .required();

/** A plan with the question it answers: asked the same again, the same is shown. */
const answered = {
  /** What was asked, as a digest: the day, the time there is, and everything that falls due. */
  question: string().strict().required(),
  /** The day of each time, by its id; null where it finds none. What need not be is not in it. */
  days: array(
    object({ id: text().required(), day: amount().integer().min(0).nullable().defined() })
      .exact()
      .required(),
  ).required(),
  gap: amount().min(0).nullable().defined(),
  /** Not said by plans that were kept before it was. */
  ranOut: boolean().strict().optional(),
  sittings: array(
    object({
      uid: text().required(),
      state: word(SITTING_STATES).required(),
      on: localDateText().required(),
      minutes: amount().min(0).required(),
      things: array(thing).required(),
    })
      .exact()
      .required(),
  ).required(),
};

const storedSittings = object({
  version: number().oneOf([SITTINGS_VERSION]).required(),
  ...answered,
  /** Plans that were shown before, the last first: what is taken back is shown as it was. */
  earlier: array(object(answered).exact().required()).required(),
})
  .exact()
  .required();
export type StoredSittings = Omit<InferType<typeof storedSittings>, 'version'>;

export type AnsweredSittings = Omit<StoredSittings, 'earlier'>;

export const writtenSittings = (stored: StoredSittings): string =>
  JSON.stringify({ version: SITTINGS_VERSION, ...stored });

/** @returns undefined for what is no plan of sittings, or one of a version that is not known here: it is made anew */
export function readSittings(written: string): StoredSittings | undefined {
  try {
    const { version: _version, ...stored } = storedSittings.validateSync(JSON.parse(written), { strict: true });
    return stored;
  } catch (error) {
    if (error instanceof ValidationError || error instanceof SyntaxError) return undefined;
    throw error;
  }
}
