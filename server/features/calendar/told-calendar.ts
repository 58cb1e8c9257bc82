import { array, boolean, number, object, ValidationError } from 'yup';
import type { ToldEntry } from '#core/calendar/told-entries.ts';
import { amount, localDateText, text, word } from '#contract/scalars.ts';

/** The version that is written. Whoever changes the shape adds a reader, and a fixture for its test. */
const TOLD_VERSION = 2;

const entryOfFirst = {
  uid: text().required(),
  on: localDateText().required(),
  until: localDateText().required(),
  summary: text().defined(),
  description: text().defined(),
  reminds: boolean().strict().required(),
  sequence: amount().integer().min(0).required(),
  state: word(['standing', 'cancelled'] as const).required(),
};
/** The first version knew whole days alone, and not when they had changed. */
const firstCalendar = object({
  version: number().oneOf([1]).required(),
  entries: array(object(entryOfFirst).exact().required()).required(),
})
  .exact()
  .required();

const toldCalendar = object({
  version: number().oneOf([TOLD_VERSION]).required(),
  entries: array(
    object({
      ...entryOfFirst,
      hour: object({ atMinute: amount().integer().min(0).required(), minutes: amount().min(0).required() })
        .exact()
        .nullable()
        .defined(),
      isImported: boolean().strict().required(),
      changedMs: amount().min(0).required(),
    })
      .exact()
      .required(),
  ).required(),
})
  .exact()
  .required();

export const writtenToldEntries = (entries: readonly ToldEntry[]): string =>
  JSON.stringify({ version: TOLD_VERSION, entries });

/** @returns nothing where it cannot be read any more: calendar programs are told all anew, under the same names */
export function readToldEntries(written: string): ToldEntry[] {
  try {
    const parsed: unknown = JSON.parse(written);
    if (firstCalendar.isValidSync(parsed, { strict: true }))
      return firstCalendar.cast(parsed).entries.map((one) => ({ ...one, hour: null, isImported: false, changedMs: 0 }));
    return toldCalendar.validateSync(parsed, { strict: true }).entries;
  } catch (error) {
    if (error instanceof ValidationError || error instanceof SyntaxError) return [];
    throw error;
  }
}
