import { localDate } from '#core/time/local-date.ts';
import { isWeekday, practise } from '#tools/lives/habits.ts';
import type { Life } from '#tools/lives/life.ts';
import { AtTheTable } from '#tools/lives/tabling.ts';

/** Begun anew with each life. */
let table = new AtTheTable('oboe', 5.5, [-45, -30]);

export const life: Life = {
  name: 'child-on-the-oboe',
  who: 'A child in the first weeks on the oboe, with soft reeds that play flat; one of them cracks overnight.',
  from: localDate('2026-09-07'),
  days: 21,
  nature: 'does-what-is-said',
  opens: ['reeds'],
  begin: async (person) => {
    table = new AtTheTable('oboe', 5.5, [-45, -30]);
    await person.arrive('child');
    await person.own('oboe', 'oboe', { build: { scrape: 'short' } });
    await person.box('oboe', 'Teasel', [0, 60, 60], { breakIn: 'none' });
  },
  live: async (person, day) => {
    if (!isWeekday(person, 0, 2, 4)) return;
    const [first] = (await person.reedsOf('oboe'))?.today.play ?? [];
    if (first) {
      table.truthOf(first.reedId).cracked ||= day === 9;
      await table.lay(person, first.reedId);
    }
    await practise(person, { instrumentId: 'oboe', minutes: 20, obeys: true });
  },
};
