import type ICAL from 'ical.js';
import { zonesOf } from '#core/ics/ics-zone.ts';
import type { DayBudget } from '#core/ics/recur.ts';
import type { IcsFile, IcsNote } from '#core/ics/read-lines.ts';
import { dayNumber, type LocalDate } from '#core/time/local-date.ts';
import { realWall } from '#core/time/wall-time.ts';
import { ianaZone, UTC, type Zone } from '#core/time/zone.ts';

/** A moment as the file gives it: a wall time in a zone, or a whole day. */
export type Given = { readonly wall: number; readonly isDay: boolean; readonly zone: Zone };
export type Reader = {
  readonly zoneOf: (tzid: string | undefined, line: number) => Zone;
  readonly local: Zone;
  readonly note: (note: IcsNote) => void;
  readonly window: { readonly from: number; readonly until: number };
  /** What may still be looked at and found; shared by all series of the file. */
  readonly budget: DayBudget & { dates: number };
};

export type ReadingIcs = {
  readonly text: string;
  /** The zone of whoever reads it (IANA). */
  readonly zone: string;
  readonly today: LocalDate;
};

/** A series without an end is taken for eighteen months. */
const AHEAD_DAYS = 548;
/** What is over is no longer of use, but for what was just on. */
const BEHIND_DAYS = 14;
export const MS_PER_DAY = 86_400_000;

/** The values of a property as they stand in the file, tidied: `2026-11-27`, `2026-11-27T18:30:00Z`. */
function writtenIn(property: ICAL.Property): string[] {
  const [, , , ...values] = property.toJSON() as readonly unknown[];
  // A period begins with its start.
  return values.map((value) => String(Array.isArray(value) ? value[0] : value));
}

/** What a value says, by the calendar as it is: 31 November is no day, 25:61 no time. */
function given(property: ICAL.Property, written: string, { zoneOf }: Reader, line: number): Given | null {
  const isDay = /^\d{4}-\d{2}-\d{2}$/.test(written);
  const isTime = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}Z?$/.test(written);
  const wall = isDay || isTime ? realWall(`${written.replace(/[-:TZ]/g, '')}${isDay ? '000000' : ''}`) : null;
  if (wall === null) return null;
  const tzid: unknown = property.getParameter('tzid');
  const zone = isDay || written.endsWith('Z') ? UTC : zoneOf(typeof tzid === 'string' ? tzid : undefined, line);
  return { wall, isDay, zone };
}

/** The values of a property; none where the library finds that they are none. */
export function valuesOf(property: ICAL.Property): unknown[] {
  try {
    return property.getValues();
  } catch {
    return [];
  }
}

/** Times in properties that may come often and hold several each; null for each that is none. */
export const timesIn = (component: ICAL.Component, name: string, reader: Reader, line: number): (Given | null)[] =>
  component
    .getAllProperties(name)
    .flatMap((property) => writtenIn(property).map((written) => given(property, written, reader, line)));

/** The first of them: undefined where there is none, null where it says no time. */
export const timeIn = (
  component: ICAL.Component,
  name: string,
  reader: Reader,
  line: number,
): Given | null | undefined => timesIn(component, name, reader, line)[0];

/** When a wall time is, for comparing: whole days by their day, times by their moment. */
export const momentOf = ({ wall, isDay, zone }: Given): number => (isDay ? wall : zone.toMs(wall));

/** Days that are looked at, and dates that are found, in all series of a file together: far more than a band plays. */
const DAYS_OF_A_FILE = 800_000;
const DATES_OF_A_FILE = 20_000;

export function readerOf(file: IcsFile, { zone, today }: ReadingIcs, note: Reader['note']): Reader {
  const local = ianaZone(zone) ?? UTC;
  const window = {
    from: (dayNumber(today) - BEHIND_DAYS) * MS_PER_DAY,
    until: (dayNumber(today) + AHEAD_DAYS) * MS_PER_DAY,
  };
  const budget = { days: DAYS_OF_A_FILE, dates: DATES_OF_A_FILE };
  const own = zonesOf(file, window.until + MS_PER_DAY);
  const known = new Map<string, Zone>();
  return {
    local,
    note,
    window,
    budget,
    zoneOf: (tzid, line) => {
      if (tzid === undefined) return local;
      const before = known.get(tzid);
      if (before !== undefined) return before;
      const found = ianaZone(tzid) ?? own(tzid);
      if (found === undefined) note({ code: 'unknown-zone', line, about: tzid });
      known.set(tzid, found ?? local);
      return found ?? local;
    },
  };
}
