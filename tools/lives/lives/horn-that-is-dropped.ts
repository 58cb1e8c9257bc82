import { localDate } from '#core/time/local-date.ts';
import { happenedTo } from '#tools/lives/asking.ts';
import { AtTheBench, reads } from '#tools/lives/benching.ts';
import { isWeekday } from '#tools/lives/habits.ts';
import type { Life } from '#tools/lives/life.ts';

const DROPPED_ON = 9;
/** Begun anew with each life. */
let bench = new AtTheBench('EUR');

export const life: Life = {
  name: 'horn-that-is-dropped',
  who: 'A child with a horn that is dropped, looked at the next day, and taken to the bench.',
  from: localDate('2026-04-13'),
  days: 60,
  nature: 'does-what-is-said',
  opens: ['bench'],
  begin: async (person) => {
    bench = new AtTheBench('EUR');
    await person.arrive('child');
    await person.own('horn', 'horn', { since: 30 });
  },
  live: async (person, day) => {
    const isAway = bench.isAway('horn', person.today);
    if (!isAway && isWeekday(person, 0, 3)) await person.play('horn', 25);
    if (day === DROPPED_ON) {
      await happenedTo(person, 'horn', 'knocked', 'bell');
      person.deeds.push({ did: 'knocked', instrumentId: 'horn' });
    }
    if (day === DROPPED_ON + 1) {
      await reads(person, { instrumentId: 'horn', measure: 'brass/dent-depth', way: 'ruler', value: 3 });
    }
    await bench.day(person);
  },
};
