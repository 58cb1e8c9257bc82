import { localDate } from '#core/time/local-date.ts';
import { isWeekday, practise } from '#tools/lives/habits.ts';
import type { Life } from '#tools/lives/life.ts';

export const life: Life = {
  name: 'child-with-one-reed',
  who: 'A child on a plastic clarinet with one reed, half an hour a day but for Sundays.',
  from: localDate('2026-09-07'),
  days: 42,
  nature: 'does-as-they-like',
  opens: ['reeds', 'care'],
  begin: async (person) => {
    await person.arrive('child');
    await person.own('clarinet', 'clarinet', { build: { body: 'plastic' }, since: 7 });
    await person.box('clarinet', 'Fennel', [0]);
  },
  live: async (person) => {
    if (!isWeekday(person, 6)) await practise(person, { instrumentId: 'clarinet', minutes: 30, obeys: true });
  },
};
