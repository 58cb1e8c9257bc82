import ICAL from 'ical.js';
import type { IcsFile, IcsNote } from '#core/ics/read-lines.ts';
import { dayNumber, type LocalDate } from '#core/time/local-date.ts';
import { partsOfWall, wallOfParts } from '#core/time/wall-time.ts';
import { ianaZone, UTC, type Zone } from '#core/time/zone.ts';

/** A moment as the file gives it: a wall time in a zone, or a whole day. */
export type Given = { readonly wall: number; readonly isDay: boolean; readonly zone: Zone };
export type Reader = {
  readonly zoneOf: (tzid: string | undefined, line: number) => Zone;
  readonly local: Zone;
  readonly note: (note: IcsNote) => void;
  readonly window: { readonly from: number; readonly until: number };
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

/** A time of the library as the wall time it shows. */
const wallOf = ({ year, month, day, hour, minute, second }: ICAL.Time): number =>
  wallOfParts({ year, month, day, hour, minute, second });

export function given(property: ICAL.Property, time: ICAL.Time, { zoneOf }: Reader, line: number): Given {
  const isUtc = time.zone === ICAL.Timezone.utcTimezone;
  const tzid: unknown = property.getParameter('tzid');
  const zone = isUtc ? UTC : zoneOf(typeof tzid === 'string' ? tzid : undefined, line);
  return { wall: wallOf(time), isDay: time.isDate, zone };
}

/** The values of a property; none where the library finds that they are none. */
export function valuesOf(property: ICAL.Property): unknown[] {
  try {
    return property.getValues();
  } catch {
    return [];
  }
}

/** The first value of a property as a time; null where there is none, or it is something else. */
export function timeIn(component: ICAL.Component, name: string, reader: Reader, line: number): Given | null {
  const property = component.getFirstProperty(name);
  const [value] = property ? valuesOf(property) : [];
  if (!property || !(value instanceof ICAL.Time)) return null;
  const found = given(property, value, reader, line);
  return Number.isNaN(found.wall) ? null : found;
}

/** When a wall time is, for comparing: whole days by their day, times by their moment. */
export const momentOf = ({ wall, isDay, zone }: Given): number => (isDay ? wall : zone.toMs(wall));

/** The zones a file brings along, by name: as the library reads their rules. */
function ownZones({ zones }: IcsFile): Map<string, Zone> {
  const found = new Map<string, Zone>();
  for (const { lines } of zones) {
    try {
      const text = ['BEGIN:VTIMEZONE', ...lines.map((one) => one.text), 'END:VTIMEZONE'].join('\r\n');
      const component = new ICAL.Component(ICAL.parse(text) as never);
      const zone = new ICAL.Timezone({ component, tzid: String(component.getFirstPropertyValue('tzid')) });
      const asTime = (wall: number, of: ICAL.Timezone): ICAL.Time =>
        new ICAL.Time({ ...partsOfWall(wall), isDate: false }, of);
      found.set(zone.tzid, {
        toMs: (wall) => asTime(wall, zone).toUnixTime() * 1000,
        fromMs: (ms) => wallOf(asTime(ms, ICAL.Timezone.utcTimezone).convertToZone(zone)),
      });
    } catch {
      // Its times count as local then, which is said where they come.
    }
  }
  return found;
}

export function readerOf(file: IcsFile, { zone, today }: ReadingIcs, note: Reader['note']): Reader {
  const local = ianaZone(zone) ?? UTC;
  const own = ownZones(file);
  const known = new Map<string, Zone>();
  return {
    local,
    note,
    window: {
      from: (dayNumber(today) - BEHIND_DAYS) * MS_PER_DAY,
      until: (dayNumber(today) + AHEAD_DAYS) * MS_PER_DAY,
    },
    zoneOf: (tzid, line) => {
      if (tzid === undefined) return local;
      const before = known.get(tzid);
      if (before !== undefined) return before;
      const found = ianaZone(tzid) ?? own.get(tzid);
      if (found === undefined) note({ code: 'unknown-zone', line, about: tzid });
      known.set(tzid, found ?? local);
      return found ?? local;
    },
  };
}
