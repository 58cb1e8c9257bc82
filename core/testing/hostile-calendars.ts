/** Calendar files of about 200 kB that somebody might send who means no good, or a program that does not know better. */
const SIZE = 200_000;

const event = (at: number, ...lines: readonly string[]): string[] => [
  'BEGIN:VEVENT',
  `UID:h${at}`,
  `SUMMARY:Series ${at}`,
  ...lines,
  'END:VEVENT',
];
const START = 'DTSTART;TZID=Europe/Berlin:20200106T190000';
const zone = (name: string, rule: string): string[] => [
  'BEGIN:VTIMEZONE',
  `TZID:${name}`,
  'BEGIN:STANDARD',
  'DTSTART:19000101T000000',
  'TZOFFSETFROM:+0100',
  'TZOFFSETTO:+0200',
  `RRULE:${rule}`,
  'END:STANDARD',
  'END:VTIMEZONE',
];

const filled = (of: (at: number) => readonly string[]): string[] => {
  const lines: string[] = [];
  for (let [at, size] = [0, 0]; size < SIZE; at++) {
    const more = of(at);
    lines.push(...more);
    size += more.reduce((sum, line) => sum + line.length + 2, 0);
  }
  return lines;
};
const rules = (rule: string): string[] => filled((at) => event(at, START, `RRULE:${rule}`));

/** What each is about, and its lines. */
const BODIES: Readonly<Record<string, () => readonly string[]>> = {
  'thousands of daily series': () => rules('FREQ=DAILY'),
  'series counted from 1900': () =>
    filled((at) => event(at, 'DTSTART:19000101T190000', 'RRULE:FREQ=DAILY;BYDAY=MO;COUNT=1000000')),
  'years counted from 1900': () =>
    filled((at) => event(at, 'DTSTART:19000101T190000', 'RRULE:FREQ=YEARLY;BYDAY=20MO,-3TU;COUNT=900000')),
  'weeks of the year': () => rules('FREQ=YEARLY;BYWEEKNO=1,5,-3,53;BYDAY=MO,TU,WE'),
  'days that never come': () => rules('FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30'),
  'places that never come': () => rules('FREQ=WEEKLY;BYDAY=MO,WE;BYSETPOS=9'),
  'steps backwards': () => rules('FREQ=DAILY;INTERVAL=-1'),
  'many times a day': () => rules('FREQ=DAILY;BYHOUR=0,1,2,3,4,5,6,7,8,9,10,11;BYMINUTE=0,30'),
  'one event with thousands of rules': () => event(0, START, ...filled(() => ['RRULE:FREQ=DAILY'])),
  'one event with thousands of exceptions': () =>
    event(0, START, 'RRULE:FREQ=DAILY', ...filled(() => ['EXDATE;VALUE=DATE:20270101'])),
  'one list of dates': () => event(0, START, `RDATE:${filled(() => ['20270101T190000']).join()}`),
  'one series moved thousands of times': () => [
    ...event(0, START, 'RRULE:FREQ=DAILY'),
    ...filled(() => event(0, 'RECURRENCE-ID;VALUE=DATE:20270101', 'DTSTART:20270102T190000')),
  ],
  'endless lengths': () => filled((at) => event(at, START, 'DURATION:P99999999999D')),
  'zones by the second': () => [
    ...filled((at) => zone(`Z${at}`, 'FREQ=SECONDLY')),
    ...event(0, 'DTSTART;TZID=Z1:20270101T190000'),
  ],
  'zones that are put often': () => [
    ...filled((at) => [
      ...zone(`Z${at}`, 'FREQ=YEARLY;BYDAY=1MO,2TU,3WE,4TH'),
      ...event(at, `DTSTART;TZID=Z${at}:20270101T190000`, 'RRULE:FREQ=DAILY'),
    ]),
  ],
  'unknown zones': () => filled((at) => event(at, `DTSTART;TZID=Nowhere ${at}:20270101T190000`)),
  'one line without an end': () => [`X-LONG;A=${'"b",'.repeat(SIZE / 4)}`],
  'lines folded at every letter': () => event(0, START, `SUMMARY:a${'\r\n b'.repeat(SIZE / 4)}`),
  'events within events': () => filled(() => ['BEGIN:VEVENT', 'BEGIN:VALARM']),
  'quotes and colons': () => filled(() => [`A;B="${':;,'.repeat(20)}`]),
};

/** Each behind a rehearsal that is in order, and has to stand whatever comes after it. */
export const hostileCalendars = (): { readonly about: string; readonly text: string }[] =>
  Object.entries(BODIES).map(([about, body]) => ({
    about,
    text: [
      'BEGIN:VCALENDAR',
      'VERSION:2.0',
      'BEGIN:VEVENT',
      'UID:good',
      'SUMMARY:Rehearsal',
      'DTSTART;TZID=Europe/Berlin:20261203T190000',
      'DURATION:PT2H',
      'RRULE:FREQ=WEEKLY;COUNT=3',
      'END:VEVENT',
      ...body(),
      'END:VCALENDAR',
    ].join('\r\n'),
  }));
