import { localDate } from '#core/time/local-date.ts';
import { doWhatIsDue, gradeWhatIsSettled, isWeekday, practise } from '#tools/lives/habits.ts';
import type { Life } from '#tools/lives/life.ts';

export const life: Life = {
  name: 'oboist-with-three-reeds',
  who: 'An oboist with three reeds, an hour a day, one of which splits after ten days; a concert in the fifth week.',
  from: localDate('2026-10-05'),
  days: 42,
  nature: 'does-what-is-said',
  opens: ['reeds', 'care'],
  begin: async (person) => {
    await person.arrive('grown-up', ['key-oil']);
    await person.own('oboe', 'oboe');
    await person.box('oboe', 'Teasel', [120, 0, 0]);
    await person.concert(['oboe'], 33, 90);
  },
  live: async (person, day) => {
    if (day === 33 || !isWeekday(person, 6)) await practise(person, { instrumentId: 'oboe', minutes: 60, obeys: true });
    if (day === 10) {
      const reed = (await person.reedsOf('oboe'))?.boxes.flatMap(({ reeds }) => reeds)[0];
      if (reed) await person.said(reed.reedId, { what: 'ended', cause: 'split' });
      person.note('  its first reed split');
    }
    await gradeWhatIsSettled(person, 'oboe');
    if (isWeekday(person, 5)) await doWhatIsDue(person, 'oboe');
  },
};
