import { array, boolean, object, type InferType } from 'yup';
import { KIND_IDS, type KindId } from '#core/instruments/kind.ts';
import { SCHOOL_IDS, SCHOOL_MOMENTS } from '#core/schools/school-ids.ts';
import {
  LONGEST_ID,
  LONGEST_NAME,
  MOST_CHOICES,
  SCHOOL_SET_FORMAT,
  SCHOOL_SET_VERSION,
  type SchoolSet,
} from '#core/schools/school-set-format.ts';
import { MARKS } from '#core/explain/explained.ts';
import { amount, clientKey, localDateText, recordId, text, wallClock, whyLines, word } from '#contract/scalars.ts';

export const schoolPaths = {
  page: (instrumentId: string, today: string) => `/api/schools/${instrumentId}?today=${today}`,
  choices: '/api/schools/choices',
  set: (instrumentId: string, name: string, today: string) =>
    `/api/schools/${instrumentId}/set?name=${encodeURIComponent(name)}&today=${today}`,
  readSet: '/api/schools/sets/read',
  takeSet: '/api/schools/sets',
  setSchema: '/api/schools/school-set.schema.json',
} as const;

/** One way of doing it, with what it would change for this instrument this year. */
export const schoolChoiceView = object({
  choice: text().required(),
  words: text().required(),
  mark: word(MARKS).required(),
  inForce: boolean().strict().required(),
  isDefault: boolean().strict().required(),
  /** What it costs or risks, in the trade's words. */
  cost: text().nullable().defined(),
  /** Why it cannot be had here, or null. */
  barred: text().nullable().defined(),
  /** What it changes beside the choice in force: the figure of the year, and everything. */
  yearWords: text().defined(),
  changes: whyLines,
})
  .exact()
  .required();
export type SchoolChoiceView = InferType<typeof schoolChoiceView>;

export const schoolView = object({
  school: word(SCHOOL_IDS).required(),
  question: text().required(),
  moment: word(SCHOOL_MOMENTS).required(),
  byPlayer: boolean().strict().required(),
  /** Why the default is what it is. */
  defaultWhy: text().required(),
  choices: array(schoolChoiceView).required(),
})
  .exact()
  .required();
export type SchoolView = InferType<typeof schoolView>;

/** `GET /api/schools/:instrumentId?today=` */
export const schoolsPage = object({
  instrumentId: recordId().required(),
  name: text().required(),
  kindName: text().required(),
  /** At the player's usual weeks: plays a year, minutes a play, hours a year. */
  year: object({
    plays: amount().min(0).required(),
    beforeMinutes: amount().min(0).required(),
    afterMinutes: amount().min(0).required(),
    passes: amount().min(0).required(),
    minutes: amount().min(0).required(),
  })
    .exact()
    .required(),
  schools: array(schoolView).required(),
})
  .exact()
  .required();
export type SchoolsPage = InferType<typeof schoolsPage>;

/** `POST /api/schools/choices`: this way from now on; null goes back to the default. */
export const chooseSchoolRequest = object({
  key: clientKey().required(),
  instrumentId: recordId().required(),
  school: word(SCHOOL_IDS).required(),
  choice: text().max(LONGEST_ID).nullable().defined(),
  now: wallClock.required(),
})
  .exact()
  .required();
export type ChooseSchoolRequest = InferType<typeof chooseSchoolRequest>;

const SET_ID = new RegExp(`^[a-z0-9-]{1,${LONGEST_ID}}$`);

const NO_SET = `This is no school set: its format is not “${SCHOOL_SET_FORMAT}”.`;

/** A school set as it lies in a file: the same as docs/school-set.schema.json says. */
export const schoolSetFile = object({
  format: text().oneOf([SCHOOL_SET_FORMAT], NO_SET).required(NO_SET),
  version: amount()
    .oneOf([SCHOOL_SET_VERSION], `This set is of another version; this Ulu reads version ${SCHOOL_SET_VERSION}.`)
    .required(),
  name: text().min(1).max(LONGEST_NAME).required(),
  kind: word(KIND_IDS).required(),
  choices: object()
    .strict()
    .required()
    .test(
      'choices',
      `\${path} must be at most ${MOST_CHOICES} questions, each with one choice, both in small letters`,
      (value) => {
        const entries = Object.entries(value as Record<string, unknown>);
        return (
          entries.length <= MOST_CHOICES &&
          entries.every(([id, choice]) => SET_ID.test(id) && typeof choice === 'string' && SET_ID.test(choice))
        );
      },
    ),
})
  .exact()
  .required();

/** `POST /api/schools/sets/read`: what a set would do to an instrument; nothing is changed. */
export const readSetRequest = object({
  instrumentId: recordId().required(),
  set: schoolSetFile,
  today: localDateText().required(),
})
  .exact()
  .required();
export type ReadSetRequest = { instrumentId: string; set: SchoolSet; today: string };

export const SET_VERDICTS = ['new', 'same', 'not-asked', 'barred', 'unknown'] as const;

export const setReading = object({
  name: text().required(),
  kind: word(KIND_IDS).required(),
  /** It was made on another kind than this instrument's. */
  otherKind: boolean().strict().required(),
  lines: array(
    object({
      school: text().required(),
      choice: text().required(),
      question: text().nullable().defined(),
      words: text().nullable().defined(),
      verdict: word(SET_VERDICTS).required(),
      why: text().nullable().defined(),
    })
      .exact()
      .required(),
  ).required(),
})
  .exact()
  .required();
export type SetReading = Omit<InferType<typeof setReading>, 'kind'> & { kind: KindId };

/** `POST /api/schools/sets`: takes what of a set is for this instrument; one key takes all of it back. */
export const takeSetRequest = object({
  key: clientKey().required(),
  instrumentId: recordId().required(),
  set: schoolSetFile,
  now: wallClock.required(),
})
  .exact()
  .required();
export type TakeSetRequest = {
  key: string;
  instrumentId: string;
  set: SchoolSet;
  now: { on: string; atMinute: number };
};

export const setQuery = object({
  name: text().min(1).max(LONGEST_NAME).required(),
  today: localDateText().required(),
})
  .exact()
  .required();
