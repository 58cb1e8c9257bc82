import { array, object, type InferType } from 'yup';
import { RECORD_KINDS } from '#core/record/record-kinds.ts';
import { amount, clientKey, instantText, localDateText, minuteOfDay, recordId, text, word } from '#contract/scalars.ts';

export const recordPaths = {
  of: (instrumentId: string, limit: number) => `/api/record/${instrumentId}?limit=${limit}`,
  withdraw: '/api/withdrawals',
} as const;

/** `POST /api/withdrawals`: takes a log entry back. The entry stays in the file and counts no longer. */
export const withdrawRequest = object({ key: clientKey().required(), targetKey: clientKey().required() })
  .exact()
  .required();
export type WithdrawRequest = InferType<typeof withdrawRequest>;

export const withdrawalView = object({
  key: clientKey().required(),
  targetKey: clientKey().required(),
  at: instantText().required(),
})
  .exact()
  .required();

/** One line of an instrument's record. */
export const recordEntryView = object({
  key: clientKey().required(),
  kind: word(RECORD_KINDS).required(),
  on: localDateText().required(),
  atMinute: minuteOfDay().nullable().defined(),
  words: text().required(),
  minutes: amount().nullable().defined(),
})
  .exact()
  .required();
export type RecordEntryView = InferType<typeof recordEntryView>;

export const recordView = object({ instrumentId: recordId().required(), entries: array(recordEntryView).required() })
  .exact()
  .required();
