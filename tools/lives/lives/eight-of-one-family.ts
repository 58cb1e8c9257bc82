import { localDate } from '#core/time/local-date.ts';
import { doSittingOfToday, isWeekday, practise } from '#tools/lives/habits.ts';
import type { Life } from '#tools/lives/life.ts';

const BAND = ['trumpet', 'cornet', 'flugelhorn', 'horn', 'trombone', 'baritone', 'euphonium', 'tuba'] as const;

export const life: Life = {
  name: 'eight-of-one-family',
  who: 'A family of eight brass instruments, each played once or twice a week; the care is done on Saturdays.',
  from: localDate('2026-09-07'),
  days: 28,
  nature: 'does-what-is-said',
  opens: ['care', 'calendar'],
  calendarEvery: 7,
  begin: async (person) => {
    await person.arrive('grown-up', ['solvents', 'screws']);
    await person.hasTime([0, 0, 0, 0, 0, 240, 0]);
    for (const kind of BAND) await person.own(kind, kind, { since: 20 });
  },
  live: async (person, day) => {
    for (const [at, kind] of BAND.entries())
      if (day % 4 === at % 4)
        await practise(person, { instrumentId: kind, minutes: 30, endsAt: 15 * 60 + at * 40, obeys: true });
    if (isWeekday(person, 5)) await doSittingOfToday(person);
  },
};
