import { KIND_IDS } from '#core/instruments/kind.ts';
import { localDate } from '#core/time/local-date.ts';
import { practise } from '#tools/lives/habits.ts';
import type { Life } from '#tools/lives/life.ts';

const INSTRUMENTS = 300;
const nameOf = (at: number): string => `number-${at}`;

export const life: Life = {
  name: 'keeper-of-three-hundred',
  who: 'The keeper of a school’s three hundred instruments, five of which are handed out and played of a day.',
  from: localDate('2026-09-07'),
  days: 5,
  nature: 'does-as-they-like',
  opens: [],
  begin: async (person) => {
    await person.arrive('grown-up', ['key-oil', 'bore-oil', 'screws', 'solvents']);
    for (let at = 0; at < INSTRUMENTS; at++)
      await person.own(nameOf(at), KIND_IDS[at % KIND_IDS.length] ?? 'trumpet', {
        since: 100 + at,
        cameNew: at % 2 === 0,
      });
  },
  live: async (person, day) => {
    for (let one = 0; one < 5; one++)
      await practise(person, {
        instrumentId: nameOf(day * 5 + one),
        minutes: 30,
        endsAt: (10 + one) * 60,
        obeys: true,
      });
  },
};
