import { array, boolean, object, type InferType } from 'yup';
import { touchedSubjects } from '#contract/fact.ts';
import { clientKey, factKey, instantText, instrumentId, localDateText, minuteOfDay, text } from '#contract/scalars.ts';

export const recordPaths = {
  of: (instrumentId: string, limit: number) => `/api/record/${instrumentId}?limit=${limit}`,
  withdraw: '/api/withdrawals',
} as const;

/** `POST /api/withdrawals`: takes a log entry back. The entry stays in the file and counts no longer. */
export const withdrawRequest = object({ key: clientKey().required(), targetKey: factKey().required() })
  .exact()
  .required();
export type WithdrawRequest = InferType<typeof withdrawRequest>;

/** What is kept of it. */
export const keptWithdrawal = object({ targetKey: text().max(256).required() })
  .exact()
  .required();

export const withdrawalView = object({
  key: factKey().required(),
  targetKey: factKey().required(),
  at: instantText().required(),
  touched: touchedSubjects,
})
  .exact()
  .required();

/** One line of an instrument's record. */
const recordEntryView = object({
  key: factKey().required(),
  kind: text().required(),
  on: localDateText().required(),
  atMinute: minuteOfDay().nullable().defined(),
  words: text().required(),
  /** Another entry may take its place: a wrong one is corrected, not only taken back. */
  correctable: boolean().strict().required(),
  /** It stands as corrected. */
  corrected: boolean().strict().required(),
  /** What was said, for the form that corrects it; null where it cannot be corrected. */
  said: object().nullable().defined(),
})
  .exact()
  .required();
export type RecordEntryView = InferType<typeof recordEntryView>;

export const recordView = object({
  instrumentId: instrumentId().required(),
  entries: array(recordEntryView).required(),
})
  .exact()
  .required();
export type RecordView = InferType<typeof recordView>;
