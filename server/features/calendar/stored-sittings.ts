import { array, number, object, string, ValidationError, type InferType } from 'yup';
import { SITTING_STATES } from '#core/sittings/shown-plan.ts';
import { amount, careItemId, instrumentId, localDateText, text, word } from '#contract/scalars.ts';

/** The version that is written. Whoever changes the shape adds a reader, and a fixture for its test. */
const SITTINGS_VERSION = 2;

const thing = object({
  instrumentId: instrumentId().required(),
  itemId: careItemId().required(),
  dueOn: localDateText().required(),
  lastDone: localDateText().nullable().defined(),
})
  .exact()
  .required();

const sittings = array(
  object({
    uid: text().required(),
    state: word(SITTING_STATES).required(),
    on: localDateText().required(),
    minutes: amount().min(0).required(),
    things: array(thing).required(),
  })
    .exact()
    .required(),
).required();

/** A plan with the question it answers: asked the same again, the same is shown. */
const answered = {
  /** What was asked, as a digest: the day, the time there is, and everything that falls due. */
  question: string().strict().required(),
  /** The days of each thing, by its id; none where it finds none. */
  days: array(
    object({ id: text().required(), days: array(amount().integer().min(0).required()).required() })
      .exact()
      .required(),
  ).required(),
  gap: amount().min(0).nullable().defined(),
  sittings,
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

/** The first version planned each time of a thing by itself. Its plans are of no use any more, its names are. */
const firstVersion = object({ version: number().oneOf([1]).required(), sittings }).required();

function readFirst(written: unknown): StoredSittings | undefined {
  if (!firstVersion.isValidSync(written, { strict: true })) return undefined;
  return { question: '', days: [], gap: null, sittings: firstVersion.cast(written).sittings, earlier: [] };
}

/** @returns undefined for what is no plan of sittings, or one of a version that is not known here: it is made anew */
export function readSittings(written: string): StoredSittings | undefined {
  try {
    const parsed: unknown = JSON.parse(written);
    const first = readFirst(parsed);
    if (first !== undefined) return first;
    const { version: _version, ...stored } = storedSittings.validateSync(parsed, { strict: true });
    return stored;
  } catch (error) {
    if (error instanceof ValidationError || error instanceof SyntaxError) return undefined;
    throw error;
  }
}
