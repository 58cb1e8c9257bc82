import { conditionPaths } from '#contract/conditions.ts';
import { localDate } from '#core/time/local-date.ts';
import { isWeekday, practise } from '#tools/lives/habits.ts';
import type { Life } from '#tools/lives/life.ts';

const PARTS = 'mouthpiece-and-neck';
const DAYS_IN_PARTS = 21;

export const life: Life = {
  name: 'child-in-parts',
  who: 'A child whose teacher lets her play mouthpiece and neck for three weeks, then the whole saxophone.',
  from: localDate('2026-09-07'),
  days: 28,
  nature: 'does-as-they-like',
  opens: ['reeds', 'care'],
  begin: async (person) => {
    await person.arrive('child');
    await person.own('alto', 'alto-saxophone', { since: 2, cameNew: false });
    await person.box('alto-saxophone', 'Clover', [0, 0, 0, 0]);
    const begins = { condition: 'in-parts', beginsOn: person.today, endsOn: null, part: null, alone: PARTS, air: null };
    await person.log(conditionPaths.begin, { instrumentId: 'alto', ...begins });
  },
  live: async (person, day) => {
    if (!isWeekday(person, 0, 1, 3, 5)) return;
    const inParts = day < DAYS_IN_PARTS;
    if (inParts) await person.run('before', [{ instrumentId: 'alto' }]);
    await practise(person, {
      ...{ instrumentId: 'alto', minutes: inParts ? 10 : 15, obeys: true },
      ...(inParts && { alone: PARTS }),
    });
  },
};
