import { localDate } from '#core/time/local-date.ts';
import { gradeWhatIsSettled, isWeekday, practise } from '#tools/lives/habits.ts';
import type { Life } from '#tools/lives/life.ts';
import { AtTheTable } from '#tools/lives/tabling.ts';

/** On these mornings the reed that is played now has cracked overnight. */
const CRACKS: readonly number[] = [12, 27, 40, 44];
/** From this one on the nippers take so much more than was meant, once. */
const SLIPS = 5;
const SLIP = 4;

/** Begun anew with each life. */
let table = new AtTheTable('oboe', 5.5, [-35, -20, -5, -45, -15]);
let slipped = false;

export const life: Life = {
  name: 'oboist-at-the-table',
  who: 'An oboist who lays the reed of the day on the table each morning; reeds crack overnight, one clip is too much, and there are concerts.',
  from: localDate('2026-09-07'),
  days: 60,
  nature: 'does-what-is-said',
  opens: ['reeds'],
  begin: async (person) => {
    slipped = false;
    table = new AtTheTable('oboe', 5.5, [-35, -20, -5, -45, -15]);
    await person.arrive('grown-up', ['key-oil', 'blades']);
    await person.own('oboe', 'oboe', { build: { scrape: 'long' } });
    await person.box('oboe', 'Teasel', [0, 0, 0], { breakIn: 'none', scrape: 'long' });
    for (const inDays of [21, 35, 45, 56]) await person.concert(['oboe'], inDays, 90);
  },
  live: async (person, day) => {
    await table.supply(person);
    if (isWeekday(person, 6)) return;
    const play = (await person.reedsOf('oboe'))?.today.play ?? [];
    for (const { reedId } of play.slice(0, 2)) {
      table.truthOf(reedId).cracked ||= CRACKS.includes(day) && reedId === play[0]?.reedId;
      await table.lay(person, reedId, { slip: day >= SLIPS && !slipped ? SLIP : 0 });
      slipped ||= person.deeds.some((deed) => deed.did === 'at-the-table' && deed.clippedTenths > SLIP);
    }
    await practise(person, { instrumentId: 'oboe', minutes: 60, obeys: true });
    await gradeWhatIsSettled(person, 'oboe');
  },
};
