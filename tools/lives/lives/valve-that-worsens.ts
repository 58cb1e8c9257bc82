import { localDate } from '#core/time/local-date.ts';
import { AtTheBench, reads } from '#tools/lives/benching.ts';
import { isWeekday } from '#tools/lives/habits.ts';
import type { Life } from '#tools/lives/life.ts';

const EVERY_DAYS = 21;
/** Begun anew with each life. */
let bench = new AtTheBench('EUR');
let newSince = 0;

export const life: Life = {
  name: 'valve-that-worsens',
  who: 'A trumpeter whose second valve hangs more often from month to month, who has no price of anything.',
  from: localDate('2026-03-02'),
  days: 160,
  nature: 'does-what-is-said',
  opens: ['bench'],
  begin: async (person) => {
    bench = new AtTheBench('EUR');
    newSince = 0;
    await person.arrive('grown-up');
    await person.own('trumpet', 'trumpet', { since: 20 });
  },
  live: async (person, day) => {
    const isAway = bench.isAway('trumpet', person.today);
    if (!isAway && isWeekday(person, 1, 3, 5)) await person.play('trumpet', 40);
    const before = person.deeds.length;
    await bench.day(person);
    const back = person.deeds.slice(before).find(({ did }) => did === 'came-back');
    if (back?.did === 'came-back' && back.works.includes('valve-fit')) newSince = day;
    if (isAway || bench.isAway('trumpet', person.today) || day % EVERY_DAYS !== 0) return;
    const value = Math.min(10, Math.floor((day - newSince) / 40));
    await reads(person, {
      ...{ instrumentId: 'trumpet', measure: 'piston/return', place: 'second-valve' },
      ...{ way: 'of-ten', value },
    });
  },
};
