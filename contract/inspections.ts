import { array, boolean, object, string, type InferType } from 'yup';
import { MEASURE_UNITS, PLACE_IDS, WAY_IDS, type MeasureId } from '#core/book/measure.ts';
import { MOST_IN_ONE } from '#core/inspections/inspection.ts';
import { GRADES } from '#core/inspections/grade.ts';
import { TAKEN_BY } from '#core/inspections/measures-for.ts';
import { ofInstrument } from '#core/record/fact.ts';
import { fact } from '#contract/fact.ts';
import { amount, instrumentId, localDateText, playerId, text, whyLines, word } from '#contract/scalars.ts';

/** An id of the tables of measures: `page/words`. What this instrument has not is refused by whoever looks it up. */
const measureId = () => string<MeasureId>().strict().max(60);
const LARGEST_READING = 10_000;

export const inspectionPaths = {
  page: (instrument: string, today: string) => `/api/inspections/${instrument}?today=${today}`,
  log: '/api/inspections',
} as const;

/** `POST /api/inspections`: an instrument was looked over, and this was read. */
export const inspectionFact = fact({
  kind: 'inspection',
  path: inspectionPaths.log,
  fields: {
    instrumentId: instrumentId().required(),
    readOn: localDateText().required(),
    by: word(TAKEN_BY).required(),
    readings: array(
      object({
        measure: measureId().required(),
        place: word(PLACE_IDS).nullable().defined(),
        way: word(WAY_IDS).required(),
        value: amount().min(0).max(LARGEST_READING).required(),
      })
        .exact()
        .required(),
    )
      .min(1)
      .max(MOST_IN_ONE)
      .required(),
  },
  about: ({ instrumentId: id }) => [ofInstrument(id)],
  correctable: true,
});

const wayView = object({
  way: word(WAY_IDS).required(),
  words: text().required(),
  how: text().required(),
  tool: text().nullable().defined(),
  unit: word(MEASURE_UNITS).required(),
  unitAfter: text().defined(),
  least: amount().required(),
  most: amount().required(),
  step: amount().required(),
  says: array(object({ value: amount().required(), words: text().required() }).exact().required()).required(),
  /** What is offered as good before anything is said; null where a number has to be measured. */
  good: amount().nullable().defined(),
  limits: text().required(),
  /** Within these it is good; without an end on a side, null. */
  goodFrom: amount().nullable().defined(),
  goodTo: amount().nullable().defined(),
  /** Who may take it so. */
  hands: array(word(TAKEN_BY).required()).required(),
})
  .exact()
  .required();
export type WayView = InferType<typeof wayView>;

const pointView = object({ on: localDateText().required(), value: amount().required() }).exact().required();

const measureView = object({
  measure: measureId().required(),
  place: word(PLACE_IDS).nullable().defined(),
  name: text().required(),
  placeName: text().nullable().defined(),
  ways: array(wayView).min(1).required(),
  /** Null where it was never read, or was seen to since. */
  newest: object({
    on: localDateText().required(),
    value: amount().required(),
    words: text().required(),
    grade: word(GRADES).required(),
    gradeWords: text().required(),
  })
    .exact()
    .nullable()
    .defined(),
  /** In which way it was read last. */
  way: word(WAY_IDS).nullable().defined(),
  /** Every line that is drawn, the oldest first; a repair or another way of reading begins a new one. */
  lines: array(
    object({ begins: word(['repair', 'way']).nullable().defined(), points: array(pointView).required() })
      .exact()
      .required(),
  ).required(),
  words: text().required(),
  limit: amount().nullable().defined(),
  /** The straight line, from its first reading to where it is seen to go. */
  straight: array(pointView).nullable().defined(),
  reaches: object({ from: localDateText().required(), to: localDateText().nullable().defined() })
    .exact()
    .nullable()
    .defined(),
  again: localDateText().nullable().defined(),
  stops: boolean().strict().required(),
  because: whyLines,
})
  .exact()
  .required();
export type MeasureView = InferType<typeof measureView>;

/** `GET /api/inspections/:instrumentId?today=` */
export const inspectionsPage = object({
  instrumentId: instrumentId().required(),
  playerId: playerId().required(),
  today: localDateText().required(),
  name: text().required(),
  cameOn: localDateText().required(),
  measures: array(measureView).required(),
  /** How it stands, in one sentence. */
  headline: text().required(),
  /** The day something is to be looked at again; null where nothing was ever read. */
  nextOn: localDateText().nullable().defined(),
  /** What holds for every reading: in the room, dry, before oiling. */
  taken: text().required(),
})
  .exact()
  .required();
export type InspectionsPage = InferType<typeof inspectionsPage>;
