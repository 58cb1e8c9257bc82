import type { HandoverList, Packing, PackingLine } from '#core/book/packing.ts';
import { lastDayOf, type CalendarEvent } from '#core/calendar/event.ts';
import { estimate } from '#core/explain/explained.ts';
import { counted } from '#core/explain/format.ts';
import { buildMeets } from '#core/instruments/build.ts';
import type { Instrument, InstrumentId } from '#core/instruments/instrument.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';

/** How a line of a list was found. `not-here`: the instrument, or this way to the bench, has no such thing. */
export const HANDOVER_ANSWERS = ['so', 'not-so', 'not-here'] as const;
export type HandoverAnswer = (typeof HANDOVER_ANSWERS)[number];
export type LineSaid = { readonly line: string; readonly answer: HandoverAnswer };

/** An instrument was packed for the bench, or looked at when it was fetched, line by line. */
export type HandoverNoted = {
  readonly list: HandoverList;
  readonly on: LocalDate;
  readonly lines: readonly LineSaid[];
};

export type HandoverRefusal = {
  readonly code: 'handover-line-unknown' | 'handover-line-twice';
  readonly field: 'lines';
};

/** The lines of a list that this instrument, as it is built, has on this way. */
export const handoverLines = (
  packing: Packing,
  list: HandoverList,
  { kind, build, isSent }: Pick<Instrument, 'kind' | 'build'> & { readonly isSent: boolean },
): readonly PackingLine[] =>
  packing[list].filter(
    ({ kinds, when, sent }) =>
      (kinds === undefined || kinds.includes(kind)) && buildMeets(build, when) && (isSent || sent !== true),
  );

/** Why what was said of the lines is nothing; null where it may be written down. */
export function handoverRefusal(lines: readonly LineSaid[], here: readonly PackingLine[]): HandoverRefusal | null {
  if (lines.some(({ line }) => !here.some(({ id }) => id === line)))
    return { code: 'handover-line-unknown', field: 'lines' };
  return new Set(lines.map(({ line }) => line)).size < lines.length
    ? { code: 'handover-line-twice', field: 'lines' }
    : null;
}

/** What was gone through so many days ago is gone through again: by then it was played, or opened. */
export const HANDOVER_HOLDS_DAYS = estimate(3);
/** So long after the day it was to be back it is asked what came of it on the day's list. */
const ASKED_AFTER_DAYS = estimate(14);

/** What a day's list asks of an instrument that goes to the bench, or comes from there. */
export type HandoverStanding = {
  /** It goes there on that day, today or tomorrow, and is not packed yet; else null. */
  readonly toPack: LocalDate | null;
  /** It was to be back by that day, and nobody has said what came of it; else null. */
  readonly toFetch: LocalDate | null;
  /** It was looked at when it was fetched. */
  readonly isChecked: boolean;
};

/** How an instrument stands before and after a stay, by what was said of its lists. */
export function handoverStanding(
  handovers: readonly HandoverNoted[],
  events: readonly CalendarEvent[],
  instrumentId: InstrumentId,
  today: LocalDate,
): HandoverStanding {
  const stays = events.filter(
    ({ what, stay, instrumentIds }) => what === 'bench' && stay === null && instrumentIds.includes(instrumentId),
  );
  const isGone = (list: HandoverList, from: LocalDate): boolean =>
    handovers.some((one) => one.list === list && one.on >= from && one.on <= today);
  const next = stays.filter(({ on }) => on >= today && on <= addDays(today, 1)).toSorted(byDay)[0];
  const back = stays
    .filter((event) => lastDayOf(event) <= today && lastDayOf(event) >= addDays(today, -ASKED_AFTER_DAYS.value))
    .toSorted(byDay)
    .at(-1);
  return {
    toPack: next && !isGone('out', addDays(next.on, -HANDOVER_HOLDS_DAYS.value)) ? next.on : null,
    // What is done while one waits for it is fetched the same day: first it goes there.
    toFetch: back && back !== next ? lastDayOf(back) : null,
    isChecked: back !== undefined && isGone('back', back.on),
  };
}

/** It goes to the bench today, and nobody has packed it yet: it is still where it is played. */
export const goesToday = ({ toPack }: Pick<HandoverStanding, 'toPack'>, today: LocalDate): boolean => toPack === today;

const byDay = (a: CalendarEvent, b: CalendarEvent): number => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0);

const LIST_SAID: Readonly<Record<HandoverList, string>> = {
  out: 'Packed for the bench',
  back: 'Fetched from the bench',
};

/** How it stands in the record: "Packed for the bench: 14 lines seen to, 1 not so". */
export function handoverSaid(list: HandoverList, lines: readonly LineSaid[]): string {
  const amiss = lines.filter(({ answer }) => answer === 'not-so').length;
  return `${LIST_SAID[list]}: ${counted(lines.length, 'line')} seen to${amiss === 0 ? '' : `, ${amiss} not so`}`;
}

/** What a day's list says of an instrument that goes to the bench or comes from there. */
export function handoverWords({ toPack, isChecked }: HandoverStanding, today: LocalDate): string {
  if (toPack !== null) return `Pack it: it goes to the bench ${toPack === today ? 'today' : 'tomorrow'}`;
  return isChecked ? 'Is it back? Say what the bench did' : 'Back from the bench? Look at it before you take it home';
}
