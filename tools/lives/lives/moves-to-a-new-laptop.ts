import { localDate } from '#core/time/local-date.ts';
import { doWhatIsDue, gradeWhatIsSettled, isWeekday, practise } from '#tools/lives/habits.ts';
import type { Life } from '#tools/lives/life.ts';

/** The days on which the record goes to another machine: once early, once with weeks behind it. */
const MOVES: readonly number[] = [3, 19];

export const life: Life = {
  name: 'moves-to-a-new-laptop',
  who: 'A clarinettist who moves to a new laptop twice, undoes what was said on the old one, and goes on.',
  from: localDate('2026-09-07'),
  days: 28,
  nature: 'does-what-is-said',
  opens: ['reeds', 'care'],
  begin: async (person) => {
    await person.arrive('grown-up');
    await person.own('clarinet', 'clarinet');
    await person.box('clarinet', 'Fennel', [0, 0, 0, 0, 0]);
  },
  live: async (person, day) => {
    if (isWeekday(person, 0, 2, 4, 6)) await practise(person, { instrumentId: 'clarinet', minutes: 50, obeys: true });
    await gradeWhatIsSettled(person, 'clarinet');
    if (MOVES.includes(day)) await person.move();
    if (isWeekday(person, 6)) await doWhatIsDue(person, 'clarinet');
  },
};
