import { breakPaths, breakView } from '#contract/breaks.ts';
import { localDate } from '#core/time/local-date.ts';
import { isWeekday } from '#tools/lives/habits.ts';
import type { Life } from '#tools/lives/life.ts';
import type { Person } from '#tools/lives/person.ts';

const PLAYED = ['clarinet', 'alto'] as const;
const FIRST_HALF_ENDS = 20 * 60 + 30;
const SHOW_ENDS = 21 * 60;

/** Says on the break what was played so far, and reads what to do. */
async function interval(person: Person): Promise<void> {
  person.at(FIRST_HALF_ENDS);
  for (const id of PLAYED) {
    const told = breakView.validateSync(await person.get(breakPaths.one(id, person.today)), { strict: true });
    person.note(`  break, ${id}: ${told.lines.map(({ say }) => say).join(' ')}`);
    await person.play(id, 40);
  }
}

export const life: Life = {
  name: 'interval-of-a-doubler',
  who: 'A doubler with four shows a week, a quarter of an hour between the halves, and both instruments on the train home.',
  from: localDate('2026-10-05'),
  days: 14,
  nature: 'does-as-they-like',
  opens: ['care'],
  begin: async (person) => {
    await person.arrive('grown-up');
    await person.own('clarinet', 'clarinet');
    await person.own('alto', 'alto-saxophone');
  },
  live: async (person) => {
    for (const id of PLAYED) await person.layOut(id);
    if (!isWeekday(person, 2, 3, 4, 5)) return;
    await interval(person);
    person.at(SHOW_ENDS);
    const shares = [];
    for (const instrumentId of PLAYED) shares.push({ instrumentId, playKey: await person.play(instrumentId, 15) });
    await person.run('after', shares, { isAway: true });
    person.note('  packed both up on the way');
  },
};
