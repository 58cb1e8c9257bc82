import { localDate } from '#core/time/local-date.ts';
import { doWhatIsDue, isWeekday, practise } from '#tools/lives/habits.ts';
import type { Life } from '#tools/lives/life.ts';

export const life: Life = {
  name: 'piper-on-tour',
  who: 'A piper who plays every day for two weeks and little afterwards.',
  from: localDate('2026-07-06'),
  days: 35,
  nature: 'does-what-is-said',
  opens: ['reeds', 'care'],
  begin: async (person) => {
    await person.arrive('grown-up');
    await person.own('pipes', 'highland-pipes');
    await person.box('highland-pipes', 'Bracken', [400, 0]);
  },
  live: async (person, day) => {
    if (day < 14 || isWeekday(person, 6)) await practise(person, { instrumentId: 'pipes', minutes: 90, obeys: true });
    if (isWeekday(person, 0)) await doWhatIsDue(person, 'pipes');
  },
};
