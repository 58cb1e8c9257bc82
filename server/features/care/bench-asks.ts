import { handoverWords } from '#core/calendar/handover.ts';
import type { Format } from '#core/explain/format.ts';
import { isLaidBy } from '#core/faults/faults-standing.ts';
import { looksDueWords } from '#core/inspections/inspection-words.ts';
import { looksDue } from '#core/inspections/inspections-standing.ts';
import type { StandsToday } from '#core/situation/today-list.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import type { InstrumentPage } from '#contract/care.ts';
import type { Reading } from '#server/readings.ts';

/** Is it to be packed for the bench, or to be back from there? */
export function handoverAsked({ situation }: Pick<Reading, 'situation'>, on: LocalDate): StandsToday['handover'] {
  const { toPack, toFetch } = situation(on).handover;
  return toPack !== null ? 'pack' : toFetch !== null ? 'fetch' : null;
}

/** What goes to the bench or comes from there, in words. */
export const handoverSaid = ({ situation }: Pick<Reading, 'situation'>, on: LocalDate): string =>
  handoverWords(situation(on).handover, on);

/** What is to be measured again, in words. */
export const measureSaid = (
  { player, situation }: Pick<Reading, 'player' | 'situation'>,
  on: LocalDate,
  format: Format,
): string => looksDueWords(looksDue(situation(on).inspections, on, player.standing), format);

/** The one thing an instrument asks of the room of the bench on a day, the most pressing: as it stands on the day's list. */
export function benchAsks(
  reading: Pick<Reading, 'player' | 'situation'>,
  on: LocalDate,
  format: Format,
): InstrumentPage['benchAsks'] {
  const what = handoverAsked(reading, on);
  if (what !== null) return { what, words: handoverSaid(reading, on) };
  const { inspections, calendar, faults } = reading.situation(on);
  const isThere = calendar.awayUntil === null && !isLaidBy(faults);
  return isThere && looksDue(inspections, on, reading.player.standing).length > 0
    ? { what: 'measure', words: measureSaid(reading, on, format) }
    : null;
}
