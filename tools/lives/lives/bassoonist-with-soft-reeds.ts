import { localDate } from '#core/time/local-date.ts';
import { gradeWhatIsSettled, isWeekday, practise } from '#tools/lives/habits.ts';
import type { Life } from '#tools/lives/life.ts';
import { AtTheTable } from '#tools/lives/tabling.ts';

/** Begun anew with each life. */
let table = new AtTheTable('bassoon', 2.5, [-90, -70, -80]);

export const life: Life = {
  name: 'bassoonist-with-soft-reeds',
  who: 'A grown-up beginner on the bassoon with soft, flat reeds, who lays one on the table before each practice; a concert in the sixth week.',
  from: localDate('2026-09-07'),
  days: 49,
  nature: 'does-what-is-said',
  opens: ['reeds'],
  begin: async (person) => {
    table = new AtTheTable('bassoon', 2.5, [-90, -70, -80]);
    await person.arrive('grown-up', []);
    await person.own('bassoon', 'bassoon');
    await person.box('bassoon', 'Mudlark', [0, 0, null], { breakIn: 'none' });
    await person.concert(['bassoon'], 41, 60);
  },
  live: async (person) => {
    await table.supply(person);
    if (!isWeekday(person, 0, 2, 4) && !isWeekday(person, 6)) return;
    const [first] = (await person.reedsOf('bassoon'))?.today.play ?? [];
    if (first) await table.lay(person, first.reedId);
    await practise(person, { instrumentId: 'bassoon', minutes: 40, obeys: true });
    await gradeWhatIsSettled(person, 'bassoon');
  },
};
