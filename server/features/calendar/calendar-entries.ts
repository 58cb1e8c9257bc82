import { eventWords, lastDayOf, type CalendarEvent } from '#core/calendar/event.ts';
import type { CalendarEntry } from '#core/calendar/told-entries.ts';
import { OWN_SERIES } from '#core/calendar/repeated-event.ts';
import type { CareItemId } from '#core/book/care-ids.ts';
import { asSentence, duration, listed } from '#core/explain/format.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { OWN_UIDS } from '#core/ics/import-plan.ts';
import { stepsFor } from '#core/packup/collect-steps.ts';
import { sittingMinutes } from '#core/sittings/sitting-words.ts';
import type { ShownSitting } from '#core/sittings/shown-plan.ts';
import { SITTING_DAYS } from '#core/sittings/sitting-numbers.ts';
import { addDays } from '#core/time/local-date.ts';
import type { ReedDaysView } from '#contract/reed-views.ts';
import type { SittingsView } from '#contract/sittings.ts';
import type { Weeks } from '#server/features/calendar/sitting-weeks.ts';
import { startOn } from '#server/features/calendar/weeks-read.ts';

/** "Clarinet: wash the swab. Wash the swab in warm water. Hang it up." A line for each thing. */
function stepLines({ own, today }: Weeks, things: readonly { instrumentId: InstrumentId; itemId: CareItemId }[]) {
  return things.flatMap(({ instrumentId, itemId }) => {
    const reading = own.find(({ instrument }) => instrument.id === instrumentId);
    if (!reading) return [];
    const { practice } = reading.situation(today).methods;
    const item = practice.items.find(({ id }) => id === itemId);
    const steps = stepsFor(practice, [itemId]).filter(({ calledBy }) => calledBy === undefined);
    if (!item) return [];
    return [
      `${reading.instrument.name}: ${item.name.toLowerCase()}. ${steps.map(({ heading }) => `${heading}.`).join(' ')}`,
    ];
  });
}

/** A whole day of one's own. */
const wholeDay = { hour: null, isImported: false } as const;

const plannedEntry = (weeks: Weeks, { uid, on, minutes, things }: ShownSitting): CalendarEntry => ({
  ...wholeDay,
  uid: `${uid}${OWN_UIDS}`,
  on,
  until: on,
  hour: hourOf(startOn(weeks, on), minutes),
  summary: `Care of instruments, ${sittingMinutes(minutes)}`,
  description: stepLines(weeks, things).join('\n'),
  reminds: true,
});

const hourOf = (atMinute: number | null, minutes: number): CalendarEntry['hour'] =>
  atMinute === null ? null : { atMinute, minutes };

/** A sitting that was done says what was recorded on its day. */
const doneEntry = ({ uid, on }: ShownSitting, past: SittingsView['past']): CalendarEntry => ({
  ...wholeDay,
  uid: `${uid}${OWN_UIDS}`,
  on,
  until: on,
  summary: 'Care of instruments, done',
  description: (past.find((day) => day.on === on)?.items ?? [])
    .map(({ instrumentName, name }) => `${instrumentName}: ${name.toLowerCase()}`)
    .join('\n'),
  reminds: false,
});

function eventEntry(event: CalendarEvent, { own }: Weeks, bench: Bench): CalendarEntry {
  const { key, what, on, atMinute, minutes, instrumentIds, origin } = event;
  const names = own.filter(({ instrument }) => instrumentIds.includes(instrument.id));
  const where = [bench.name, bench.phone].filter((one) => one !== null);
  const lines = [
    listed(names.map(({ instrument }) => instrument.name)),
    ...(minutes === null ? [] : [`About ${duration(minutes)} of playing.`]),
    ...(what === 'bench' && where.length > 0 ? [where.join(', ')] : []),
  ];
  return {
    ...wholeDay,
    isImported: origin !== null && origin.calendar !== OWN_SERIES,
    hour: minutes === null ? null : hourOf(atMinute, minutes),
    uid: `${key}${OWN_UIDS}`,
    on,
    until: lastDayOf(event),
    summary: asSentence(eventWords(event)),
    description: lines.filter((line) => line !== '').join('\n'),
    reminds: false,
  };
}
type Bench = { readonly name: string | null; readonly phone: string | null };

const reedEntries = (playerId: string, { breakIn, buy }: ReedDaysView): CalendarEntry[] => [
  ...breakIn.map(({ kind, on, name, words }) => ({
    ...wholeDay,
    uid: `break-in-${playerId}-${kind}-${on}${OWN_UIDS}`,
    on,
    until: on,
    summary: `Break in a reed: ${name}`,
    description: words,
    reminds: false,
  })),
  ...buy.map(({ kind, on, name, words }) => ({
    ...wholeDay,
    uid: `order-reeds-${playerId}-${kind}${OWN_UIDS}`,
    on,
    until: on,
    summary: `Order reeds: ${name}`,
    description: words,
    reminds: true,
  })),
];

export type ToldWith = {
  readonly past: SittingsView['past'];
  readonly reedDays: ReedDaysView;
  readonly bench: Bench;
};

/** Everything that stands in a player's calendar, earliest first. */
export function calendarEntries(weeks: Weeks, { past, reedDays, bench }: ToldWith): CalendarEntry[] {
  const last = addDays(weeks.today, SITTING_DAYS - 1);
  return [
    ...weeks.events.map((event) => eventEntry(event, weeks, bench)),
    ...weeks.shown.map((one) => (one.state === 'planned' ? plannedEntry(weeks, one) : doneEntry(one, past))),
    ...reedEntries(weeks.playerId, reedDays).filter(({ on }) => on <= last),
  ].sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0));
}
