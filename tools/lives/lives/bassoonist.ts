import { localDate } from '#core/time/local-date.ts';
import { doWhatIsDue, isWeekday, practise } from '#tools/lives/habits.ts';
import type { Life } from '#tools/lives/life.ts';

export const life: Life = {
  name: 'bassoonist',
  who: 'A bassoonist with five reeds bought one by one, three evenings a week.',
  from: localDate('2026-09-07'),
  days: 42,
  nature: 'does-what-is-said',
  opens: ['reeds', 'care'],
  begin: async (person) => {
    await person.arrive('grown-up', ['key-oil', 'screws']);
    await person.own('bassoon', 'bassoon');
    for (const before of [300, 200, 60, 0, 0]) await person.box('bassoon', 'Teasel', [before]);
  },
  live: async (person) => {
    if (isWeekday(person, 0, 2, 4)) await practise(person, { instrumentId: 'bassoon', minutes: 80, obeys: true });
    if (isWeekday(person, 5)) await doWhatIsDue(person, 'bassoon');
  },
};
