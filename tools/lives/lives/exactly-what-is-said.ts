import { localDate } from '#core/time/local-date.ts';
import { doSittingOfToday, gradeWhatIsSettled, practise } from '#tools/lives/habits.ts';
import type { Life } from '#tools/lives/life.ts';

export const life: Life = {
  name: 'exactly-what-is-said',
  who: 'One who does exactly what is said, every day: the reed, the pack-up, the sitting.',
  from: localDate('2026-09-07'),
  days: 84,
  nature: 'does-what-is-said',
  opens: ['reeds', 'care', 'calendar'],
  calendarEvery: 3,
  begin: async (person) => {
    await person.arrive('grown-up', ['key-oil', 'bore-oil', 'screws', 'solvents', 'blades']);
    await person.own('clarinet', 'clarinet', { since: 30 });
    await person.box('clarinet', 'Sorrel', Array<number>(10).fill(0));
    for (const inDays of [28, 56, 80]) await person.concert(['clarinet'], inDays, 60);
  },
  live: async (person) => {
    await practise(person, { instrumentId: 'clarinet', minutes: 60, obeys: true });
    await gradeWhatIsSettled(person, 'clarinet');
    await doSittingOfToday(person);
  },
};
