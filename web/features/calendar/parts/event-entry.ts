import { EVENT_KINDS, isPlayed, type EventKind } from '#core/calendar/event.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import { plainName } from '#core/kernel/visible-text.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import type { EventView } from '#contract/calendar.ts';

const USUAL_MINUTES = 80;

/** An event as it is being said. */
export type EventEntry = {
  readonly what: EventKind;
  readonly on: LocalDate | null;
  readonly until: LocalDate | null;
  readonly name: string;
  readonly atMinute: number | null;
  readonly minutes: number;
  /** Minutes of instruments that are played for another time. */
  readonly minutesOf: EventView['minutesOf'];
  /** Every so many weeks; 0 is once. */
  readonly weeks: number;
  readonly lastOn: LocalDate | null;
  readonly chosen: readonly InstrumentId[];
};

/** Which of a series is meant: the one, or all of them. */
export type Meant = 'one' | 'all';

type EntrySetting = {
  /** The event that is put right; none where one is added. */
  readonly old?: EventView;
  /** What it may be; anything where nothing is said. */
  readonly kinds?: readonly EventKind[];
  readonly instruments: readonly { readonly instrumentId: InstrumentId }[];
};

/** Is it the series itself, and not one of it? */
export const isSeries = ({ key, series }: EventView): boolean => series?.key === key;

const NEW: Omit<EventEntry, 'what' | 'chosen'> = {
  on: null,
  until: null,
  name: '',
  atMinute: null,
  minutes: USUAL_MINUTES,
  minutesOf: [],
  weeks: 0,
  lastOn: null,
};

/** What is there already, or what is usual. */
export function entryOf({ old, kinds = EVENT_KINDS, instruments }: EntrySetting, meant: Meant): EventEntry {
  if (!old) return { ...NEW, what: kinds[0] ?? 'concert', chosen: instruments.map(({ instrumentId }) => instrumentId) };
  const { what, on, until, name, atMinute, minutes, minutesOf, instrumentIds, series } = old;
  const one = { what, on, until, name: name ?? '', atMinute, minutes: minutes ?? USUAL_MINUTES, minutesOf };
  const entry = { ...NEW, ...one, chosen: instrumentIds };
  if (meant === 'one' || series === null) return entry;
  return { ...entry, on: series.on, weeks: series.repeats.weeks, lastOn: series.repeats.until };
}

/** What is said of the days of an event, whatever else it is. */
function daysOf({ what, until, atMinute, minutes, minutesOf, weeks, lastOn, chosen }: EventEntry) {
  if (!isPlayed(what)) return { until, atMinute: null, minutes: null, minutesOf: [], repeats: null };
  return {
    until: null,
    atMinute,
    minutes,
    minutesOf: minutesOf.filter(({ instrumentId }) => chosen.includes(instrumentId)),
    repeats: weeks === 0 || lastOn === null ? null : { weeks, until: lastOn },
  };
}

type ContentSetting = {
  readonly playerId: PlayerId;
  readonly old?: EventView | undefined;
  readonly meant: Meant;
};

/** What is sent; null while one of its days is missing. */
export function contentOf(entry: EventEntry, { playerId, old, meant }: ContentSetting) {
  const { what, on, name, weeks, lastOn, chosen } = entry;
  const isWithoutEnd = isPlayed(what) && weeks > 0 && lastOn === null;
  if (on === null || isWithoutEnd) return null;
  const stay = what === 'bench' ? (old?.stay ?? null) : null;
  const insteadOf = meant === 'one' && old?.asImported === true ? { insteadOf: old.key } : {};
  const called = { name: plainName(name) || null, instrumentIds: [...chosen] };
  return { playerId, what, on, ...daysOf(entry), ...called, stay, ...insteadOf };
}

/** What is put right: the series, the event itself; an imported one, or one of a series, has another in its place. */
export const correctedBy = (old: EventView | undefined, meant: Meant): string | undefined =>
  meant === 'all' ? old?.series?.key : old?.asImported === false ? old.key : undefined;
