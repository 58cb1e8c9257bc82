import { array, boolean, object, type InferType } from 'yup';
import { fact } from '#contract/fact.ts';
import { ofInstrument, ofPlayer } from '#core/record/fact.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import type { ExaminationNoted } from '#core/doublereeds/examination-noted.ts';
import {
  ALL_LOOK_ANSWERS,
  EXAMINATION_WAYS,
  FURTHEST_CENTS,
  HEARD,
  LARGEST_SLIP,
  LOOKS,
  NOTICED,
  PITCH_FROM,
  REED_STEPS,
  SOAK_SAID,
} from '#core/doublereeds/examination.ts';
import { CARD_MARKS } from '#core/doublereeds/reed-card.ts';
import { TABLE_ENDS } from '#core/doublereeds/next-move.ts';
import { REED_SORTS } from '#core/doublereeds/reed-sort.ts';
import { KIND_IDS } from '#core/instruments/kind.ts';
import { STANDINGS } from '#core/players/player.ts';
import { SCRAPES } from '#core/reeds/reed.ts';
import { reedId } from '#contract/reeds-in-play.ts';
import { reedBoxFact } from '#contract/reeds.ts';
import {
  amount,
  clientKey,
  factKey,
  instrumentId,
  localDateText,
  playerId,
  text,
  whyLines,
  word,
} from '#contract/scalars.ts';

// The double-reed table: what is said at it, and what it says next.

export const doubleReedPaths = {
  table: '/api/doublereeds/table',
  card: '/api/doublereeds/card',
  begin: '/api/doublereeds/examinations',
  choose: '/api/doublereeds/choose',
  look: '/api/doublereeds/looks',
  crow: '/api/doublereeds/crows',
  step: '/api/doublereeds/steps',
  tableOf: (reed: string, today: LocalDate) =>
    `/api/doublereeds/table?reedId=${encodeURIComponent(reed)}&today=${today}`,
  chooseOf: (instrument: string, today: LocalDate) =>
    `/api/doublereeds/choose?instrumentId=${encodeURIComponent(instrument)}&today=${today}`,
  cardOf: (reed: string, today: LocalDate) => `/api/doublereeds/card?reedId=${encodeURIComponent(reed)}&today=${today}`,
} as const;

/** Longer than this no reed lies in water before somebody sits down with it, minutes. */
const MOST_SOAKED = 60;
const SAID_WHERE = { examinationKey: clientKey().required() };

const beginning = {
  reedId: reedId().required(),
  way: word(EXAMINATION_WAYS).required(),
  noticed: array(word(NOTICED).required()).max(NOTICED.length).required(),
  /** Minutes it has lain in water already. */
  soakedMinutes: amount().integer().min(0).max(MOST_SOAKED).required(),
  /** The interview of its instrument that led here. */
  interviewKey: factKey().nullable().defined(),
};
/** When it was, ms: what is done at the table takes minutes, and the clock of a page may be off. */
const atMs = amount().integer().min(0).required();

/** `POST /api/doublereeds/examinations`: a reed is laid on the table, and into water. */
export const examinationFact = fact({
  kind: 'reed-examination',
  path: doubleReedPaths.begin,
  fields: beginning,
  kept: { playerId: playerId().required(), ...beginning, interviewOf: instrumentId().nullable().defined(), atMs },
  about: ({ playerId: id, interviewOf: of }: ExaminationNoted) => [
    ofPlayer(id),
    ...(of === null ? [] : [ofInstrument(of)]),
  ],
});

/** `POST /api/doublereeds/looks`: what a look shows, or that it is in the water, or wet through. */
const looking = {
  ...SAID_WHERE,
  look: word([...LOOKS, 'soak'] as const).required(),
  answer: word([...ALL_LOOK_ANSWERS, ...SOAK_SAID] as const).required(),
};
export const lookFact = fact({
  kind: 'reed-look',
  path: doubleReedPaths.look,
  fields: looking,
  kept: { ...looking, atMs },
  about: () => [],
});

/** `POST /api/doublereeds/crows`: what it sounds like by itself, and how far off its pitch is, cents. */
const crowing = {
  ...SAID_WHERE,
  heard: word(HEARD).required(),
  cents: amount().integer().min(-FURTHEST_CENTS).max(FURTHEST_CENTS).nullable().defined(),
  from: word(PITCH_FROM).required(),
};
export const crowFact = fact({
  kind: 'reed-crow',
  path: doubleReedPaths.crow,
  fields: crowing,
  kept: { ...crowing, atMs },
  about: () => [],
});

/** `POST /api/doublereeds/steps`: one small step was taken, of so many tenths of a millimetre. */
const stepping = {
  ...SAID_WHERE,
  step: word(REED_STEPS).required(),
  tenths: amount().integer().min(1).max(LARGEST_SLIP).required(),
};
export const stepFact = fact({
  kind: 'reed-step',
  path: doubleReedPaths.step,
  fields: stepping,
  kept: { playerId: playerId().required(), ...stepping, atMs },
  about: () => [],
});

/** `GET /api/doublereeds/table?reedId=&today=` */
export const tableQuery = object({
  reedId: reedId().required(),
  today: localDateText().required(),
})
  .exact()
  .required();

/** `GET /api/doublereeds/choose?instrumentId=&today=` */
export const chooseQuery = object({ instrumentId: instrumentId().required(), today: localDateText().required() })
  .exact()
  .required();

const sentence = text().required();
const moveView = object({
  title: sentence,
  how: text().nullable().defined(),
  because: whyLines,
  /** In the water: since when, and how long; what can be said of it now. */
  soak: object({
    elapsedMs: amount().required(),
    leastMs: amount().required(),
    usualMs: amount().required(),
    mostMs: amount().required(),
    /** That it is wet through, that it is in the water again, or nothing but waiting. */
    says: word(SOAK_SAID).nullable().defined(),
    takeOut: sentence,
  })
    .exact()
    .nullable()
    .defined(),
  look: object({
    look: word(LOOKS).required(),
    answers: array(
      object({ answer: word(ALL_LOOK_ANSWERS).required(), words: sentence })
        .exact()
        .required(),
    ).required(),
  })
    .exact()
    .nullable()
    .defined(),
  crow: object({
    listenFor: sentence,
    heard: array(
      object({ heard: word(HEARD).required(), words: sentence, asksPitch: boolean().strict().required() })
        .exact()
        .required(),
    ).required(),
    from: word(PITCH_FROM).required(),
    pitchWords: text().nullable().defined(),
  })
    .exact()
    .nullable()
    .defined(),
  step: object({
    step: word(REED_STEPS).required(),
    tenths: amount().integer().required(),
    /** It is done at the wires. */
    wired: boolean().strict().required(),
    expect: sentence,
    never: sentence,
    warn: text().nullable().defined(),
    howMany: text().nullable().defined(),
    done: sentence,
  })
    .exact()
    .nullable()
    .defined(),
  end: object({ end: word(TABLE_ENDS).required(), endsTheReed: boolean().strict().required() })
    .exact()
    .nullable()
    .defined(),
})
  .exact()
  .required();
export type MoveView = InferType<typeof moveView>;

export const tableView = object({
  playerId: playerId().required(),
  playerName: sentence,
  standing: word(STANDINGS).required(),
  reedId: reedId().required(),
  name: sentence,
  kindName: sentence,
  sort: word(REED_SORTS).required(),
  /** Nobody has said how its box is scraped: asked once. The box as it is, to be put right with the answer. */
  askScrape: object({ boxKey: factKey().required(), box: reedBoxFact.kept.required() }).exact().nullable().defined(),
  scrapes: array(
    object({ scrape: word(SCRAPES).required(), words: sentence })
      .exact()
      .required(),
  ).required(),
  noticed: array(
    object({ noticed: word(NOTICED).required(), words: sentence })
      .exact()
      .required(),
  ).required(),
  /** What does not go with this sort, said so that nobody misses it; null where everything does. */
  notApplicable: text().nullable().defined(),
  /** An instrument of this kind, to which its pages lead back. */
  instrumentId: instrumentId().nullable().defined(),
  examination: object({
    key: factKey().required(),
    way: word(EXAMINATION_WAYS).required(),
    on: localDateText().required(),
    /** An interview waits for what is found. */
    interviewOf: instrumentId().nullable().defined(),
    said: array(object({ key: factKey().required(), words: sentence }).exact().required()).required(),
    move: moveView,
  })
    .exact()
    .nullable()
    .defined(),
  /** What the last examination came to; null before any. */
  last: object({ on: localDateText().required(), words: sentence }).exact().nullable().defined(),
})
  .exact()
  .required();
export type TableView = InferType<typeof tableView>;

/** Which reed is laid on the table: of this instrument, of a box that has just come, or of a pupil. */
export const chooseView = object({
  instrumentId: instrumentId().required(),
  playerId: playerId().required(),
  name: sentence,
  playerName: sentence,
  /** Those in use, the one played last first. */
  reeds: array(object({ reedId: reedId().required(), name: sentence, words: sentence }).exact().required()).required(),
  /** Boxes with reeds nobody has opened. */
  fresh: array(
    object({ boxKey: factKey().required(), name: sentence, numbers: array(amount().integer().required()).required() })
      .exact()
      .required(),
  ).required(),
  /** Everybody who plays a double reed, with the reed of theirs that stands in no box, where there is one. */
  pupils: array(
    object({
      instrumentId: instrumentId().required(),
      playerId: playerId().required(),
      playerName: sentence,
      kind: word(KIND_IDS).required(),
      kindName: sentence,
      unboxed: reedId().nullable().defined(),
    })
      .exact()
      .required(),
  ).required(),
})
  .exact()
  .required();
export type ChooseView = InferType<typeof chooseView>;

/** A reed's life on one line. */
export const cardView = object({
  reedId: reedId().required(),
  name: sentence,
  kindName: sentence,
  playerName: sentence,
  /** What stands on its label: short lines. */
  label: array(sentence).required(),
  line: array(
    object({
      on: localDateText().required(),
      what: word(CARD_MARKS).required(),
      words: sentence,
    })
      .exact()
      .required(),
  ).required(),
  /** Its pitch as it was read, day by day. */
  pitch: array(object({ on: localDateText().required(), cents: amount().required() }).exact().required()).required(),
})
  .exact()
  .required();
export type CardView = InferType<typeof cardView>;
