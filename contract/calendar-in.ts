import { array, boolean, object, type InferType } from 'yup';
import { fact } from '#contract/fact.ts';
import { ofInstrument, ofPlayer } from '#core/record/fact.ts';
import type { ImportOfCalendar } from '#core/calendar/imported-event.ts';
import { EVENT_KINDS } from '#core/calendar/event.ts';
import { SERIES_STATES } from '#core/ics/import-plan.ts';
import {
  amount,
  clientKey,
  instrumentId,
  localDateText,
  namedInstrument,
  playerId,
  text,
  visibleText,
  wallClock,
  word,
  factKey,
  minuteOfDay,
} from '#contract/scalars.ts';

export const calendarInPaths = {
  preview: '/api/calendar/preview',
  imports: '/api/calendar/imports',
} as const;
/** A calendar travels whole: what is posted to these may be larger than anything else. */
export const LARGEST_CALENDAR_BODY = '6mb';

/** Series of one file. */
const MOST_SERIES = 6000;
/** As many letters as the largest body has bytes; how large a calendar may be is the reader’s to say. */
const LARGEST_TEXT = 6_000_000;
const file = {
  playerId: playerId().required(),
  /** The zone of whoever reads it. */
  zone: text().max(60).required(),
  /** What the calendar is called where it does not say so itself. */
  fileName: visibleText(120).required(),
  text: text().max(LARGEST_TEXT).defined(),
};

/** `POST /api/calendar/preview`: what a file holds; nothing is written. */
export const calendarPreviewRequest = object({ ...file, now: wallClock.required() })
  .exact()
  .required();

const importedName = text().max(1000);
const instruments = array(instrumentId().required()).max(12).required();

/** Dates of one import, by far. */
const MOST_DATES = 200_000;
const LONGEST_NAME = 4000;
/** A date of a calendar that was imported, as it is kept. */
const importedDate = object({
  key: factKey().required(),
  what: word(EVENT_KINDS).required(),
  on: localDateText().required(),
  until: localDateText().nullable().defined(),
  atMinute: minuteOfDay().nullable().optional(),
  minutes: amount().integer().min(1).max(600).nullable().defined(),
  name: text().max(LONGEST_NAME).nullable().defined(),
  instrumentIds: instruments,
  uid: text().max(LONGEST_NAME).defined(),
  instance: text().max(LONGEST_NAME).nullable().defined(),
  said: text().max(LONGEST_NAME).defined(),
})
  .exact()
  .required();
/** `POST /api/calendar/imports`: takes in what was chosen of it, all or nothing. */
export const calendarImportFact = fact({
  kind: 'calendar-import',
  needsServer: true,
  path: calendarInPaths.imports,
  fields: {
    ...file,
    choices: array(
      object({
        uid: importedName.defined(),
        what: word(EVENT_KINDS).required(),
        instrumentIds: instruments.min(1),
      })
        .exact()
        .required(),
    )
      .max(MOST_SERIES)
      .required(),
    /** What has vanished from it and goes; everything else that has vanished stays. */
    dropped: array(clientKey().required()).max(MOST_SERIES).required(),
  },
  kept: {
    playerId: playerId().required(),
    calendar: text().max(LONGEST_NAME).defined(),
    /** A digest of what was sent; nobody kept it at first. */
    sent: text().max(200).nullable().defined(),
    events: array(importedDate).max(MOST_DATES).required(),
  },
  about: ({ playerId: id, events }: ImportOfCalendar) => [
    ofPlayer(id),
    ...[...new Set(events.flatMap((event) => event.instrumentIds))].map(ofInstrument),
  ],
});

export const calendarPreview = object({
  calendar: text().required(),
  /** What the file is called now; another name where it is known by what it holds. */
  calledNow: text().required(),
  /** Why there is nothing to take in; null where there is. */
  empty: text().nullable().defined(),
  /** It was taken in before. */
  isKnown: boolean().strict().required(),
  series: array(
    object({
      uid: importedName.defined(),
      name: text().defined(),
      count: amount().integer().required(),
      first: localDateText().required(),
      last: localDateText().required(),
      minutes: amount().min(0).nullable().defined(),
      state: word(SERIES_STATES).required(),
      what: word(EVENT_KINDS).required(),
      instrumentIds: array(instrumentId().required()).required(),
      mostPlayed: instrumentId().nullable().defined(),
      taken: boolean().strict().required(),
    })
      .exact()
      .required(),
  ).required(),
  /** Series that are not shown: there are too many of them. */
  hidden: amount().integer().min(0).required(),
  vanished: array(
    object({
      key: clientKey().required(),
      on: localDateText().required(),
      words: text().required(),
      /** Its calendar says so; of what is only no longer there, nothing is known. */
      isCancelled: boolean().strict().required(),
    })
      .exact()
      .required(),
  ).required(),
  notes: array(text().required()).required(),
  instruments: array(namedInstrument).required(),
})
  .exact()
  .required();
export type CalendarPreview = InferType<typeof calendarPreview>;
