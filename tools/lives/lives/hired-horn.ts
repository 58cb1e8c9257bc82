import { localDate } from '#core/time/local-date.ts';
import { doWhatIsDue, isWeekday, practise } from '#tools/lives/habits.ts';
import type { Life } from '#tools/lives/life.ts';

export const life: Life = {
  name: 'hired-horn',
  who: 'A grown-up who hires a horn of which nothing is known, looks it over on the first day, and lets it lie for ten weeks later.',
  from: localDate('2026-02-02'),
  days: 98,
  nature: 'does-as-they-like',
  opens: ['care'],
  begin: async (person) => {
    await person.arrive('grown-up');
    await person.own('horn', 'horn', { since: 1, cameNew: false });
  },
  live: async (person, day) => {
    const { firstNote } = await person.care('horn');
    const plays = day < 21 || day > 91;
    if (firstNote !== null && plays) {
      person.note(`  ${firstNote.words}`);
      await person.run('care', [{ instrumentId: 'horn', itemIds: firstNote.itemIds }]);
    }
    if (plays && isWeekday(person, 0, 2, 4)) await practise(person, { instrumentId: 'horn', minutes: 40, obeys: true });
    if (plays && isWeekday(person, 6)) await doWhatIsDue(person, 'horn');
  },
};
