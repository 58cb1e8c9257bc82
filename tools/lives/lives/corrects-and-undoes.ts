import { playPaths } from '#contract/plays.ts';
import { addDays, localDate } from '#core/time/local-date.ts';
import { doWhatIsDue, practise } from '#tools/lives/habits.ts';
import type { Life } from '#tools/lives/life.ts';
import type { Person } from '#tools/lives/person.ts';

/** Every few days something is logged and taken back at once. */
async function changesTheirMind(person: Person, day: number): Promise<void> {
  const reed = (await person.reedsOf('clarinet'))?.boxes[0]?.reeds[0]?.reedId ?? '';
  const minds: readonly (readonly [what: string, doIt: () => Promise<string>])[] = [
    ['a play', () => person.play('clarinet', 25)],
    ['oiling the bore', () => person.careDone('clarinet', 'wooden-bore/oil')],
    ['a grade', () => person.said(reed, { what: 'graded', feel: 'right', goodFor: 'rehearsal' })],
    ['a concert', () => person.concert(['clarinet'], 6)],
    ['the end of a reed', () => person.said(reed, { what: 'ended', cause: 'split' })],
    ['a box', () => person.box('clarinet', 'Dock', [0, 0])],
  ];
  const one = minds[(day / 3) % minds.length];
  if (one) await person.undo(...one);
}

const NOON = 12 * 60;

export const life: Life = {
  name: 'corrects-and-undoes',
  who: 'One who corrects plays of two weeks ago, and takes back every third thing.',
  from: localDate('2026-09-07'),
  days: 45,
  nature: 'does-as-they-like',
  opens: ['reeds', 'care', 'calendar'],
  calendarEvery: 9,
  begin: async (person) => {
    await person.arrive('grown-up', ['bore-oil']);
    await person.own('clarinet', 'clarinet', { build: { body: 'wood' } });
    await person.box('clarinet', 'Sorrel', [0, 0, 0, 0, 120]);
  },
  live: async (person, day) => {
    person.at(NOON);
    if (day % 3 === 0) await changesTheirMind(person, day);
    await practise(person, { instrumentId: 'clarinet', minutes: 40, obeys: true });
    // The play of two weeks ago was longer than was said: its reeds share what it was.
    const old = (await person.reedsOf('clarinet'))?.plays.find(({ endedOn }) => endedOn <= addDays(person.today, -7));
    if (day % 10 === 9 && old) {
      await person.dares(() =>
        person.log(playPaths.log, {
          corrects: old.playKey,
          ...{ instrumentId: 'clarinet', playerId: person.id, endedOn: old.endedOn },
          ...{ endedAtMinute: old.endedAtMinute, minutes: old.minutes + 20, roomCelsius: null },
        }),
      );
      person.note(`  corrected the play of ${old.endedOn}`);
    }
    if (day % 7 === 5) await doWhatIsDue(person, 'clarinet');
  },
};
