import { localDate } from '#core/time/local-date.ts';
import { isWeekday, practise } from '#tools/lives/habits.ts';
import type { Life } from '#tools/lives/life.ts';

export const life: Life = {
  name: 'never-does-what-is-said',
  who: 'One who plays the same reed every day as long as it lives, packs up sometimes and does no care.',
  from: localDate('2026-08-03'),
  days: 56,
  nature: 'never-does-what-is-said',
  opens: ['reeds', 'care', 'calendar'],
  calendarEvery: 7,
  begin: async (person) => {
    await person.arrive('grown-up');
    await person.own('clarinet', 'clarinet');
    await person.box('clarinet', 'Sorrel', Array<number>(5).fill(0));
    await person.concert(['clarinet'], 40, 60);
  },
  live: async (person) => {
    if (isWeekday(person, 6)) return;
    await practise(person, { instrumentId: 'clarinet', minutes: 70, obeys: false, packsUp: isWeekday(person, 0, 3) });
  },
};
