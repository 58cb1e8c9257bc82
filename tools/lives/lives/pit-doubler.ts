import { localDate } from '#core/time/local-date.ts';
import { doSittingOfToday, gradeWhatIsSettled, isWeekday, practise } from '#tools/lives/habits.ts';
import type { Life } from '#tools/lives/life.ts';

export const life: Life = {
  name: 'pit-doubler',
  who: 'A doubler on clarinet, alto saxophone and flute, with four shows a week from the second week on.',
  from: localDate('2026-10-05'),
  days: 42,
  nature: 'does-what-is-said',
  opens: ['reeds', 'care', 'calendar'],
  calendarEvery: 7,
  begin: async (person) => {
    await person.arrive('grown-up', ['key-oil', 'bore-oil', 'screws']);
    // Sundays are for the instruments.
    await person.hasTime([0, 0, 0, 0, 0, 0, 90]);
    await person.own('clarinet', 'clarinet');
    await person.own('alto', 'alto-saxophone');
    await person.own('flute', 'flute');
    await person.box('clarinet', 'Sorrel', [200, 300, 150, 0, 0, 0, 0, 0]);
    await person.box('alto-saxophone', 'Yarrow', [200, 300, 250, 100, 0]);
    for (let week = 1; week < 6; week++)
      for (const day of [2, 3, 4, 5]) await person.concert(['clarinet', 'alto', 'flute'], week * 7 + day, 120);
  },
  live: async (person, day) => {
    const isShow = day >= 7 && isWeekday(person, 2, 3, 4, 5);
    if (isShow || isWeekday(person, 0, 1)) {
      const minutes = isShow ? 60 : 45;
      await practise(person, { instrumentId: 'clarinet', minutes, endsAt: 17 * 60, obeys: true });
      await practise(person, { instrumentId: 'alto', minutes, endsAt: 19 * 60, obeys: true });
      await practise(person, { instrumentId: 'flute', minutes: 20, endsAt: 20 * 60, obeys: true });
    }
    for (const kind of ['clarinet', 'alto-saxophone'] as const) await gradeWhatIsSettled(person, kind);
    if (isWeekday(person, 6)) await doSittingOfToday(person);
  },
};
