import { array, boolean, object, string, type InferType } from 'yup';
import { fact } from '#contract/fact.ts';
import { ofInstrument } from '#core/record/fact.ts';
import { MISHAPS, SENSES, SIGN_SORTS, WHICH_NOTES, type CauseId } from '#core/book/fault.ts';
import { MARKS } from '#core/explain/explained.ts';
import { ENDED_BY } from '#core/faults/fault-record.ts';
import { CHANCE_WORDS, INTERVIEW_WAYS } from '#core/faults/interview.ts';
import { ANSWERS } from '#core/faults/stops.ts';
import { PART_IDS } from '#core/instruments/kind.ts';
import {
  amount,
  careItemId,
  factKey,
  instrumentId,
  localDateText,
  playerId,
  signId,
  text,
  todayQuery,
  word,
} from '#contract/scalars.ts';

/** An id of the tables of faults: `page/words`. What this instrument has not is refused by whoever looks it up. */
const causeId = () => string<CauseId>().strict().max(60);
/** More is not noticed at once. */
const MOST_NOTICED = 12;
/** More is not asked about at once: all that can be noticed on an instrument. */
const MOST_AT_ONCE = 60;

export const faultPaths = {
  /** As it is told to whoever holds the device: `by` is their id. */
  page: (instrument: string, today: string, way: string, by: string) =>
    `/api/faults/${instrument}?today=${today}&way=${way}&by=${by}`,
  book: (instrument: string, today: string) => `/api/faults/${instrument}/book?today=${today}`,
  begin: '/api/faults',
  answer: '/api/faults/answers',
  outcome: '/api/faults/outcomes',
  end: '/api/faults/ends',
  mishap: '/api/faults/mishaps',
} as const;

/** `?today=&way=`: a quick guess, or to be sure. */
export const faultQuery = todayQuery.shape({
  way: word(INTERVIEW_WAYS).required(),
  /** Who reads it; the instrument's own player where nobody is named. */
  by: playerId().optional(),
});

/** `POST /api/faults`: something is wrong, and this is noticed. */
export const interviewFact = fact({
  kind: 'interview',
  path: faultPaths.begin,
  fields: {
    instrumentId: instrumentId().required(),
    noticed: array(signId().required()).min(1).max(MOST_NOTICED).required(),
  },
  about: ({ instrumentId: id }) => [ofInstrument(id)],
});

/** `POST /api/faults/answers`: one answer, or something more that is noticed; the last one to a sign counts. */
export const interviewAnswerFact = fact({
  kind: 'interview-answer',
  path: faultPaths.answer,
  fields: {
    interviewKey: factKey().required(),
    sign: signId().required(),
    answer: word(ANSWERS).required(),
    noticed: boolean().strict().required(),
    /** Where everything else was asked about at once: what is so besides the sign. */
    also: array(signId().required()).max(MOST_AT_ONCE).optional().default(undefined),
    /** What was asked about with it: not so, or no more to be told than the sign itself. */
    beside: array(signId().required()).max(MOST_AT_ONCE).optional().default(undefined),
  },
  about: () => [],
});

/** `POST /api/faults/outcomes`: a remedy was tried. */
export const interviewOutcomeFact = fact({
  kind: 'interview-outcome',
  path: faultPaths.outcome,
  fields: {
    interviewKey: factKey().required(),
    cause: causeId().required(),
    helped: boolean().strict().required(),
  },
  about: () => [],
});

/** `POST /api/faults/mishaps`: something happened to it. */
export const mishapFact = fact({
  kind: 'mishap',
  path: faultPaths.mishap,
  fields: {
    instrumentId: instrumentId().required(),
    mishap: word(MISHAPS).required(),
    part: word(PART_IDS).nullable().defined(),
    happenedOn: localDateText().required(),
  },
  about: ({ instrumentId: id }) => [ofInstrument(id)],
});

/** `POST /api/faults/ends`: somebody has looked, or it is let be; of an interview or of what happened. */
export const faultEndFact = fact({
  kind: 'fault-end',
  path: faultPaths.end,
  fields: {
    faultKey: factKey().required(),
    by: word(ENDED_BY).required(),
  },
  about: () => [],
});

const remedyView = object({
  handWords: text().required(),
  /** In the hands of whoever looks at the page, alone or with somebody beside them. */
  isOwn: boolean().strict().required(),
  heading: text().required(),
  how: text().required(),
  never: text().nullable().defined(),
  /** What is done is said in the room of reeds. */
  inReeds: boolean().strict().required(),
  /** The reed is laid on the double-reed table. */
  atTable: boolean().strict().required(),
  thenWords: text().nullable().defined(),
  /** The care whose run does it, or that it makes due. */
  care: object({ itemId: careItemId().required(), name: text().required(), isRun: boolean().strict().required() })
    .exact()
    .nullable()
    .defined(),
})
  .exact()
  .required();

const suspectView = object({
  cause: causeId().required(),
  name: text().required(),
  partName: text().nullable().defined(),
  word: word(CHANCE_WORDS).required(),
  wordSaid: text().required(),
  percent: amount().integer().min(0).max(100).required(),
  remedy: remedyView,
  /** What in the record and among the answers speaks for it. */
  because: array(
    object({ text: text().required(), mark: word(MARKS).required() })
      .exact()
      .required(),
  ).required(),
  /** The same was found before, more than once: then the question is another one. */
  again: text().nullable().defined(),
  /** It was tried and did not help. */
  wasTried: boolean().strict().required(),
})
  .exact()
  .required();
export type SuspectView = InferType<typeof suspectView>;

/** What can be named of several things that one look shows. */
const optionsView = array(object({ sign: signId().required(), words: text().required() }).exact().required());

const questionView = object({
  sign: signId().required(),
  question: text().required(),
  /** One of these is named, or none; null where the answer is yes or no. */
  options: optionsView.nullable().defined(),
  /** Any of the options can be so. */
  several: boolean().strict().required(),
  how: text().nullable().defined(),
  part: word(PART_IDS).nullable().defined(),
  partName: text().nullable().defined(),
  tool: text().nullable().defined(),
  /** It decides whether the instrument may be played at all. */
  isStop: boolean().strict().required(),
  /** Why this one is asked now. */
  why: text().required(),
})
  .exact()
  .required();
export type QuestionView = InferType<typeof questionView>;

const saidView = object({
  /** The fact that is taken back; null where it came with the beginning. */
  key: factKey().nullable().defined(),
  sign: signId().required(),
  words: text().required(),
  question: text().required(),
  options: optionsView.nullable().defined(),
  several: boolean().strict().required(),
  answer: word(ANSWERS).required(),
  /** Which of the options are so. */
  so: array(signId().required()).required(),
  noticed: boolean().strict().required(),
  /** It is this answer that stops the instrument. */
  stops: boolean().strict().required(),
})
  .exact()
  .required();

export const interviewView = object({
  key: factKey().required(),
  on: localDateText().required(),
  said: array(saidView).required(),
  suspected: array(suspectView).required(),
  /** Something that is not in the list. */
  notInListPercent: amount().integer().min(0).max(100).required(),
  question: questionView.nullable().defined(),
  asked: amount().integer().min(0).required(),
  endWords: text().nullable().defined(),
  /** It is said to a child. */
  forChild: boolean().strict().required(),
  /** An earlier answer the last one goes against. */
  against: object({ sign: signId().required(), words: text().required() }).exact().nullable().defined(),
  /** For whoever looks at it next: what, since when, what was seen and tried. */
  note: text().required(),
})
  .exact()
  .required();
export type InterviewView = InferType<typeof interviewView>;

export const stopView = object({
  key: factKey().required(),
  heading: text().required(),
  meanwhile: text().required(),
  why: text().required(),
  mayBePlayed: boolean().strict().required(),
  clearedBy: word(ENDED_BY).required(),
  clearedWords: text().required(),
  since: localDateText().required(),
})
  .exact()
  .required();
export type StopView = InferType<typeof stopView>;

const noticeable = object({
  sign: signId().required(),
  words: text().required(),
  sense: word(SENSES).required(),
  sort: word(SIGN_SORTS).required(),
  notes: word(WHICH_NOTES).nullable().defined(),
  part: word(PART_IDS).nullable().defined(),
  partName: text().nullable().defined(),
  also: array(text().required()).required(),
})
  .exact()
  .required();
export type Noticeable = InferType<typeof noticeable>;

const namedPart = object({ part: word(PART_IDS).required(), name: text().required() })
  .exact()
  .required();

/** `GET /api/faults/:instrumentId?today=&way=` */
export const faultsPage = object({
  instrumentId: instrumentId().required(),
  playerId: playerId().required(),
  stopped: stopView.nullable().defined(),
  open: interviewView.nullable().defined(),
  noticeable: array(noticeable).required(),
  /** What the record already says that counts. */
  known: array(
    object({ text: text().required(), mark: word(MARKS).required() })
      .exact()
      .required(),
  ).required(),
  mishaps: array(
    object({ key: factKey().required(), words: text().required(), on: localDateText().required() }).exact().required(),
  ).required(),
  mishapOffers: array(
    object({ mishap: word(MISHAPS).required(), name: text().required(), asksPart: boolean().strict().required() })
      .exact()
      .required(),
  ).required(),
  parts: array(namedPart).required(),
  /** What it was before, the newest first. */
  before: array(
    object({ key: factKey().required(), on: localDateText().required(), text: text().required() }).exact().required(),
  ).required(),
})
  .exact()
  .required();
export type FaultsPage = InferType<typeof faultsPage>;

/** `GET /api/faults/:instrumentId/book`: every sign, cause, look and remedy of this instrument. */
export const faultBook = object({
  instrumentId: instrumentId().required(),
  complaints: array(
    object({
      sign: signId().required(),
      words: text().required(),
      causes: array(
        object({
          cause: causeId().required(),
          name: text().required(),
          how: text().required(),
          mark: word(MARKS).required(),
          /** What shows it, where to look. */
          looks: array(text().required()).required(),
          remedy: remedyView,
        })
          .exact()
          .required(),
      ).required(),
    })
      .exact()
      .required(),
  ).required(),
  never: array(text().required()).required(),
})
  .exact()
  .required();
export type FaultBook = InferType<typeof faultBook>;
