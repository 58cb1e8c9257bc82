import { localDate } from '#core/time/local-date.ts';
import { doWhatIsDue, gradeWhatIsSettled, isWeekday, practise } from '#tools/lives/habits.ts';
import type { Life } from '#tools/lives/life.ts';

export const life: Life = {
  name: 'beginner-with-a-new-box',
  who: 'A pupil with a new box of ten, forty minutes five days a week, the first school concert after six weeks.',
  from: localDate('2026-09-07'),
  days: 56,
  nature: 'does-what-is-said',
  opens: ['reeds', 'care'],
  begin: async (person) => {
    await person.arrive('pupil');
    await person.own('clarinet', 'clarinet');
    await person.box('clarinet', 'Sorrel', Array<number>(10).fill(0));
    await person.concert(['clarinet'], 41, 40);
  },
  live: async (person, day) => {
    const isConcert = day === 41;
    if (isConcert || !isWeekday(person, 5, 6))
      await practise(person, { instrumentId: 'clarinet', minutes: 40, obeys: true });
    await gradeWhatIsSettled(person, 'clarinet');
    if (isWeekday(person, 5)) await doWhatIsDue(person, 'clarinet');
  },
};
