import { array, boolean, object, type InferType, type ObjectSchema, type Schema } from 'yup';
import { answerOf, fact } from '#contract/fact.ts';
import { ofInstrument } from '#core/record/fact.ts';
import type { MethodChosen } from '#core/methods/chosen-method.ts';
import type { MethodSetTaken } from '#core/methods/method-set-format.ts';
import { KIND_IDS, type KindId } from '#core/instruments/kind.ts';
import { METHOD_IDS, METHOD_MOMENTS } from '#core/book/method-ids.ts';
import {
  LONGEST_ID,
  LONGEST_NAME,
  MOST_CHOICES,
  METHOD_SET_FORMAT,
  METHOD_SET_VERSION,
  SET_VERSIONS,
  type MethodSet,
} from '#core/methods/method-set-format.ts';
import { MARKS } from '#core/explain/explained.ts';
import {
  amount,
  clientKey,
  instrumentId,
  localDateText,
  text,
  visibleText,
  whyLines,
  word,
} from '#contract/scalars.ts';

export const methodPaths = {
  page: (instrumentId: string, today: string) => `/api/methods/${instrumentId}?today=${today}`,
  choices: '/api/methods/choices',
  set: (instrumentId: string, name: string, today: string) =>
    `/api/methods/${instrumentId}/set?name=${encodeURIComponent(name)}&today=${today}`,
  readSet: '/api/methods/sets/read',
  takeSet: '/api/methods/sets',
  setSchema: '/api/methods/method-set.schema.json',
} as const;

/** One way of doing it, with what it would change for this instrument this year. */
const methodChoiceView = object({
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
export type MethodChoiceView = InferType<typeof methodChoiceView>;

const methodView = object({
  method: word(METHOD_IDS).required(),
  question: text().required(),
  moment: word(METHOD_MOMENTS).required(),
  byPlayer: boolean().strict().required(),
  /** Why the default is what it is. */
  defaultWhy: text().required(),
  choices: array(methodChoiceView).required(),
})
  .exact()
  .required();
export type MethodView = InferType<typeof methodView>;

/** `GET /api/methods/:instrumentId?today=` */
export const methodsPage = object({
  instrumentId: instrumentId().required(),
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
  methods: array(methodView).required(),
})
  .exact()
  .required();
export type MethodsPage = InferType<typeof methodsPage>;

/** `POST /api/methods/choices`: this way from now on; null goes back to the default. */
export const methodChoiceFact = fact({
  kind: 'method',
  path: methodPaths.choices,
  fields: {
    instrumentId: instrumentId().required(),
    method: word(METHOD_IDS).required(),
    choice: text().max(LONGEST_ID).nullable().defined(),
  },
  about: ({ instrumentId: id }: MethodChosen) => [ofInstrument(id)],
});

const SET_ID = new RegExp(`^[a-z0-9-]{1,${LONGEST_ID}}$`);

const NO_SET = `This is no method set: its format is not “${METHOD_SET_FORMAT}”.`;

/** A method set as it lies in a file: the same as docs/method-set.schema.json says. */
export const methodSetFile = object({
  format: text().oneOf(Object.keys(SET_VERSIONS), NO_SET).required(NO_SET),
  version: amount()
    .required()
    .when('format', ([format], version) => {
      const read = SET_VERSIONS[format as MethodSet['format']] ?? METHOD_SET_VERSION;
      return version.oneOf([read], `This set is of another version; this Ulu reads version ${read} of its format.`);
    }),
  name: visibleText(LONGEST_NAME).required(),
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

/** `POST /api/methods/sets/read`: what a set would do to an instrument; nothing is changed. */
const reading = object({
  instrumentId: instrumentId().required(),
  set: methodSetFile,
  today: localDateText().required(),
})
  .exact()
  .required();
export type ReadSetRequest = Omit<InferType<typeof reading>, 'set'> & { set: MethodSet };
/** Its choices are checked one by one above; Yup only knows them as an object. */
export const readSetRequest = reading as unknown as ObjectSchema<ReadSetRequest>;

const SET_VERDICTS = ['new', 'same', 'not-asked', 'barred', 'unknown'] as const;

export const setReading = object({
  name: text().required(),
  kind: word(KIND_IDS).required(),
  /** It was made on another kind than this instrument's. */
  otherKind: boolean().strict().required(),
  lines: array(
    object({
      method: text().required(),
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

/** `POST /api/methods/sets`: takes what of a set is for this instrument; one key takes all of it back. */
export const methodSetFact = fact({
  kind: 'method-set',
  path: methodPaths.takeSet,
  fields: { instrumentId: instrumentId().required(), set: methodSetFile as unknown as Schema<MethodSet> },
  kept: {
    instrumentId: instrumentId().required(),
    name: text().max(LONGEST_NAME).required(),
    /** Nobody kept it at first. */
    set: (methodSetFile as unknown as Schema<MethodSet>).optional(),
  },
  about: ({ instrumentId: id }: MethodSetTaken) => [ofInstrument(id)],
  needsServer: true,
  answer: answerOf({ key: clientKey().required(), taken: amount().integer().required() }),
});

export const setQuery = object({
  name: visibleText(LONGEST_NAME).required(),
  today: localDateText().required(),
})
  .exact()
  .required();
