import { localDate } from '#core/time/local-date.ts';
import { askedAbout, itHelped, taps, wasCleared } from '#tools/lives/asking.ts';
import { doWhatIsDue, practise } from '#tools/lives/habits.ts';
import type { Life } from '#tools/lives/life.ts';
import type { Person } from '#tools/lives/person.ts';

const [GURGLES, ASKED, STUCK, FREED, LINE, LOOKED_AT] = [1, 2, 4, 6, 8, 13];
const OBOE = 'oboe';
const TRUMPET = 'trumpet';

const onOboe = { instrumentId: OBOE, part: 'upper-joint' } as const;
const stuck = { instrumentId: TRUMPET, itemId: 'brass/stuck', sign: 'brass/mouthpiece-stuck' } as const;

/** What happens on some days, and on no other. */
const HAPPENS = new Map<number, (person: Person) => Promise<unknown>>([
  [GURGLES, (person) => taps(person, { ...onOboe, itemId: 'keyed/water-in-hole', sign: 'keyed/gurgle' })],
  [
    ASKED,
    async (person) => {
      const truth = { 'keyed/blown-clear': 'yes' } as const;
      await itHelped(person, await askedAbout(person, { instrumentId: OBOE, noticed: ['keyed/gurgle'], truth }));
    },
  ],
  [STUCK, (person) => taps(person, { ...stuck, part: 'mouthpiece' })],
  [FREED, (person) => person.careDone(TRUMPET, 'brass/stuck')],
  [LINE, (person) => taps(person, { ...onOboe, itemId: 'wind/crack', sign: 'wooden/line' })],
  [LOOKED_AT, (person) => wasCleared(person, OBOE)],
]);

export const life: Life = {
  name: 'taps-what-is-seen',
  who: 'A grown-up who taps what is seen: a note that gurgles, a mouthpiece that is stuck, a line in the wood of the oboe.',
  from: localDate('2026-02-02'),
  days: 18,
  nature: 'does-as-they-like',
  opens: ['care', 'calendar', 'bench'],
  calendarEvery: 3,
  begin: async (person) => {
    await person.arrive('grown-up', ['key-oil']);
    await person.own(OBOE, 'oboe');
    await person.own(TRUMPET, 'trumpet');
    await person.hasTime([20, 20, 20, 20, 20, 40, 40]);
  },
  live: async (person, day) => {
    await HAPPENS.get(day)?.(person);
    const isStopped = day >= LINE && day < LOOKED_AT;
    if (day % 2 === 0 && !isStopped) await practise(person, { instrumentId: OBOE, minutes: 40, obeys: false });
    if (day % 2 === 1) await practise(person, { instrumentId: TRUMPET, minutes: 40, obeys: false });
    if (day % 7 === 6 && !isStopped) for (const id of [OBOE, TRUMPET]) await doWhatIsDue(person, id);
  },
};
