import { localDate } from '#core/time/local-date.ts';
import { doWhatIsDue, isWeekday, practise } from '#tools/lives/habits.ts';
import type { Life } from '#tools/lives/life.ts';

const TOUR_DAYS = 14;
/** Mornings of the tour on which nobody opens the case. */
const LEFT_SHUT: readonly number[] = [5, 6, 11];

export const life: Life = {
  name: 'piper-on-tour',
  who: 'A piper who plays every day for two weeks, packs up on the way each evening, and dries the pipes at the hotel when the morning leaves time.',
  from: localDate('2026-07-06'),
  days: 35,
  nature: 'does-what-is-said',
  opens: ['reeds', 'care'],
  begin: async (person) => {
    await person.arrive('grown-up');
    await person.own('pipes', 'highland-pipes');
    await person.box('highland-pipes', 'Bracken', [400, 0]);
  },
  live: async (person, day) => {
    if (!LEFT_SHUT.includes(day)) await person.layOut('pipes');
    const onTour = day < TOUR_DAYS;
    if (onTour || isWeekday(person, 6))
      await practise(person, { instrumentId: 'pipes', minutes: 90, obeys: true, isAway: onTour });
    if (isWeekday(person, 0) && !onTour) await doWhatIsDue(person, 'pipes');
  },
};
