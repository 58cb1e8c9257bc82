import { localDate } from '#core/time/local-date.ts';
import { doWhatIsDue, gradeWhatIsSettled, isWeekday, practise } from '#tools/lives/habits.ts';
import type { Life } from '#tools/lives/life.ts';

export const life: Life = {
  name: 'back-after-four-weeks',
  who: 'A grown-up who plays for two weeks, lets the saxophone lie for four, and comes back.',
  from: localDate('2026-06-01'),
  days: 63,
  nature: 'does-as-they-like',
  opens: ['reeds', 'care'],
  begin: async (person) => {
    await person.arrive('grown-up');
    await person.own('tenor', 'tenor-saxophone');
    await person.box('tenor-saxophone', 'Yarrow', [200, 150, 0, 0, 0]);
  },
  live: async (person, day) => {
    if (day >= 14 && day < 42) return;
    if (isWeekday(person, 0, 2, 4, 6)) await practise(person, { instrumentId: 'tenor', minutes: 45, obeys: true });
    await gradeWhatIsSettled(person, 'tenor-saxophone');
    if (isWeekday(person, 6)) await doWhatIsDue(person, 'tenor');
  },
};
