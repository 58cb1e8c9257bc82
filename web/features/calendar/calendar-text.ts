import { mendFolds } from '#core/ics/mend-folds.ts';

/**
 * The text of a calendar file: UTF-8 as the standard wants it, and for the old programs that do not keep to it what
 * Windows wrote in the west.
 */
export function calendarText(bytes: ArrayBuffer): string {
  const mended = mendFolds(new Uint8Array(bytes));
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(mended);
  } catch {
    return new TextDecoder('windows-1252').decode(mended);
  }
}
