import { calendarInPaths, calendarPreview, type CalendarPreview } from '#contract/calendar-in.ts';
import { calendarPaths } from '#contract/calendar.ts';
import { addDays, localDate, type LocalDate } from '#core/time/local-date.ts';
import { doSittingOfToday, practise } from '#tools/lives/habits.ts';
import type { Life } from '#tools/lives/life.ts';
import type { Person } from '#tools/lives/person.ts';

const FROM = localDate('2026-09-07');
const day = (days: number): LocalDate => addDays(FROM, days);
const compact = (days: number): string => day(days).replaceAll('-', '');

/** What the secretary of a band exports: rehearsals on Tuesdays, a concert; each time a little else. */
type Export = {
  readonly name: string;
  readonly hour: string;
  readonly without?: number;
  readonly concert: number | null;
};
const exported = ({ name, hour, without, concert }: Export): string =>
  [
    'BEGIN:VCALENDAR',
    `X-WR-CALNAME;VALUE=TEXT:${name}`,
    ...['BEGIN:VEVENT', 'UID:tuesdays', `DTSTART:${compact(1)}T${hour}`, 'DURATION:PT2H', 'SUMMARY:Band rehearsal'],
    'RRULE:FREQ=WEEKLY;COUNT=9',
    ...(without === undefined ? [] : [`EXDATE:${compact(without)}T${hour}`]),
    'END:VEVENT',
    ...(concert === null
      ? []
      : [
          'BEGIN:VEVENT',
          'UID:gala',
          `DTSTART:${compact(concert)}T193000`,
          'DURATION:PT90M',
          'SUMMARY:Gala concert',
          'END:VEVENT',
        ]),
    'END:VCALENDAR',
  ].join('\r\n');

/** Takes a file in as it is proposed: what is ticked is taken, what is cancelled goes. */
async function takesIn(person: Person, fileName: string, text: string): Promise<void> {
  const sent = { playerId: person.id, zone: 'Europe/Berlin', fileName, text };
  const seen: CalendarPreview = calendarPreview.validateSync(await person.ask(calendarInPaths.preview, sent), {
    strict: true,
  });
  const choices = seen.series
    .filter(({ taken }) => taken)
    .map(({ uid, what, instrumentIds }) => ({ uid, what, instrumentIds }));
  const dropped = seen.vanished.filter(({ isCancelled }) => isCancelled).map(({ key }) => key);
  await person.log(calendarInPaths.imports, { ...sent, choices, dropped });
  person.note(`  took in ${fileName}: ${choices.length} series, ${dropped.length} cancelled`);
  person.deeds.push({ did: 'other', what: 'took in a calendar' });
}

/** What happens to a calendar in seven weeks, by the day. */
const HAPPENS: Readonly<Record<number, (person: Person) => Promise<void>>> = {
  0: (person) => takesIn(person, 'band.ics', exported({ name: 'Band', hour: '190000', concert: 26 })),
  // The hour has changed, and the third Tuesday is off.
  6: (person) => takesIn(person, 'band.ics', exported({ name: 'Band', hour: '193000', without: 15, concert: 26 })),
  // Another name, and the concert a day later.
  13: (person) =>
    takesIn(person, 'calendar (2).ics', exported({ name: 'Band 2026', hour: '193000', without: 15, concert: 27 })),
  // A series of one's own.
  3: async (person) => {
    const repeats = { weeks: 1, until: day(45) };
    const lesson = { what: 'rehearsal', name: 'Lesson', until: null, minutes: 30, atMinute: 1000, repeats };
    await person.log(calendarPaths.events, { playerId: person.id, on: day(4), instrumentIds: ['clarinet'], ...lesson });
    person.deeds.push({ did: 'other', what: 'typed a series' });
  },
  // To the bench and back.
  30: async (person) => {
    const stay = { what: 'bench', name: null, until: day(37), minutes: null };
    await person.log(calendarPaths.events, { playerId: person.id, on: day(31), instrumentIds: ['clarinet'], ...stay });
    person.deeds.push({ did: 'other', what: 'a stay' });
  },
};

export const life: Life = {
  name: 'band-in-the-calendar',
  who: 'A clarinettist whose band exports its calendar anew each week, with lessons of their own and a week at the bench.',
  from: FROM,
  days: 49,
  nature: 'does-what-is-said',
  opens: ['care', 'calendar'],
  begin: async (person) => {
    await person.arrive('grown-up', ['key-oil', 'bore-oil', 'screws']);
    await person.own('clarinet', 'clarinet', { since: 30 });
    await person.hasTime([20, 0, 20, 20, 20, 60, 60]);
  },
  live: async (person, at) => {
    await HAPPENS[at]?.(person);
    const isAway = at >= 31 && at <= 37;
    if (!isAway && at % 2 === 1) await practise(person, { instrumentId: 'clarinet', minutes: 45, obeys: true });
    await doSittingOfToday(person);
  },
};
