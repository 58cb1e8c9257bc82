import { object, type InferType, type Schema } from 'yup';
import {
  amount,
  factKey,
  instantText,
  instrumentId,
  localDateText,
  minuteOfDay,
  text,
  word,
} from '#contract/scalars.ts';
import { RECORD_FORMAT } from '#core/data/document.ts';

/** What stands around the lists of a document. */
export const documentHead = object({
  format: word([RECORD_FORMAT]).required(),
  version: amount().integer().min(1).required(),
  instrument: instrumentId().nullable().defined(),
});

/** A fact of a document, without its body: that is as its kind says. */
export const writtenFact = object({
  key: factKey().required(),
  kind: text().max(40).required(),
  on: localDateText().required(),
  atMinute: minuteOfDay().nullable().defined(),
  loggedAt: instantText().required(),
  corrects: factKey().nullable().defined(),
  belongsTo: factKey().nullable().defined(),
  body: object().required() as unknown as Schema<object>,
})
  .exact()
  .required();
export type WrittenEnvelope = InferType<typeof writtenFact>;

export const writtenOtherKey = object({
  key: factKey().required(),
  fact: factKey().required(),
  sent: object().required() as unknown as Schema<object>,
})
  .exact()
  .required();
