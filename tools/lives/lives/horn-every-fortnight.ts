import { localDate } from '#core/time/local-date.ts';
import { doSittingOfToday, isWeekday, practise } from '#tools/lives/habits.ts';
import type { Life } from '#tools/lives/life.ts';

export const life: Life = {
  name: 'horn-every-fortnight',
  who: 'A horn player with a concert every fortnight, who sits down to care when the calendar says so.',
  from: localDate('2026-09-07'),
  days: 70,
  nature: 'does-what-is-said',
  opens: ['care', 'calendar'],
  calendarEvery: 1,
  begin: async (person) => {
    await person.arrive('grown-up', ['key-oil', 'screws', 'solvents']);
    await person.own('horn', 'horn', { since: 60 });
    for (const week of [2, 4, 6, 8, 10]) await person.concert(['horn'], week * 7 - 2, 100);
  },
  live: async (person) => {
    if (!isWeekday(person, 1)) await practise(person, { instrumentId: 'horn', minutes: 50, obeys: true });
    await doSittingOfToday(person);
  },
};
