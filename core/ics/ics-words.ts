import type { IcsCalendar } from '#core/ics/read-calendar.ts';
import type { IcsNote } from '#core/ics/read-lines.ts';

/** Why a file was not taken in. */
export const ICS_REFUSALS = {
  'ics-too-large': () => 'A calendar file is at most 5 MB. Export fewer years, and import that.',
  'ics-no-calendar': () => 'This is no calendar file: it does not begin with BEGIN:VCALENDAR.',
  'ics-too-hard': () =>
    'The dates of this calendar could not be worked out in 15 seconds. Export fewer years, or without its longest series.',
  'ics-too-many': ({ most }: { readonly most: number }) =>
    `At most ${most} dates are taken in at once. Leave out a series, or export fewer years.`,
  'ics-nothing-taken': () => 'Nothing of it is ticked, and nothing of it was taken in before.',
};

const NOTE_WORDS: Readonly<Record<IcsNote['code'], (about: string) => string>> = {
  'line-not-understood': (about) => `“${about}” is no line of a calendar. It was left out.`,
  'event-not-understood': () => 'This entry is not understood. It was left out.',
  'event-without-day': (about) => `${about || 'This entry'} says no day. It was left out.`,
  'event-ends-before-it-starts': (about) => `${about || 'This entry'} ends before it begins. It was left out.`,
  'event-too-long': (about) => `${about || 'This entry'} lasts longer than a year. It was left out.`,
  'no-such-time': (about) => `${about || 'This entry'} says a day or a time that does not exist. It was left out.`,
  'date-of-series-not-there': (about) =>
    `A date added to ${about || 'this series'}, or left out of it, does not exist. It was passed over.`,
  'series-too-far': (about) =>
    `Too many days would have to be looked at for ${about || 'this series'}. Only its first date is here.`,
  'too-many-dates': (about) => `This calendar has too many dates. ${about || 'A series'} was left out.`,
  'event-never-closed': () => 'This entry has no end. It was left out.',
  'unknown-zone': (about) => `The time zone “${about}” is not known. Its times count as your own.`,
  'series-too-fine': (about) => `${about || 'This series'} comes by the hour or oftener. Only its first date is here.`,
  'series-not-understood': (about) =>
    `How often ${about || 'this series'} comes is not understood. Only its first date is here.`,
  'series-cut': (about) => `${about || 'This series'} has too many dates. The later ones were left out.`,
  'too-many-entries': (about) => `${about} entries of this calendar are too many to be read. Export fewer years.`,
  'second-of-its-name': (about) =>
    `${about || 'This entry'} has the name (UID) of another entry of this file. Only one of them is here.`,
  'only-this-one-moved': (about) =>
    `${about || 'A date of a series'} was moved with all that follow. Only that one date is moved here.`,
};

/** Why there is nothing in a file to take in. */
const EMPTY_WORDS: Readonly<Record<NonNullable<IcsCalendar['empty']> | 'own', string>> = {
  nothing: 'It holds no dates.',
  tasks: 'It holds tasks, and no dates. Only dates are taken in.',
  'not-understood': 'None of its entries is understood.',
  cancelled: 'It says of dates that they are cancelled, and holds no others.',
  over: 'All its dates were over two weeks ago.',
  later: 'Its dates are more than eighteen months ahead. Import it again when they are nearer.',
  outside: 'None of its dates lies between two weeks ago and eighteen months ahead.',
  own: 'It is a calendar that came from Ulu. What is in it is here already.',
};
/** Says why there is nothing in a file to take in: only what is there is said to be there. */
export const emptyWords = (empty: keyof typeof EMPTY_WORDS): string => EMPTY_WORDS[empty];

/** What was left out of a file, with the line it stands on. */
export const noteWords = ({ code, line, about }: IcsNote): string =>
  `${line === null ? '' : `Line ${line}: `}${NOTE_WORDS[code](about)}`;
